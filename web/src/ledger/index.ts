/** What other features may use of this one. */
export { ImportView } from "./ImportView";
export { LedgerView } from "./LedgerView";
export { RecordView } from "./RecordView";
export { ReviewListView } from "./ReviewListView";
export { StudyFormView } from "./StudyFormView";
export { useKeepsLedger } from "./useLedger";
