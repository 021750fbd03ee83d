import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { numbered } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";

type Brought = Schemas["CaseBroughtJson"];

/** The largest file that is read, in bytes; the server refuses more. */
const MOST = 8_000_000;

/** A request with the text of a file as it is: the server reads it and says what it cannot take. */
function withText(file: string) {
  return {
    body: file as unknown as Schemas["CaseDocument"],
    bodySerializer: () => file,
    headers: { "Content-Type": "application/json" },
  };
}

/** A whole case from a file: looked through first, then kept whole or not at all. */
export function CaseArrival() {
  const cache = useQueryClient();
  const [text, setText] = useState<string>();
  const [fault, setFault] = useState<string>();
  const look = useMutation({
    mutationFn: (file: string) => dataOf(api.POST("/api/import/case/preview", withText(file))),
  });
  const keep = useMutation({
    mutationFn: (file: string) => dataOf(api.POST("/api/import/case", withText(file))),
    onSuccess: () => cache.invalidateQueries(),
  });
  const choose = async (file: File | undefined) => {
    setText(undefined);
    setFault(undefined);
    look.reset();
    keep.reset();
    if (!file) {
      return;
    }
    if (file.size > MOST) {
      setFault("The file is too large for one case: at most 8 MB.");
      return;
    }
    const read = await file.text();
    setText(read);
    look.mutate(read);
  };
  const found = look.data;
  return (
    <section aria-labelledby="case-arrival" className="mt-7">
      <h2 id="case-arrival" className="text-xl font-semibold">
        Bring a case in
      </h2>
      <p className="text-read text-soft">
        A whole case that another Lexicor wrote, or one that was taken away from here. It is looked through before
        anything is kept, and kept whole or not at all.
      </p>
      <label className="mt-2 block text-read font-semibold">
        File
        <input
          type="file"
          accept=".json,application/json"
          className="mt-1 block min-h-12 w-full max-w-xl rounded border border-edge bg-sheet px-3 py-2.5 text-read font-normal"
          onChange={(event) => {
            void choose(event.target.files?.[0]);
          }}
        />
      </label>
      <FormFault className="mt-3">{fault}</FormFault>
      <NotTaken error={look.error ?? keep.error} />
      {look.isPending && (
        <p role="status" className="mt-3 text-read text-soft">
          Looking it through …
        </p>
      )}
      {found && !keep.data && (
        <div className="mt-3 border-l-4 border-ink pl-4">
          <Found found={found} />
          {!found.here && text !== undefined && (
            <Button
              look="primary"
              className="mt-3"
              disabled={keep.isPending}
              onClick={() => {
                keep.mutate(text);
              }}
            >
              {keep.isPending ? "Keeping it …" : `Keep ${found.code}`}
            </Button>
          )}
        </div>
      )}
      {keep.data && (
        <p role="status" className="mt-3 border-l-4 border-ink pl-4 text-read font-semibold">
          {keep.data.code} is on record with {numbered(keep.data.visits, "visit")}.
        </p>
      )}
    </section>
  );
}

/** Why a file cannot be taken, with every place that the server named. */
function NotTaken({ error }: { error: Error | null }) {
  const places = error instanceof Refused ? error.problem.errors : [];
  if (places.length === 0) {
    return <FormFault className="mt-3">{faultsOf(error).other}</FormFault>;
  }
  return (
    <div role="alert" className="mt-3 border-l-4 border-for pl-3 text-read">
      <p>This file cannot be taken, so nothing is kept.</p>
      <ul className="mt-1 list-disc pl-5">
        {places.map(({ field, message }) => (
          <li key={field} className="break-words">
            <code>{field}</code>: {message}
          </li>
        ))}
      </ul>
    </div>
  );
}

function Found({ found }: { found: Brought }) {
  const notes = [
    found.newPeople.length > 0 &&
      `Named in it and without an account here: ${found.newPeople.join(", ")}. Each gets an account that is closed.`,
    found.otherDecisions > 0 &&
      `${numbered(found.otherDecisions, "visit")} not weighed by this clinic’s decisions. From now on by these; signed versions stay as they were signed.`,
    found.otherLedgers > 0 &&
      `${numbered(found.otherLedgers, "visit")} weighed by a ledger that is not here. From now on by the one here; signed versions stay as they were signed.`,
  ].filter((note): note is string => note !== false);
  return (
    <>
      <p className="font-serif text-xl font-semibold">{found.code}</p>
      <p role="status" className="text-read">
        {numbered(found.complaints, "complaint")}, {numbered(found.visits, "visit")}, {found.signed} of them signed,{" "}
        {numbered(found.results, "result")}.
        {found.here && " It is on record here already and says the same; there is nothing to keep."}
      </p>
      {!found.here && notes.length > 0 && (
        <ul className="mt-1 list-disc pl-5 text-read">
          {notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
    </>
  );
}
