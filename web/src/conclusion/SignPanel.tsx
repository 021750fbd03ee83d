import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { usePerson } from "../session";
import type { LiveExamination } from "../examination";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { VersionList } from "./VersionList";

/** Where to mend what stands in the way. */
const WHERE: Record<Schemas["HindranceJson"]["kind"], [string, string] | undefined> = {
  FLAG_PRESENT: ["../intake#red-flags", "To the red flags"],
  FLAGS_NOT_ASKED: ["../intake#red-flags", "To the red flags"],
  DONE_UNDER_LOCK: ["..", "To the bench"],
  NOT_CONCLUDED: undefined,
};

/** Signing, what stands in its way, and what was signed. */
export function SignPanel({
  live,
  hindrances,
}: {
  live: LiveExamination;
  hindrances: readonly Schemas["HindranceJson"][];
}) {
  const { id, signing, commands } = live.examination;
  const waiting = live.queue.pending.length > 0;
  const person = usePerson();
  const { findingsBy } = live.examination;
  const colleagues = findingsBy.filter((each) => each.name !== person.name).map((each) => each.displayName);
  const countersigns = findingsBy.length > 0 && colleagues.length === findingsBy.length;
  const sign = useMutation({
    mutationFn: () =>
      dataOf(
        api.POST("/api/examinations/{id}/signature", {
          params: { path: { id } },
          body: { knows: commands.at(-1)?.number ?? 0 },
        }),
      ),
    onSuccess: live.signed,
    onError: (fault) => {
      if (fault instanceof Refused) {
        live.refresh();
      }
    },
  });
  const refusal = faultsOf(sign.error).other;
  return (
    <section id="sign" aria-label="Signing" className="flex scroll-mt-4 flex-col gap-3 border-t-2 border-ink pt-3">
      {!signing.closed && (
        <div>
          <h2 className="font-serif text-2xl font-semibold">
            Sign{signing.versions.length > 0 && ` version ${String(signing.versions.length + 1)}`}
          </h2>
          {hindrances.length > 0 ? (
            <ul aria-label="In the way of signing" className="mt-1 flex flex-col gap-1">
              {hindrances.map((each) => {
                const where = WHERE[each.kind];
                return (
                  <li key={each.kind + each.what} className="border-l-4 border-ink pl-3 text-read">
                    <strong>{each.what}.</strong> {each.then}{" "}
                    {where && (
                      <Link to={where[0]} relative="path" className="inline-flex min-h-11 items-center underline">
                        {where[1]}
                      </Link>
                    )}
                  </li>
                );
              })}
            </ul>
          ) : (
            <p className="text-read">
              Keeps what was found, what it came to, and by which evidence. Nothing can be added afterwards, except by
              an amendment.
            </p>
          )}
          {colleagues.length > 0 && (
            <p className="mt-1 text-read">
              {countersigns
                ? "You entered none of the findings: this countersigns those of "
                : "Findings were entered also by "}
              {colleagues.join(", ")}. Every name stands in the note and the report.
            </p>
          )}
          {waiting && (
            <p className="mt-1 border-l-4 border-ink pl-3 text-read">
              <strong>The server does not have your last entries yet.</strong> Sign once all is saved.
            </p>
          )}
          <div className="mt-2 flex flex-wrap items-center gap-3">
            <Button
              look="primary"
              className="px-6"
              disabled={hindrances.length > 0 || waiting || sign.isPending}
              onClick={() => {
                sign.mutate();
              }}
            >
              {countersigns ? "Countersign" : "Sign"}
            </Button>
            <span role="status" className="text-read">
              {sign.isPending ? "Signing …" : ""}
            </span>
            <Link to="../note" relative="path" className="inline-flex min-h-12 items-center text-read underline">
              To the note
            </Link>
          </div>
          {refusal && (
            <p role="alert" className="mt-2 border-l-4 border-for pl-3 text-read">
              {refusal}
            </p>
          )}
        </div>
      )}
      {signing.versions.length > 0 && <VersionList id={id} signing={signing} />}
      {signing.closed && <Amend live={live} />}
    </section>
  );
}

function Amend({ live }: { live: LiveExamination }) {
  const { id } = live.examination;
  const [reason, setReason] = useState<string>();
  const amend = useMutation({
    mutationFn: (why: string) =>
      dataOf(api.POST("/api/examinations/{id}/amendment", { params: { path: { id } }, body: { reason: why } })),
    onSuccess: (signing) => {
      setReason(undefined);
      live.signed(signing);
    },
    onError: (fault) => {
      if (fault instanceof Refused && fault.problem.status === 409) {
        live.refresh();
      }
    },
  });
  const faults = faultsOf(amend.error);
  if (reason === undefined) {
    return (
      <div className="flex flex-wrap gap-3">
        <Link
          to="../note"
          relative="path"
          className="inline-flex min-h-12 items-center rounded border-2 border-ink bg-tan px-6 text-read font-semibold"
        >
          To the note and report
        </Link>
        <Button
          onClick={() => {
            setReason("");
          }}
        >
          Amend
        </Button>
      </div>
    );
  }
  return (
    <form
      className="flex max-w-2xl flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        amend.mutate(reason);
      }}
    >
      <label htmlFor="reason" className="text-read font-semibold">
        Why is it amended?
      </label>
      <textarea
        id="reason"
        autoFocus
        rows={2}
        maxLength={1000}
        value={reason}
        onChange={(event) => {
          setReason(event.target.value);
        }}
        className="w-full rounded border border-edge bg-sheet px-3 py-2 text-read"
      />
      {(faults.reason ?? faults.other) && (
        <p role="alert" className="text-note text-for">
          {faults.reason ?? faults.other}
        </p>
      )}
      <div className="flex gap-2">
        <button
          type="submit"
          disabled={reason.trim().length < 3 || amend.isPending}
          className="min-h-12 rounded border-2 border-ink bg-tan px-5 text-read font-semibold disabled:opacity-60"
        >
          Open for amending
        </button>
        <Button
          onClick={() => {
            setReason(undefined);
          }}
        >
          Cancel
        </Button>
      </div>
    </form>
  );
}
