import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import type { LiveExamination } from "../examination";
import { api, dataOf } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";

interface NoteTextProps {
  live: LiveExamination;
  length: "short" | "full" | "letter" | "patient";
  /** A signed version; absent for the last, or the draft. */
  version: number | undefined;
  forms: ReactNode;
}

/** The examination in words, to copy into a record or print. */
export function NoteText({ live, length, version, forms }: NoteTextProps) {
  const { id, commands, signing } = live.examination;
  const number = commands.at(-1)?.number ?? 0;
  const [copied, setCopied] = useState<string>();
  const note = useQuery({
    queryKey: [...keys.note(id, number, length, version ?? 0), signing.closed, signing.versions.length],
    queryFn: () =>
      dataOf(
        api.GET("/api/examinations/{id}/note", {
          params: { path: { id }, query: version === undefined ? { length } : { length, version } },
          parseAs: "text",
        }),
      ),
    placeholderData: keepPreviousData,
  });
  if (note.isError) {
    return (
      <Message
        title="The note could not be fetched"
        action={
          <Button look="primary" onClick={() => void note.refetch()}>
            Try again
          </Button>
        }
      >
        The record itself is safe.
      </Message>
    );
  }
  if (!note.data) {
    return <Waiting what="the note" />;
  }
  const text = note.data;
  const copy = async () => {
    await navigator.clipboard.writeText(text);
    setCopied(text);
  };
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="font-serif text-head font-semibold">Note</h1>
        {forms}
        <div className="flex items-center gap-3">
          <span role="status" className="text-note">
            {copied === text ? "Copied" : ""}
          </span>
          <Button
            onClick={() => {
              window.print();
            }}
          >
            Print
          </Button>
          <Button look="primary" onClick={() => void copy()}>
            Copy the note
          </Button>
        </div>
      </div>
      <pre
        tabIndex={0}
        dir="auto"
        aria-label="Text of the note"
        className="border border-line bg-sheet p-5 font-sans text-read whitespace-pre-wrap break-words print:border-0 print:p-0"
      >
        {text}
      </pre>
    </>
  );
}
