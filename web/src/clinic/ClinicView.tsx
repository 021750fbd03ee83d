import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, inHundred, sideWord, when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { Wordmark } from "../shared/ui/Wordmark";

type Line = Schemas["Line"];

/** The examinations, newest first: find one, go on with it, or start another. */
export function ClinicView() {
  const [search, setSearch] = useState("");
  const list = useQuery({ queryKey: keys.examinations, queryFn: () => dataOf(api.GET("/api/examinations")), staleTime: 0 });
  return (
    <div className="mx-auto max-w-6xl px-5 pb-10">
      <header className="flex flex-wrap items-center justify-between gap-3 border-b border-line py-2">
        <Wordmark />
        <span className="flex flex-wrap items-center gap-x-4">
          <Link to="/library" className="flex min-h-12 items-center px-2 text-read underline">Library</Link>
          <StartLink />
        </span>
      </header>
      <main>
        <div className="mt-6 mb-4 flex flex-wrap items-end justify-between gap-4">
          <h1 className="font-serif text-head font-semibold">Examinations</h1>
          {(list.data?.length ?? 0) > 0 && (
            <label className="text-note">
              Find a case
              <input type="search" value={search} onChange={(event) => { setSearch(event.target.value); }} placeholder="code, occupation or side"
                className="ml-2 min-h-12 w-64 rounded border border-edge bg-sheet px-3 text-read placeholder:text-soft" />
            </label>
          )}
        </div>
        {list.isError && <Message title="The list could not be fetched" action={<Button look="primary" onClick={() => void list.refetch()}>Try again</Button>}>Nothing was lost. The server may have stopped.</Message>}
        {list.isPending && <Waiting what="the examinations" />}
        {list.data && <Lines lines={list.data} search={search} />}
      </main>
      <footer className="mt-8 max-w-3xl text-note text-soft">
        Decision support for licensed practice under local scope and protocols. It is not a diagnosis: the therapist concludes.
      </footer>
    </div>
  );
}

function StartLink() {
  return (
    <Link to="/new" className="flex min-h-12 items-center rounded border-2 border-ink bg-tan px-4 text-read font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line">
      Start an examination
    </Link>
  );
}

function Lines({ lines, search }: { lines: Line[]; search: string }) {
  const wanted = search.trim().toLowerCase();
  const found = lines.filter((line) => `${line.caseCode} ${line.occupation} ${sideWord(line.side)} ${line.region} ${line.leader ?? ""}`.toLowerCase().includes(wanted));
  if (lines.length === 0) {
    return <Message title="No examination yet" action={<StartLink />}>Start one with a case code, age, occupation and side. It is kept from the first tap.</Message>;
  }
  if (found.length === 0) {
    return <p role="status" className="border-l-4 border-ink bg-sheet px-5 py-4 text-read">No examination matches “{search.trim()}”.</p>;
  }
  return (
    <ul className="border-t border-line">
      {found.map((line) => (
        <li key={line.id} className="border-b border-line">
          <Link to={`/examinations/${line.id}`} className="grid min-h-18 grid-cols-[1fr_auto] items-center gap-x-5 gap-y-1 px-3 py-2.5 hover:bg-sheet md:grid-cols-[7.5rem_minmax(0,1fr)_11rem_minmax(0,15rem)_8.5rem]">
            <strong className="text-read">{line.caseCode}</strong>
            <span className="col-span-2 text-read md:col-span-1">{line.age}, {line.occupation}<br /><span className="text-note text-soft">{capital(sideWord(line.side))} {line.region}</span></span>
            <Steps line={line} />
            <span className="text-read">{line.leader && line.chance != null ? <>{line.leader} <strong>{inHundred(line.chance)}</strong><br /><span className="text-note text-soft">in 100, highest of those weighed</span></> : <span className="text-soft">Nothing weighed yet</span>}</span>
            <span className="text-right text-note text-soft">{when(line.lastAt)}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** How far the examination has got, as a row of strokes and in words. */
function Steps({ line }: { line: Line }) {
  const words = line.done === line.total ? "All done" : line.done === 0 ? "Just begun" : `${String(line.done)} of ${String(line.total)} done`;
  return (
    <span className="text-note">
      <svg width={line.total * 20} height={14} aria-hidden="true" className="mb-0.5 block">
        {Array.from({ length: line.total }, (_, index) => (
          <path key={index} d={`M${String(index * 20 + 1)} 7h15`} stroke={index < line.done ? "var(--color-ink)" : "var(--color-line)"} strokeWidth={6} />
        ))}
      </svg>
      {words}
    </span>
  );
}
