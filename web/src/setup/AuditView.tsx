import { useInfiniteQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Waiting } from "../shared/ui/Message";
import { SetupPart } from "./SetupPart";

type Entry = Schemas["AuditEntryJson"];
type Action = Entry["action"];

const WORDS: Record<Action, string> = {
  SAW: "saw",
  ENTERED: "entered",
  CHANGED: "changed",
  TOOK_OUT: "took out",
  SIGNED_IN: "signed in",
  SIGNED_OUT: "signed out",
  REFUSED: "was refused",
};
const PAGE = 50;

/** Who did what and when. It can be read, and nothing in it can be changed. */
export function AuditView() {
  const [author, setAuthor] = useState("");
  const [action, setAction] = useState<Action | "">("");
  const [subject, setSubject] = useState("");
  const lines = useInfiniteQuery({
    queryKey: keys.audit(author, action, subject),
    queryFn: ({ pageParam }) =>
      dataOf(
        api.GET("/api/audit", {
          params: {
            query: {
              author,
              subjectId: subject,
              ...(action ? { action } : {}),
              ...(pageParam ? { before: pageParam } : {}),
            },
          },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (page) => (page.length < PAGE ? undefined : page.at(-1)?.id),
    staleTime: 0,
  });
  const entries = lines.data?.pages.flat() ?? [];
  return (
    <SetupPart
      title="Audit"
      about="Who saw, entered, changed or took out what. Looking at the same thing again within ten minutes is one look. Nothing here can be changed."
      shared={false}
    >
      <div className="flex flex-wrap items-end gap-4">
        <label className="text-note">
          Person
          <input
            value={author}
            onChange={(event) => {
              setAuthor(event.target.value);
            }}
            placeholder="sign-in name"
            className="ml-2 min-h-11 w-40 rounded border border-edge bg-sheet px-3 text-read"
          />
        </label>
        <label className="text-note">
          What
          <select
            value={action}
            onChange={(event) => {
              setAction(event.target.value as Action | "");
            }}
            className="ml-2 min-h-11 rounded border border-edge bg-sheet px-3 text-read"
          >
            <option value="">anything</option>
            {Object.entries(WORDS).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {subject && (
          <Button
            onClick={() => {
              setSubject("");
            }}
          >
            All subjects
          </Button>
        )}
      </div>
      {lines.isPending && <Waiting what="the audit" />}
      {lines.isError && (
        <p role="alert" className="mt-4 border-l-4 border-for pl-3 text-read">
          {lines.error.message}
        </p>
      )}
      {lines.data && entries.length === 0 && (
        <p role="status" className="mt-4 text-read">
          Nothing of this kind.
        </p>
      )}
      {entries.length > 0 && (
        <table className="mt-4 w-full">
          <thead>
            <tr className="text-left text-note text-soft">
              <th scope="col" className="font-normal">
                When
              </th>
              <th scope="col" className="font-normal">
                Who
              </th>
              <th scope="col" className="font-normal">
                Did
              </th>
              <th scope="col" className="font-normal">
                What
              </th>
            </tr>
          </thead>
          <tbody>
            {entries.map((entry) => (
              <tr key={entry.id} className="border-t border-line align-top text-read">
                <td className="py-1.5 pr-2 sm:pr-4 whitespace-nowrap">{when(entry.at)}</td>
                <td className="py-1.5 pr-2 sm:pr-4">{entry.author}</td>
                <td className="py-1.5 pr-2 sm:pr-4">{WORDS[entry.action]}</td>
                <td className="py-1.5">
                  {entry.subject !== "session" && entry.subject}
                  {entry.subjectId && (
                    <>
                      {" "}
                      <button
                        type="button"
                        onClick={() => {
                          setSubject(entry.subjectId);
                        }}
                        className="min-h-8 text-read wrap-anywhere underline"
                      >
                        {entry.subjectName || entry.subjectId}
                      </button>
                    </>
                  )}
                  {entry.detail && <span className="text-note text-soft"> {entry.detail}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {lines.hasNextPage && (
        <Button className="mt-3" disabled={lines.isFetchingNextPage} onClick={() => void lines.fetchNextPage()}>
          Older
        </Button>
      )}
    </SetupPart>
  );
}
