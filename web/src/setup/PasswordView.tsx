import { useQueryClient } from "@tanstack/react-query";
import { PasswordForm } from "../session";
import { keys } from "../shared/api/keys";
import { SecondFactor } from "./SecondFactor";
import { SetupPart } from "./SetupPart";

/** How one signs in: the password, and a second factor for those who want one. */
export function PasswordView() {
  const cache = useQueryClient();
  return (
    <SetupPart
      title="My sign-in"
      about="Other devices on which you are signed in will ask for the new password."
      shared={false}
    >
      <PasswordForm
        onChanged={(session) => {
          cache.setQueryData(keys.session, session);
        }}
      />
      <SecondFactor />
    </SetupPart>
  );
}
