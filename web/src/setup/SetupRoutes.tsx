import { Navigate, Route, Routes } from "react-router";
import { NoSuchPage } from "../shared/ui/NoSuchPage";
import { usePerson } from "../session";
import { AccountsView } from "./AccountsView";
import { AuditView } from "./AuditView";
import { BackupsView } from "./BackupsView";
import { ChangesView } from "./ChangesView";
import { EstimatesView } from "./EstimatesView";
import { NoiseView } from "./NoiseView";
import { NotesView } from "./NotesView";
import { PasswordView } from "./PasswordView";
import { ReceiverView } from "./ReceiverView";
import { RoutinesView } from "./RoutinesView";
import { SchoolsView } from "./SchoolsView";
import { ScreenView } from "./ScreenView";
import { SetupFrame } from "./SetupFrame";
import { ThresholdsView } from "./ThresholdsView";
import { WeighingSetupView } from "./WeighingSetupView";

/** Everything that the clinic and each person decide for themselves. */
export default function SetupRoutes() {
  const { roles } = usePerson();
  const administrator = roles.includes("ADMINISTRATOR");
  return (
    <Routes>
      <Route element={<SetupFrame />}>
        <Route
          index
          element={
            <Navigate replace to={administrator && !roles.includes("STEWARD") ? "/setup/accounts" : "/setup/schools"} />
          }
        />
        <Route path="schools" element={<SchoolsView />} />
        <Route path="thresholds" element={<ThresholdsView />} />
        <Route path="estimates" element={<EstimatesView />} />
        <Route path="weighing" element={<WeighingSetupView />} />
        <Route path="routines" element={<RoutinesView />} />
        <Route path="notes" element={<NotesView />} />
        <Route path="noise" element={<NoiseView />} />
        <Route path="screen" element={<ScreenView />} />
        {(administrator || roles.includes("STEWARD")) && <Route path="changes" element={<ChangesView />} />}
        {administrator && <Route path="accounts" element={<AccountsView />} />}
        {administrator && <Route path="backups" element={<BackupsView />} />}
        {administrator && <Route path="sending" element={<ReceiverView />} />}
        {administrator && <Route path="audit" element={<AuditView />} />}
        <Route path="password" element={<PasswordView />} />
      </Route>
      <Route path="*" element={<NoSuchPage />} />
    </Routes>
  );
}
