import type { Sample } from "./instrument";

/** Below this an instrument is at rest, in its own unit. */
const AT_REST = 3;

/** An effort read off a gauge. Times in seconds from its beginning. */
export interface Effort {
  peak: number;
  lasted: number;
  /** When the force fell under half of its peak and stayed there while the effort went on; undefined where it held. */
  gaveWay: number | undefined;
}

/** Gathers samples into efforts: one begins when the gauge leaves rest and ends when it is back. */
export class EffortReader {
  #samples: Sample[] = [];

  /** The samples of the effort under way. */
  get trace(): readonly Sample[] {
    return this.#samples;
  }

  /** Takes a sample; returns the effort that it ends, if it ends one. */
  take(sample: Sample): Effort | undefined {
    if (sample.value > AT_REST) {
      this.#samples.push(sample);
      return undefined;
    }
    const effort = this.#samples.length > 0 ? read(this.#samples) : undefined;
    this.#samples = [];
    return effort;
  }

  clear(): void {
    this.#samples = [];
  }
}

/** Reads an effort off its samples, of which there has to be one at least. */
export function read(samples: readonly Sample[]): Effort {
  const first = samples[0];
  const last = samples.at(-1);
  if (!first || !last) {
    throw new Error("no samples: allowed: one or more");
  }
  const peak = Math.max(...samples.map((sample) => sample.value));
  const lasted = (last.at - first.at) / 1000;
  const held = samples.findLastIndex((sample) => sample.value >= peak / 2);
  const after = samples[held + 1];
  const gaveWay = after && (last.at - after.at) / 1000 > 0.5 ? (after.at - first.at) / 1000 : undefined; // the last half second is letting go
  return { peak, lasted, gaveWay };
}
