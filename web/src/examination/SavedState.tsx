import { useMutation } from "@tanstack/react-query";
import { api, dataOf, Refused } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { entryWords } from "../record";
import type { LiveExamination } from "./useExamination";

/** Whether everything recorded is on the server, quietly; and plainly where it is not. */
export function SavedState({ live }: { live: LiveExamination }) {
  const { status, pending, held, unkept } = live.queue;
  if (unkept > 0 && status === "waiting") {
    return (
      <p role="alert" className="max-w-sm border-l-4 border-for pl-2 text-note">
        <strong>{unkept} on this page alone.</strong> This browser has no room to keep {unkept === 1 ? "it" : "them"}.
        Leave the page open until all is saved.
      </p>
    );
  }
  if (status === "waiting" && held) {
    return (
      <p role="status" className="max-w-sm border-l-4 border-ink pl-2 text-note">
        <strong>{pending.length} kept here, nothing is lost.</strong> {held.why}
      </p>
    );
  }
  if (status === "waiting") {
    return (
      <div role="status" className="flex items-center gap-2 text-note">
        <span>
          <strong>No connection.</strong> {pending.length} kept here, nothing is lost.
        </span>
        <Button onClick={live.retry}>Try now</Button>
      </div>
    );
  }
  return (
    <p role="status" className="min-w-13 text-right text-note text-soft sm:w-16">
      {status === "saved" ? "Saved" : "Saving"}
    </p>
  );
}

/** What the server does not take, or not from this person: what it was, why, and what can be done. Nothing where all is well. */
export function SavingTrouble({ live }: { live: LiveExamination }) {
  const { held, pending, aside } = live.queue;
  const first = pending[0];
  return (
    <>
      {held?.remedy === "take-over" && first && (
        <div
          role="alert"
          className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-tan px-5 py-1 text-read"
        >
          <span className="min-w-0 flex-1">
            <strong>{entryWords(first, live.region)}.</strong> {held.why}
          </span>
          <TakeOver live={live} />
          <Button onClick={() => void live.entries.giveUp(first.id)}>Leave it as it was</Button>
        </div>
      )}
      {aside.map(({ command, aside: problem }) => (
        <div
          key={command.id}
          role="alert"
          className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-tan px-5 py-1 text-read"
        >
          <span className="min-w-0 flex-1">
            <strong>Not in the record: {entryWords(command, live.region)}.</strong> {problem.detail}
          </span>
          <Button onClick={() => void live.entries.again(command.id)}>Try again</Button>
          <Button onClick={() => void live.entries.giveUp(command.id)}>Give it up</Button>
        </div>
      ))}
    </>
  );
}

/** Says whose examination it is, where it is a colleague's, and takes it over. */
export function Responsible({ live }: { live: LiveExamination }) {
  const { responsible, takeovers } = live.examination;
  const last = takeovers.at(-1);
  if (live.mine && !last) {
    return null;
  }
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-tan px-5 py-1 text-read">
      {live.mine ? (
        <span>Taken over from {last?.from} by you.</span>
      ) : (
        <>
          <span className="min-w-0 flex-1">
            <strong>{responsible.displayName} examines.</strong> You can add findings. To change theirs or to conclude,
            take the examination over.
          </span>
          {!live.readOnly && <TakeOver live={live} />}
        </>
      )}
    </p>
  );
}

function TakeOver({ live }: { live: LiveExamination }) {
  const { id, responsible } = live.examination;
  const take = useMutation({
    mutationFn: () =>
      dataOf(
        api.POST("/api/examinations/{id}/takeover", { params: { path: { id } }, body: { from: responsible.name } }),
      ),
    onSuccess: live.takenOver,
    onError: (fault) => {
      if (fault instanceof Refused) {
        live.refresh();
      }
    },
  });
  return (
    <>
      <Button
        disabled={take.isPending}
        onClick={() => {
          take.mutate();
        }}
      >
        Take over from {responsible.displayName}
      </Button>
      {take.isError && (
        <span role="alert" className="text-note text-for">
          {take.error instanceof Refused ? take.error.message : "The server was not reached. Try again."}
        </span>
      )}
    </>
  );
}
