/** What other features may use of this one. */
export { ImportView } from "./ImportView";
export { LedgerView } from "./LedgerView";
export { PolicyView } from "./PolicyView";
export { RecordView } from "./RecordView";
export { ReviewListView } from "./ReviewListView";
export { StudyFormView } from "./StudyFormView";
export { WaitingView } from "./WaitingView";
export { useKeepsLedger } from "./useLedger";
