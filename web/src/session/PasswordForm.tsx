import { useMutation } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { TextField } from "../shared/ui/TextField";

/** What a password has to be, in a line. */
export const PASSWORD_HINT = "At least 15 characters of any kind. A few words in a row are easy to remember.";

/** Changes one's own password. */
export function PasswordForm({ onChanged }: { onChanged: (session: Schemas["SessionJson"]) => void }) {
  const [present, setPresent] = useState("");
  const [fresh, setFresh] = useState("");
  const change = useMutation({
    mutationFn: () => dataOf(api.POST("/api/session/password", { body: { present, fresh } })),
    onSuccess: (session) => {
      setPresent("");
      setFresh("");
      onChanged(session);
    },
  });
  const faults = faultsOf(change.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    change.mutate();
  };
  return (
    <form noValidate onSubmit={submit} className="flex max-w-md flex-col gap-4">
      <TextField
        id="present"
        label="Present password"
        type="password"
        autoComplete="current-password"
        value={present}
        fault={faults.present}
        onChange={setPresent}
      />
      <TextField
        id="fresh"
        label="New password"
        hint={PASSWORD_HINT}
        type="password"
        autoComplete="new-password"
        value={fresh}
        fault={faults.fresh}
        onChange={setFresh}
      />
      <FormFault>{faults.other}</FormFault>
      <div className="flex items-center gap-4">
        <Button type="submit" look="primary" disabled={change.isPending}>
          Change password
        </Button>
        {change.isSuccess && (
          <span role="status" className="text-read">
            Changed
          </span>
        )}
      </div>
    </form>
  );
}
