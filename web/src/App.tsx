import { lazy, Suspense } from "react";
import { Route, Routes } from "react-router";
import { BenchView } from "./bench/BenchView";
import { ClinicView } from "./clinic/ClinicView";
import { NewExaminationView } from "./clinic/NewExaminationView";
import { ExaminationFrame } from "./examination/ExaminationFrame";
import { NoteView } from "./note/NoteView";
import { Waiting } from "./shared/ui/Message";
import { NoSuchPage } from "./shared/ui/NoSuchPage";
import { WeighingView } from "./weighing/WeighingView";

const LibraryRoutes = lazy(() => import("./library/LibraryRoutes"));

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
      <Route path="/library/*" element={<Suspense fallback={<Waiting page what="the library" />}><LibraryRoutes /></Suspense>} />
      <Route path="*" element={<NoSuchPage />} />
    </Routes>
  );
}
