/** What other features may use of this one. */
export { useLive } from "./ExaminationFrame";
export type { LiveExamination } from "./useExamination";
