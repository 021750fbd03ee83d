import { Route, Routes } from "react-router";
import { ImportView, LedgerView, PolicyView, RecordView, ReviewListView, StudyFormView, WaitingView } from "../ledger";
import { CalculatorsView } from "./CalculatorsView";
import { ClusterSheetView } from "./ClusterSheetView";
import { ConditionSheetView } from "./ConditionSheetView";
import { LibraryFrame } from "./LibraryFrame";
import { LibraryView } from "./LibraryView";
import { TestSheetView } from "./TestSheetView";
import { NoSuchPage } from "../shared/ui/NoSuchPage";

/** Every view of the desk. Fetched apart, so that the bench opens without it. */
export default function LibraryRoutes() {
  return (
    <Routes>
      <Route element={<LibraryFrame />}>
        <Route index element={<LibraryView />} />
        <Route path="tests/:id" element={<TestSheetView />} />
        <Route path="conditions/:id" element={<ConditionSheetView />} />
        <Route path="sets/:id" element={<ClusterSheetView />} />
        <Route path="ledger" element={<LedgerView />} />
        <Route path="ledger/new" element={<StudyFormView />} />
        <Route path="ledger/import" element={<ImportView />} />
        <Route path="ledger/policy" element={<PolicyView />} />
        <Route path="ledger/waiting" element={<WaitingView />} />
        <Route path="ledger/review" element={<ReviewListView />} />
        <Route path="ledger/:id" element={<RecordView />} />
        <Route path="ledger/:id/correct" element={<StudyFormView />} />
        <Route path="calculators" element={<CalculatorsView />} />
      </Route>
      <Route path="*" element={<NoSuchPage />} />
    </Routes>
  );
}
