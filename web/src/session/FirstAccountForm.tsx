import { useMutation } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { TextField } from "../shared/ui/TextField";
import { PASSWORD_HINT } from "./PasswordForm";
import { RoleChoice } from "./RoleChoice";
import type { Role } from "./session";

/** The very first account, made by whoever starts the server. There is no password that everybody knows. */
export function FirstAccountForm({ onSignedIn }: { onSignedIn: (session: Schemas["SessionJson"]) => void }) {
  const [draft, setDraft] = useState({
    code: "",
    name: "",
    displayName: "",
    password: "",
    roles: ["ADMINISTRATOR", "STEWARD", "THERAPIST"] as Role[],
  });
  const make = useMutation({
    mutationFn: (body: Schemas["FirstAccount"]) => dataOf(api.POST("/api/first-account", { body })),
    onSuccess: onSignedIn,
  });
  const faults = faultsOf(make.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    make.mutate(draft);
  };
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-4">
      <p className="text-read">Nobody can sign in yet. Make the first account: it keeps all others.</p>
      <TextField
        id="code"
        label="Code"
        hint="Printed where the server was started, such as ABCD-EFGH-IJKL-MNOP."
        value={draft.code}
        fault={faults.code}
        autoComplete="off"
        autoFocus
        onChange={(code) => {
          setDraft({ ...draft, code });
        }}
      />
      <TextField
        id="name"
        label="Sign-in name"
        hint="Small letters, digits, full stops and hyphens."
        value={draft.name}
        fault={faults.name}
        autoComplete="username"
        onChange={(name) => {
          setDraft({ ...draft, name });
        }}
      />
      <TextField
        id="displayName"
        label="Name as others see it"
        value={draft.displayName}
        fault={faults.displayName}
        onChange={(displayName) => {
          setDraft({ ...draft, displayName });
        }}
      />
      <TextField
        id="password"
        label="Password"
        hint={PASSWORD_HINT}
        type="password"
        value={draft.password}
        fault={faults.password}
        autoComplete="new-password"
        onChange={(password) => {
          setDraft({ ...draft, password });
        }}
      />
      <RoleChoice
        roles={draft.roles}
        fault={faults.roles}
        onChange={(roles) => {
          setDraft({ ...draft, roles });
        }}
      />
      <FormFault>{faults.other}</FormFault>
      <Button type="submit" look="primary" disabled={make.isPending} className="justify-center text-xl">
        Make the account
      </Button>
    </form>
  );
}
