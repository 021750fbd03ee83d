import { Navigate, NavLink, Outlet, Route, Routes } from "react-router";
import { TopBar, usePerson } from "../session";
import { NoSuchPage } from "../shared/ui/NoSuchPage";
import { AccuracyView } from "./AccuracyView";
import { AgreementView } from "./AgreementView";
import { CalibrationView } from "./CalibrationView";
import { WaitingView } from "./WaitingView";

/** What turned out, counted over the clinic. */
export default function OutcomesRoutes() {
  const therapist = usePerson().roles.includes("THERAPIST");
  return (
    <Routes>
      <Route element={<OutcomesFrame therapist={therapist} />}>
        <Route index element={<Navigate replace to={therapist ? "waiting" : "accuracy"} />} />
        {therapist && <Route path="waiting" element={<WaitingView />} />}
        <Route path="accuracy" element={<AccuracyView />} />
        <Route path="accuracy/:condition" element={<AccuracyView />} />
        <Route path="agreement" element={<AgreementView />} />
        <Route path="calibration" element={<CalibrationView />} />
      </Route>
      <Route path="*" element={<NoSuchPage />} />
    </Routes>
  );
}

function OutcomesFrame({ therapist }: { therapist: boolean }) {
  const places: [string, string][] = [
    ...(therapist ? [["waiting", "Waiting for an answer"] as [string, string]] : []),
    ["accuracy", "Our own accuracy"],
    ["calibration", "How chances held"],
    ["agreement", "Two examiners"],
  ];
  return (
    <div className="mx-auto max-w-6xl px-5 pb-12">
      <TopBar />
      <nav aria-label="Parts of the outcomes" className="no-print mt-3 flex flex-wrap">
        {places.map(([to, name]) => (
          <NavLink
            key={to}
            to={`/outcomes/${to}`}
            className={({ isActive }) =>
              `flex min-h-11 items-center border-b-4 px-3 text-read ${isActive ? "border-ink font-semibold" : "border-transparent text-soft hover:border-line"}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <main className="mt-4">
        <Outlet />
      </main>
    </div>
  );
}
