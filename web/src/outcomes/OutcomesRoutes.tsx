import { Navigate, Outlet, Route, Routes } from "react-router";
import { TopBar, usePerson } from "../session";
import { PartsNav } from "../shared/ui/PartsNav";
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
    ...(therapist ? [["/outcomes/waiting", "Waiting for an answer"] as [string, string]] : []),
    ["/outcomes/accuracy", "Our own accuracy"],
    ["/outcomes/calibration", "How chances held"],
    ["/outcomes/agreement", "Two examiners"],
  ];
  return (
    <div className="mx-auto max-w-6xl px-5 pb-12">
      <TopBar />
      <PartsNav label="Parts of the outcomes" places={places} />
      <main className="mt-4">
        <Outlet />
      </main>
    </div>
  );
}
