import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useLive } from "../examination/ExaminationFrame";
import { api, dataOf } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";

type Length = "short" | "full" | "letter";

const LENGTHS: readonly [Length, string][] = [["short", "Short"], ["full", "Full"], ["letter", "Letter"]];
/** Where the length chosen last is kept in this browser. */
const KEPT = "lexicor.note-length";

/** The examination in words, to copy into a record or print. */
export function NoteView() {
  const live = useLive();
  const id = live.examination.id;
  const number = live.examination.commands.at(-1)?.number ?? 0;
  const [copied, setCopied] = useState<number>();
  const [length, setLength] = useState<Length>(() => LENGTHS.find(([value]) => value === window.localStorage.getItem(KEPT))?.[0] ?? "full");
  const note = useQuery({
    queryKey: keys.note(id, number, length),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/note", { params: { path: { id }, query: { length } }, parseAs: "text" })),
    placeholderData: keepPreviousData,
  });
  if (note.isError) {
    return <Message page title="The note could not be fetched" action={<Button look="primary" onClick={() => void note.refetch()}>Try again</Button>}>The record itself is safe.</Message>;
  }
  if (!note.data) {
    return <Waiting page what="the note" />;
  }
  const copy = async () => {
    await navigator.clipboard.writeText(note.data);
    setCopied(number);
  };
  return (
    <main className="mx-auto w-full max-w-3xl flex-1 px-5 py-6 lg:overflow-y-auto">
      <div className="no-print mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="font-serif text-head font-semibold">Note</h1>
        <div role="group" aria-label="Length" className="flex gap-1.5">
          {LENGTHS.map(([value, name]) => <Button key={value} look="choice" chosen={length === value} onClick={() => { window.localStorage.setItem(KEPT, value); setLength(value); setCopied(undefined); }}>{name}</Button>)}
        </div>
        <div className="flex items-center gap-3">
          <span role="status" className="text-note">{copied === number ? "Copied" : ""}</span>
          <Button onClick={() => { window.print(); }}>Print</Button>
          <Button look="primary" onClick={() => void copy()}>Copy the note</Button>
        </div>
      </div>
      {live.queue.pending.length > 0 && <p className="mb-3 border-l-4 border-ink pl-3">The last entries are not in this note yet.</p>}
      <pre tabIndex={0} aria-label="Text of the note" className="border border-line bg-sheet p-5 font-sans text-read whitespace-pre-wrap print:border-0 print:p-0">{note.data}</pre>
    </main>
  );
}
