import { useMutation } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { TextField } from "../shared/ui/TextField";
import { RoleChoice } from "./RoleChoice";
import type { Role } from "./session";

/** The very first account, made by whoever starts the server. There is no password that everybody knows. */
export function FirstAccountForm({ onSignedIn }: { onSignedIn: (session: Schemas["SessionJson"]) => void }) {
  const [draft, setDraft] = useState({ name: "", displayName: "", password: "", roles: ["ADMINISTRATOR", "STEWARD", "THERAPIST"] as Role[] });
  const make = useMutation({
    mutationFn: (body: Schemas["NewAccount"]) => dataOf(api.POST("/api/first-account", { body })),
    onSuccess: onSignedIn,
  });
  const faults = faultsOf(make.error);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make.mutate(draft);
  };
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-4">
      <p className="text-read">Nobody can sign in yet. Make the first account: it keeps all others.</p>
      <TextField id="name" label="Sign-in name" hint="Small letters, digits, full stops and hyphens." value={draft.name} fault={faults.name} autoComplete="username" autoFocus onChange={(name) => { setDraft({ ...draft, name }); }} />
      <TextField id="displayName" label="Name as others see it" value={draft.displayName} fault={faults.displayName} onChange={(displayName) => { setDraft({ ...draft, displayName }); }} />
      <TextField id="password" label="Password" hint="At least 10 characters." type="password" value={draft.password} fault={faults.password} autoComplete="new-password" onChange={(password) => { setDraft({ ...draft, password }); }} />
      <RoleChoice roles={draft.roles} fault={faults.roles} onChange={(roles) => { setDraft({ ...draft, roles }); }} />
      {faults.other && <p role="alert" className="border-l-4 border-for pl-3 text-read">{faults.other}</p>}
      <Button type="submit" look="primary" disabled={make.isPending} className="justify-center text-xl">Make the account</Button>
    </form>
  );
}
