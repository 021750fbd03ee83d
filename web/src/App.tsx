import { Link, Route, Routes } from "react-router";
import { BenchView } from "./bench/BenchView";
import { ClinicView } from "./clinic/ClinicView";
import { NewExaminationView } from "./clinic/NewExaminationView";
import { ExaminationFrame } from "./examination/ExaminationFrame";
import { NoteView } from "./note/NoteView";
import { CalculatorsView } from "./library/CalculatorsView";
import { ClusterSheetView } from "./library/ClusterSheetView";
import { ConditionSheetView } from "./library/ConditionSheetView";
import { LedgerView } from "./library/LedgerView";
import { LibraryFrame } from "./library/LibraryFrame";
import { LibraryView } from "./library/LibraryView";
import { TestSheetView } from "./library/TestSheetView";
import { Message } from "./shared/ui/Message";
import { WeighingView } from "./weighing/WeighingView";

/** Every view has an address of its own. */
export function App() {
  return (
    <Routes>
      <Route path="/" element={<ClinicView />} />
      <Route path="/new" element={<NewExaminationView />} />
      <Route path="/examinations/:id" element={<ExaminationFrame />}>
        <Route index element={<BenchView />} />
        <Route path="weighing" element={<WeighingView />} />
        <Route path="note" element={<NoteView />} />
      </Route>
      <Route path="/library" element={<LibraryFrame />}>
        <Route index element={<LibraryView />} />
        <Route path="tests/:id" element={<TestSheetView />} />
        <Route path="conditions/:id" element={<ConditionSheetView />} />
        <Route path="sets/:id" element={<ClusterSheetView />} />
        <Route path="ledger" element={<LedgerView />} />
        <Route path="calculators" element={<CalculatorsView />} />
      </Route>
      <Route path="*" element={<Message page title="There is no such page" action={<Link className="underline" to="/">Back to the list</Link>}>The address may be misspelt. Nothing was lost.</Message>} />
    </Routes>
  );
}
