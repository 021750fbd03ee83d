import { lazy, Suspense } from "react";
import { Navigate, Route, Routes } from "react-router";
import { BenchView } from "./bench/BenchView";
import { CaseView } from "./cases/CaseView";
import { CasesView } from "./cases/CasesView";
import { StartView } from "./cases/StartView";
import { ExaminationFrame } from "./examination/ExaminationFrame";
import { IntakeView } from "./intake/IntakeView";
import { ConcludeView } from "./conclusion/ConcludeView";
import { NoteView } from "./note/NoteView";
import { PlanView } from "./plan/PlanView";
import { SessionGate } from "./session/SessionGate";
import { usePerson } from "./session/session";
import { Waiting } from "./shared/ui/Message";
import { Safe } from "./shared/ui/Safe";
import { NoSuchPage } from "./shared/ui/NoSuchPage";
import { WeighingView } from "./weighing/WeighingView";

const CourseView = lazy(() => import("./course/CourseView"));
const LibraryRoutes = lazy(() => import("./library/LibraryRoutes"));
const OutcomesRoutes = lazy(() => import("./outcomes/OutcomesRoutes"));
const PracticeRoutes = lazy(() => import("./practice/PracticeRoutes"));
const TwoPlansView = lazy(() => import("./plan/TwoPlansView"));
const HelpView = lazy(() => import("./help/HelpView"));
const SpecimensView = import.meta.env.DEV ? lazy(() => import("./specimens/SpecimensView")) : undefined;
const SetupRoutes = lazy(() => import("./setup/SetupRoutes"));

/** Every view has an address of its own. */
export function App() {
  return (
    <SessionGate>
      <Views />
    </SessionGate>
  );
}

function Views() {
  const { roles } = usePerson();
  const therapist = roles.includes("THERAPIST");
  return (
    <Safe>
      <Routes>
        {therapist ? (
          <>
            <Route path="/" element={<CasesView />} />
            <Route path="/new" element={<StartView />} />
            <Route path="/cases/:id" element={<CaseView />} />
            <Route
              path="/cases/:id/course/:complaint"
              element={
                <Suspense fallback={<Waiting page what="the course" />}>
                  <CourseView />
                </Suspense>
              }
            />
            <Route path="/examinations/:id" element={<ExaminationFrame />}>
              <Route index element={<BenchView />} />
              <Route path="intake" element={<IntakeView />} />
              <Route path="plan" element={<PlanView />} />
              <Route
                path="two-stories"
                element={
                  <Suspense fallback={<Waiting page what="the plans" />}>
                    <TwoPlansView />
                  </Suspense>
                }
              />
              <Route path="weighing" element={<WeighingView />} />
              <Route path="conclude" element={<ConcludeView />} />
              <Route path="note" element={<NoteView />} />
            </Route>
          </>
        ) : (
          <Route path="/" element={<Navigate replace to={roles.includes("STUDENT") ? "/library" : "/setup"} />} />
        )}
        {(therapist || roles.includes("STEWARD")) && (
          <Route
            path="/outcomes/*"
            element={
              <Suspense fallback={<Waiting page what="the outcomes" />}>
                <OutcomesRoutes />
              </Suspense>
            }
          />
        )}
        <Route
          path="/library/*"
          element={
            <Suspense fallback={<Waiting page what="the library" />}>
              <LibraryRoutes />
            </Suspense>
          }
        />
        <Route
          path="/practice/*"
          element={
            <Suspense fallback={<Waiting page what="the practice room" />}>
              <PracticeRoutes />
            </Suspense>
          }
        />
        <Route
          path="/setup/*"
          element={
            <Suspense fallback={<Waiting page what="the setup" />}>
              <SetupRoutes />
            </Suspense>
          }
        />
        <Route
          path="/help"
          element={
            <Suspense fallback={<Waiting page what="the help" />}>
              <HelpView />
            </Suspense>
          }
        />
        {SpecimensView && (
          <Route
            path="/specimens"
            element={
              <Suspense fallback={<Waiting page what="the specimens" />}>
                <SpecimensView />
              </Suspense>
            }
          />
        )}
        <Route path="*" element={<NoSuchPage />} />
      </Routes>
    </Safe>
  );
}
