import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { onDay } from "../shared/format";
import { PASSWORD_HINT, type Role, RoleChoice, roleWord } from "../session";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { Waiting } from "../shared/ui/Message";
import { TextField } from "../shared/ui/TextField";
import { SetupPart } from "./SetupPart";

type Account = Schemas["AccountJson"];

/** Who may sign in, and as what. */
export function AccountsView() {
  const accounts = useQuery({ queryKey: keys.accounts, queryFn: () => dataOf(api.GET("/api/accounts")), staleTime: 0 });
  const [open, setOpen] = useState<string>();
  return (
    <SetupPart
      title="Accounts"
      about="Who may sign in. An account is never deleted, so that what somebody entered keeps its author; it is switched off."
      shared={false}
    >
      {accounts.isPending && <Waiting what="the accounts" />}
      <ul>
        {accounts.data?.map((account) => (
          <li key={account.id} className="border-t border-line py-2">
            <div className="flex flex-wrap items-center gap-x-4">
              <span className="min-w-0 flex-1 text-read">
                <strong>{account.displayName}</strong> ({account.name}){!account.active && ", switched off"}
                {account.mustChangePassword && ", to change the password"}
                <br />
                <span className="text-note text-soft">
                  {account.roles.map(roleWord).join(", ")} · {account.secondFactor && "second factor · "}since{" "}
                  {onDay(account.createdAt)}
                </span>
              </span>
              <Button
                onClick={() => {
                  setOpen(open === account.id ? undefined : account.id);
                }}
              >
                {open === account.id ? "Close" : "Change"}
              </Button>
            </div>
            {open === account.id && (
              <Editor
                key={account.version}
                account={account}
                onDone={() => {
                  setOpen(undefined);
                }}
              />
            )}
          </li>
        ))}
      </ul>
      {open === "new" ? (
        <NewAccount
          onDone={() => {
            setOpen(undefined);
          }}
        />
      ) : (
        <Button
          look="primary"
          className="mt-4"
          onClick={() => {
            setOpen("new");
          }}
        >
          New account
        </Button>
      )}
    </SetupPart>
  );
}

function useSaved(onDone: () => void) {
  const cache = useQueryClient();
  return () => {
    void cache.invalidateQueries({ queryKey: keys.accounts });
    onDone();
  };
}

function Editor({ account, onDone }: { account: Account; onDone: () => void }) {
  const [draft, setDraft] = useState({
    displayName: account.displayName,
    roles: account.roles,
    active: account.active,
    password: "",
    forgetSecondFactor: false,
  });
  const saved = useSaved(onDone);
  const save = useMutation({
    mutationFn: () =>
      dataOf(
        api.PUT("/api/accounts/{id}", {
          params: { path: { id: account.id } },
          body: {
            displayName: draft.displayName,
            roles: draft.roles,
            active: draft.active,
            version: account.version,
            ...(draft.forgetSecondFactor ? { forgetSecondFactor: true } : {}),
            ...(draft.password ? { password: draft.password } : {}),
          },
        }),
      ),
    onSuccess: saved,
  });
  const faults = faultsOf(save.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    save.mutate();
  };
  return (
    <form noValidate onSubmit={submit} className="mt-3 mb-2 flex max-w-xl flex-col gap-4 border-l-4 border-line pl-5">
      <TextField
        id={`${account.name}-display`}
        label="Name as others see it"
        value={draft.displayName}
        fault={faults.displayName}
        onChange={(displayName) => {
          setDraft({ ...draft, displayName });
        }}
      />
      <RoleChoice
        roles={draft.roles}
        fault={faults.roles}
        onChange={(roles) => {
          setDraft({ ...draft, roles });
        }}
      />
      <TextField
        id={`${account.name}-password`}
        label="New password"
        hint="Leave empty to keep the present one. The person has to change yours at the next sign-in."
        type="password"
        autoComplete="new-password"
        value={draft.password}
        fault={faults.password}
        onChange={(password) => {
          setDraft({ ...draft, password });
        }}
      />
      <Button
        look="choice"
        chosen={!draft.active}
        className="self-start"
        onClick={() => {
          setDraft({ ...draft, active: !draft.active });
        }}
      >
        Switched off
      </Button>
      {account.secondFactor && (
        <Button
          look="choice"
          chosen={draft.forgetSecondFactor}
          className="self-start"
          onClick={() => {
            setDraft({ ...draft, forgetSecondFactor: !draft.forgetSecondFactor });
          }}
        >
          Take the second factor away: the phone is lost
        </Button>
      )}
      {faults.active && (
        <p role="alert" className="text-note text-for">
          {faults.active}
        </p>
      )}
      <FormFault>{faults.other}</FormFault>
      <Button type="submit" look="primary" disabled={save.isPending} className="self-start">
        Save
      </Button>
    </form>
  );
}

function NewAccount({ onDone }: { onDone: () => void }) {
  const [draft, setDraft] = useState({ name: "", displayName: "", password: "", roles: ["THERAPIST"] as Role[] });
  const saved = useSaved(onDone);
  const add = useMutation({ mutationFn: () => dataOf(api.POST("/api/accounts", { body: draft })), onSuccess: saved });
  const faults = faultsOf(add.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    add.mutate();
  };
  return (
    <form noValidate onSubmit={submit} className="mt-4 flex max-w-xl flex-col gap-4 border-l-4 border-ink pl-5">
      <h2 className="text-xl font-semibold">New account</h2>
      <TextField
        id="new-name"
        label="Sign-in name"
        hint="Small letters, digits, full stops and hyphens."
        value={draft.name}
        fault={faults.name}
        onChange={(name) => {
          setDraft({ ...draft, name });
        }}
      />
      <TextField
        id="new-display"
        label="Name as others see it"
        value={draft.displayName}
        fault={faults.displayName}
        onChange={(displayName) => {
          setDraft({ ...draft, displayName });
        }}
      />
      <TextField
        id="new-password"
        label="First password"
        hint={`${PASSWORD_HINT} The person changes it at the first sign-in.`}
        type="password"
        autoComplete="new-password"
        value={draft.password}
        fault={faults.password}
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
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={add.isPending}>
          Make the account
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  );
}
