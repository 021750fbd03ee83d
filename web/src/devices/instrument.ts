/** What an instrument measures. Force and grip in newtons, angles in degrees. */
export type InstrumentKind = "force" | "grip" | "pinch" | "angle";

/** One sample. */
export interface Sample {
  /** Milliseconds since the instrument was connected. */
  at: number;
  value: number;
}

/** How an instrument is doing. lost: it was connected and is no longer. */
export type InstrumentStatus = "away" | "connected" | "lost";

/**
 * The port through which readings come in. It lives in the page, since an instrument is joined to the tablet at the bench
 * and has to go on while the server is out of reach. Readings of a gauge are also typed by hand at any time.
 */
export interface Instrument {
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly unit: string;
  readonly status: InstrumentStatus;
  connect(): void;
  disconnect(): void;
  /** Calls back with every sample and on every change of status; returns what ends that. */
  subscribe(onSample: (sample: Sample) => void, onStatus: (status: InstrumentStatus) => void): () => void;
}
