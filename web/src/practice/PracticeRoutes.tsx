import { NavLink, Outlet, Route, Routes } from "react-router";
import { TopBar } from "../session";
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
      <nav aria-label="Parts of the practice room" className="no-print mt-3 flex flex-wrap items-center">
        {PLACES.map(([to, name]) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) =>
              `flex min-h-11 items-center border-b-4 px-3 text-read ${isActive ? "border-ink font-semibold" : "border-transparent text-soft hover:border-line"}`
            }
          >
            {name}
          </NavLink>
        ))}
        <span className="ml-auto">
          <PracticeMark />
        </span>
      </nav>
      <main className="mt-4">
        <Outlet />
      </main>
    </div>
  );
}
