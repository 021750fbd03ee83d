import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { when } from "../shared/format";
import { FormFault } from "../shared/ui/FormFault";
import { usePerson } from "../session";
import { useKeepsLedger } from "./useLedger";

type Paper = Schemas["LedgerPaperJson"];

/** The largest paper that is kept, in bytes. */
const MOST = 10 * 1024 * 1024;

/** Original papers kept with a record; for those who examine and those who keep the ledger. */
export function Papers({ record }: { record: string }) {
  const { roles } = usePerson();
  const keeps = useKeepsLedger();
  const may = keeps || roles.includes("THERAPIST");
  const cache = useQueryClient();
  const [fault, setFault] = useState<string>();
  const papers = useQuery({
    queryKey: keys.papers(record),
    queryFn: () => dataOf(api.GET("/api/papers/of/{record}", { params: { path: { record } } })),
    enabled: may,
  });
  const add = useMutation({
    mutationFn: (file: File) =>
      dataOf(
        api.POST("/api/papers/of/{record}/{paper}", {
          params: { path: { record, paper: crypto.randomUUID() }, query: { name: file.name } },
          headers: { "Content-Type": "application/pdf" },
          body: file as never,
          bodySerializer: (body: unknown) => body as BodyInit,
        }),
      ),
    onSuccess: (after) => {
      cache.setQueryData(keys.papers(record), after);
    },
  });
  if (!may || !papers.data || (papers.data.length === 0 && !keeps)) {
    return null;
  }
  return (
    <section aria-label="Papers" className="mt-6">
      <h2 className="font-serif text-xl font-semibold">Papers</h2>
      <ul className="text-read">
        {papers.data.map((paper) => (
          <PaperLine key={paper.id} paper={paper} record={record} keeps={keeps} />
        ))}
      </ul>
      {keeps && (
        <label className="no-print mt-2 block text-note">
          Keep a PDF of the original here, at most 10 MB. Whether the clinic may keep it is for you to know.
          <input
            type="file"
            accept="application/pdf,.pdf"
            disabled={add.isPending}
            className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-3 py-2.5 text-read"
            onChange={(event) => {
              const file = event.target.files?.[0];
              setFault(undefined);
              add.reset();
              if (file && file.size > MOST) {
                setFault("The file is too large. At most 10 MB.");
              } else if (file) {
                add.mutate(file);
              }
              event.target.value = "";
            }}
          />
        </label>
      )}
      {add.isPending && (
        <p role="status" className="text-note text-soft">
          Keeping it …
        </p>
      )}
      <FormFault className="mt-2">{fault ?? faultsOf(add.error).file ?? faultsOf(add.error).other}</FormFault>
    </section>
  );
}

function PaperLine({ paper, record, keeps }: { paper: Paper; record: string; keeps: boolean }) {
  const cache = useQueryClient();
  const remove = useMutation({
    mutationFn: () => dataOf(api.POST("/api/papers/{paper}/removal", { params: { path: { paper: paper.id } } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: keys.papers(record) }),
  });
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 border-b border-line py-1">
      <span>
        {paper.removed ? (
          <del className="text-soft">{paper.name}</del>
        ) : (
          <a className="underline" href={`/api/papers/${paper.id}.pdf`} download>
            {paper.name}
          </a>
        )}
        <span className="text-note text-soft">
          {" "}
          {Math.max(1, Math.round(paper.size / 1024))} kB, by {paper.by} on {when(paper.at)}
          {paper.removed && `; taken away by ${paper.removed.by} on ${when(paper.removed.at)}`}
        </span>
      </span>
      {keeps && !paper.removed && (
        <button
          type="button"
          aria-label={`Take away ${paper.name}`}
          className="no-print min-h-10 text-note underline"
          onClick={() => {
            remove.mutate();
          }}
        >
          Take away
        </button>
      )}
    </li>
  );
}
