import { Button } from "../shared/ui/Button";
import type { LiveExamination } from "./useExamination";

/** Whether everything recorded is on the server, quietly; and plainly where it is not. */
export function SavedState({ live }: { live: LiveExamination }) {
  const { status, pending, refused, held } = live.queue;
  if (refused) {
    return <p role="alert" className="max-w-sm border-l-4 border-for pl-2 text-note">One entry was not accepted and is not in the record: {refused.problem.detail}</p>;
  }
  if (status === "waiting" && held) {
    return <p role="status" className="max-w-sm border-l-4 border-ink pl-2 text-note"><strong>{pending.length} kept here, nothing is lost.</strong> {held}</p>;
  }
  if (status === "waiting") {
    return (
      <div role="status" className="flex items-center gap-2 text-note">
        <span><strong>No connection.</strong> {pending.length} kept here, nothing is lost.</span>
        <Button onClick={live.retry}>Try now</Button>
      </div>
    );
  }
  return <p role="status" className="w-16 text-right text-note text-soft">{status === "saved" ? "Saved" : "Saving"}</p>;
}
