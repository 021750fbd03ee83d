import { Outlet, Route, Routes } from "react-router";
import { TopBar } from "../session";
import { PartsNav } from "../shared/ui/PartsNav";
import { NoSuchPage } from "../shared/ui/NoSuchPage";
import { CaseView } from "./CaseView";
import { ClassesView } from "./ClassesView";
import { DrillsView } from "./DrillsView";
import { PracticeMark } from "./PracticeMark";
import { ProgressView } from "./ProgressView";
import { RoomView } from "./RoomView";

const PLACES: [string, string][] = [
  ["/practice", "Patients"],
  ["/practice/drills", "Drills"],
  ["/practice/progress", "Progress"],
  ["/practice/classes", "Classes"],
];

/** Invented patients whose truth is known, drills, and what came of them. */
export default function PracticeRoutes() {
  return (
    <Routes>
      <Route element={<PracticeFrame />}>
        <Route index element={<RoomView />} />
        <Route path="drills" element={<DrillsView />} />
        <Route path="progress" element={<ProgressView />} />
        <Route path="classes" element={<ClassesView />} />
      </Route>
      <Route path="cases/:id" element={<CaseView />} />
      <Route path="*" element={<NoSuchPage />} />
    </Routes>
  );
}

function PracticeFrame() {
  return (
    <div className="mx-auto max-w-6xl px-5 pb-12">
      <TopBar />
      <PartsNav label="Parts of the practice room" places={PLACES}>
        <span className="ml-auto">
          <PracticeMark />
        </span>
      </PartsNav>
      <main className="mt-4">
        <Outlet />
      </main>
    </div>
  );
}
