/** What other features may use of this one. */
export { useLive } from "./ExaminationFrame";
export { NewerLedger } from "./NewerLedger";
export type { LiveExamination } from "./useExamination";
