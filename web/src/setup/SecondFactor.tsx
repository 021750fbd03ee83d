import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { usePerson } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { TextField } from "../shared/ui/TextField";

/** A second factor beside the password: for stewards and administrators above all. */
export function SecondFactor() {
  const person = usePerson();
  const cache = useQueryClient();
  const [codes, setCodes] = useState<readonly string[]>();
  const begin = useMutation({ mutationFn: () => dataOf(api.POST("/api/session/second-factor")) });
  const again = () => {
    begin.reset();
    void cache.invalidateQueries({ queryKey: keys.session });
  };
  return (
    <section aria-labelledby="second-factor" className="mt-8 max-w-xl border-t border-line pt-4">
      <h2 id="second-factor" className="text-xl font-semibold">
        Second factor
      </h2>
      {codes ? (
        <RecoveryCodes
          codes={codes}
          onDone={() => {
            setCodes(undefined);
            again();
          }}
        />
      ) : person.secondFactor ? (
        <On onEnded={again} />
      ) : begin.data ? (
        <Confirm
          begun={begin.data}
          onConfirmed={setCodes}
          onCancel={() => {
            begin.reset();
          }}
        />
      ) : (
        <>
          <p className="mt-1 mb-3 text-read">
            A code from an authenticator on your phone, asked beside the password. Recommended for stewards and
            administrators.
          </p>
          <Button
            disabled={begin.isPending}
            onClick={() => {
              begin.mutate();
            }}
          >
            Set it up
          </Button>
          {begin.isError && (
            <p role="alert" className="mt-2 text-note text-for">
              {faultsOf(begin.error).other}
            </p>
          )}
        </>
      )}
    </section>
  );
}

function Confirm({
  begun,
  onConfirmed,
  onCancel,
}: {
  begun: Schemas["SecondFactorJson"];
  onConfirmed: (codes: readonly string[]) => void;
  onCancel: () => void;
}) {
  const [code, setCode] = useState("");
  const confirm = useMutation({
    mutationFn: () =>
      dataOf(api.POST("/api/session/second-factor/confirmed", { body: { secret: begun.secret, code } })),
    onSuccess: (made) => {
      onConfirmed(made.codes);
    },
  });
  const faults = faultsOf(confirm.error);
  return (
    <form
      noValidate
      className="mt-2 flex flex-col gap-4"
      onSubmit={(event: SyntheticEvent) => {
        event.preventDefault();
        confirm.mutate();
      }}
    >
      <p className="text-read">
        Have your authenticator take in this square, or type the letters below it. Then type the six digits it shows.
      </p>
      <svg
        role="img"
        aria-label="The secret as a square to be photographed"
        viewBox={`0 0 ${String(begun.size)} ${String(begun.size)}`}
        className="size-56 bg-white text-black"
        shapeRendering="crispEdges"
      >
        <path d={begun.square} fill="currentColor" />
      </svg>
      <p className="font-mono text-read break-all">{begun.secret.replace(/(.{4})/g, "$1 ")}</p>
      <TextField
        id="factor-code"
        label="Six digits"
        value={code}
        autoComplete="one-time-code"
        fault={faults.code}
        onChange={setCode}
        className="max-w-60"
      />
      {faults.other && (
        <p role="alert" className="text-note text-for">
          {faults.other}
        </p>
      )}
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={confirm.isPending}>
          Ask for it from now on
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </div>
    </form>
  );
}

function RecoveryCodes({ codes, onDone }: { codes: readonly string[]; onDone: () => void }) {
  return (
    <div role="status" className="mt-2 flex flex-col gap-3">
      <p className="text-read">
        <strong>The second factor is on.</strong> Keep these codes on paper: each lets you in once without your phone.
        They are shown this one time.
      </p>
      <ol className="columns-2 font-mono text-read">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ol>
      <div className="flex gap-2">
        <Button
          onClick={() => {
            window.print();
          }}
        >
          Print
        </Button>
        <Button look="primary" onClick={onDone}>
          I have them
        </Button>
      </div>
    </div>
  );
}

function On({ onEnded }: { onEnded: () => void }) {
  const [password, setPassword] = useState("");
  const end = useMutation({
    mutationFn: () => dataOf(api.POST("/api/session/second-factor/ended", { body: { password } })),
    onSuccess: onEnded,
  });
  const faults = faultsOf(end.error);
  return (
    <form
      noValidate
      className="mt-2 flex flex-col gap-3"
      onSubmit={(event: SyntheticEvent) => {
        event.preventDefault();
        end.mutate();
      }}
    >
      <p className="text-read">
        <strong>On.</strong> A code is asked beside your password.
      </p>
      <TextField
        id="factor-password"
        label="Password, to switch it off"
        type="password"
        autoComplete="current-password"
        value={password}
        fault={faults.password ?? faults.other}
        onChange={setPassword}
        className="max-w-md"
      />
      <Button type="submit" className="self-start" disabled={end.isPending || password === ""}>
        Switch it off
      </Button>
    </form>
  );
}
