let audio: AudioContext | undefined;

/** A soft tone, `times` over. Silent where the browser has no sound. */
export function pulse(times: number): void {
  try {
    audio ??= new AudioContext();
    for (let index = 0; index < times; index++) {
      const at = audio.currentTime + index * 0.22;
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = 660;
      volume.gain.setValueAtTime(0.001, at);
      volume.gain.exponentialRampToValueAtTime(0.2, at + 0.02);
      volume.gain.exponentialRampToValueAtTime(0.001, at + 0.14);
      tone.connect(volume).connect(audio.destination);
      tone.start(at);
      tone.stop(at + 0.16);
    }
  } catch {
    audio = undefined;
  }
}
