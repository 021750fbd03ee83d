/** What other features may use of this one. */
export { StandInPanel } from "./StandInPanel";
export type { InstrumentKind, Sample } from "./instrument";
export { EVERY } from "./standIn";
export { useEfforts, useStatus } from "./useInstrument";
