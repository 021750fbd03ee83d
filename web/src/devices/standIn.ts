import type { Instrument, InstrumentKind, InstrumentStatus, Sample } from "./instrument";

/** How the person at the stand-in behaves. */
export type Behaviour = "strong" | "weak" | "gives-way" | "pain-limited";

/** Milliseconds between two samples. */
export const EVERY = 50;

const LASTS = 3400;

/** The most that is made up for after the timer stood still, in milliseconds: longer than an effort. */
const MADE_UP_FOR = 2 * LASTS;

/** Highest reading of each kind for somebody strong. Made up, so that a stand-in never looks like a norm. */
const FULL: Record<InstrumentKind, number> = { force: 140, grip: 380, pinch: 90, angle: 90 };

const NAMES: Record<InstrumentKind, string> = {
  force: "Force gauge, stand-in",
  grip: "Grip gauge, stand-in",
  pinch: "Pinch gauge, stand-in",
  angle: "Goniometer, stand-in",
};

/**
 * The reading so many milliseconds after an effort began: up within a third of a second, held, let go; weak stays at two
 * fifths; what gives way drops to a quarter after 1.2 s; pain ends it after 0.9 s at half.
 */
export function reading(kind: InstrumentKind, behaviour: Behaviour, since: number): number {
  if (since < 0 || since > LASTS) {
    return 0;
  }
  const rise = Math.min(1, since / 330);
  const fall = since > LASTS - 300 ? (LASTS - since) / 300 : 1;
  const sway = 1 - 0.03 * (1 + Math.sin(since / 97));
  const share =
    behaviour === "weak"
      ? 0.4
      : behaviour === "gives-way" && since > 1200
        ? 0.25
        : behaviour === "pain-limited"
          ? since > 900
            ? 0
            : 0.5
          : 1;
  return Math.round(10 * FULL[kind] * rise * fall * sway * share) / 10;
}

/** An instrument that is not there: it makes readings as it is told to. */
export class StandIn implements Instrument {
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly unit: string;
  #status: InstrumentStatus = "away";
  #samples = new Set<(sample: Sample) => void>();
  #statuses = new Set<(status: InstrumentStatus) => void>();
  #timer: ReturnType<typeof setInterval> | undefined;
  #began = 0;
  #due = 0;
  #effort: { behaviour: Behaviour; from: number } | undefined;

  constructor(kind: InstrumentKind) {
    this.kind = kind;
    this.name = NAMES[kind];
    this.unit = kind === "angle" ? "°" : "N";
  }

  get status(): InstrumentStatus {
    return this.#status;
  }

  connect(): void {
    clearInterval(this.#timer);
    this.#began = Date.now();
    this.#due = this.#began + EVERY;
    this.#timer = setInterval(() => {
      this.#tick();
    }, EVERY);
    this.#say("connected");
  }

  disconnect(): void {
    clearInterval(this.#timer);
    this.#effort = undefined;
    this.#say("away");
  }

  /** Goes out of reach, as a real one does when its battery is empty. */
  lose(): void {
    clearInterval(this.#timer);
    this.#effort = undefined;
    this.#say("lost");
  }

  /** Somebody makes an effort now. */
  effort(behaviour: Behaviour): void {
    this.#effort = { behaviour, from: Date.now() };
  }

  subscribe(onSample: (sample: Sample) => void, onStatus: (status: InstrumentStatus) => void): () => void {
    this.#samples.add(onSample);
    this.#statuses.add(onStatus);
    return () => {
      this.#samples.delete(onSample);
      this.#statuses.delete(onStatus);
    };
  }

  /** Hands over every sample that is due: an instrument measures on its own clock, also while the page is busy. */
  #tick(): void {
    const now = Date.now();
    for (this.#due = Math.max(this.#due, now - MADE_UP_FOR); this.#due <= now; this.#due += EVERY) {
      const at = this.#due;
      const value = this.#effort ? reading(this.kind, this.#effort.behaviour, at - this.#effort.from) : 0;
      this.#samples.forEach((listener) => {
        listener({ at: at - this.#began, value });
      });
    }
  }

  #say(status: InstrumentStatus): void {
    this.#status = status;
    this.#statuses.forEach((listener) => {
      listener(status);
    });
  }
}
