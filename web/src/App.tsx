import { Link, Route, Routes } from "react-router";
import { BenchView } from "./bench/BenchView";
import { ClinicView } from "./clinic/ClinicView";
import { NewExaminationView } from "./clinic/NewExaminationView";
import { ExaminationFrame } from "./examination/ExaminationFrame";
import { NoteView } from "./note/NoteView";
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
      <Route path="*" element={<Message page title="There is no such page" action={<Link className="underline" to="/">Back to the list</Link>}>The address may be misspelt. Nothing was lost.</Message>} />
    </Routes>
  );
}
