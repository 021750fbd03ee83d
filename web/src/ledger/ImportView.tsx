import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { Message } from "../shared/ui/Message";
import { Effect } from "./Effect";
import { useKeepsLedger, useWaiting } from "./useLedger";

type Brought = Schemas["LedgerBroughtJson"];

/** The largest file that is read, in bytes; the server refuses more. */
const MOST = 7_500_000;
/** Records that are named one by one. */
const NAMED = 20;

interface Table {
  id: string;
  file: string;
  text: string;
}

/** A table of studies from a file: looked through first, then kept whole or not at all. */
export function ImportView() {
  const keeps = useKeepsLedger();
  const waiting = useWaiting();
  const cache = useQueryClient();
  const [table, setTable] = useState<Table>();
  const [fault, setFault] = useState<string>();
  const look = useMutation({
    mutationFn: (body: Table) => dataOf(api.POST("/api/ledger/import/preview", { body })),
  });
  const keep = useMutation({
    mutationFn: (body: Table) => dataOf(api.POST("/api/ledger/import", { body })),
    onSuccess: () => cache.invalidateQueries(),
  });
  const choose = async (file: File | undefined) => {
    setTable(undefined);
    setFault(undefined);
    look.reset();
    keep.reset();
    if (!file) {
      return;
    }
    if (file.size > MOST) {
      setFault("The file is too large. At most 5,000 records, 7.5 MB.");
      return;
    }
    const read = { id: crypto.randomUUID(), file: file.name, text: await file.text() };
    setTable(read);
    look.mutate(read);
  };
  if (!keeps) {
    return (
      <Message title="Only a steward changes the ledger" page>
        Ask a steward to bring a table in. Reading the ledger is open to everybody.
      </Message>
    );
  }
  const found = look.data;
  const brings = found ? found.added.length + found.corrected.length : 0;
  return (
    <main className="max-w-4xl">
      <title>Bring a table in · Lexicor</title>
      <p className="mt-3 text-note">
        <Link to="/library/ledger" className="inline-flex min-h-11 items-center underline">
          Ledger
        </Link>
      </p>
      <h1 className="font-serif text-head font-semibold">Bring a table in</h1>
      <p className="mt-1 text-read text-soft">
        A table with commas in UTF-8, as{" "}
        <a className="underline" href="/api/ledger/ledger.csv" download>
          the ledger goes out
        </a>
        : change it in a spreadsheet, or write new studies under its first line with an empty first column. It is looked
        through before anything is kept, and kept whole or not at all. A ledger as JSON comes back the same way.
      </p>
      <label className="mt-4 block text-read font-semibold">
        File
        <input
          type="file"
          accept=".csv,.json,text/csv,application/json"
          className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-3 py-2.5 text-read font-normal"
          onChange={(event) => {
            void choose(event.target.files?.[0]);
          }}
        />
      </label>
      <FormFault className="mt-3">{fault ?? faultsOf(look.error).other ?? faultsOf(keep.error).other}</FormFault>
      {look.isPending && (
        <p role="status" className="mt-4 text-read text-soft">
          Looking it through …
        </p>
      )}
      {found && !keep.data && (
        <section aria-label="What it brings" className="mt-5">
          <h2 className="font-serif text-xl font-semibold">What it brings</h2>
          {found.faulty > 0 ? (
            <Faults found={found} />
          ) : (
            <>
              <p className="text-read" role="status">
                {found.added.length} new, {found.corrected.length} that say something else, {found.same} the same as
                here.
              </p>
              <Named title="New" records={found.added} />
              <Named title="Corrected" records={found.corrected} />
              {found.effect && brings > 0 && <Effect preview={found.effect} />}
              {brings > 0 && table && (
                <Button
                  look="primary"
                  className="mt-4"
                  disabled={keep.isPending}
                  onClick={() => {
                    keep.mutate(table);
                  }}
                >
                  {keep.isPending ? "Keeping them …" : `Keep ${brings === 1 ? "it" : `all ${String(brings)}`}`}
                </Button>
              )}
            </>
          )}
        </section>
      )}
      {keep.data?.kept && (
        <Message title="Kept">
          {keep.data.added.length} new and {keep.data.corrected.length} corrected records are in the{" "}
          <Link className="underline" to="/library/ledger">
            ledger
          </Link>
          .{waiting.data?.needed && " They weigh once another steward agrees."}
        </Message>
      )}
      {keep.data && !keep.data.kept && <Faults found={keep.data} />}
    </main>
  );
}

function Faults({ found }: { found: Schemas["LedgerImportJson"] }) {
  return (
    <>
      <p role="alert" className="border-l-4 border-for pl-3 text-read">
        {found.faulty} {found.place === "LINE" ? "line" : "record"}
        {found.faulty === 1 ? " cannot" : "s cannot"} be taken, so nothing is kept.
      </p>
      <ol className="mt-2 text-read">
        {found.faults.map((fault) => (
          <li key={`${String(fault.line)} ${fault.says}`} className="border-b border-line py-1">
            {fault.line === 0 ? "The file" : `${found.place === "LINE" ? "Line" : "Record"} ${String(fault.line)}`}:{" "}
            {fault.says}
          </li>
        ))}
      </ol>
      {found.faulty > found.faults.length && (
        <p className="text-note text-soft">The first {found.faults.length} are shown.</p>
      )}
    </>
  );
}

function Named({ title, records }: { title: string; records: Brought[] }) {
  return records.length === 0 ? null : (
    <>
      <h3 className="mt-2 text-note font-semibold text-soft">{title}</h3>
      <ul className="text-read">
        {records.slice(0, NAMED).map((each) => (
          <li key={each.record}>
            {each.record}: {each.subject}, for {each.condition}. <span className="text-soft">{each.citation}</span>
          </li>
        ))}
        {records.length > NAMED && <li className="text-soft">and {records.length - NAMED} more</li>}
      </ul>
    </>
  );
}
