import type { ReactNode } from "react";
import { Button } from "../shared/ui/Button";
import { listed } from "../shared/format";
import type { Replan } from "./useReplan";
import { effectWords } from "./words";

/** What fell out of the plan because results have settled it. Nothing where nothing has. */
export function ReplanNote({ settled, keep }: Replan) {
  return (
    settled.length > 0 && (
      <Line
        action={
          <Button
            className="text-note"
            onClick={() => {
              keep(settled.map((test) => test.testId));
            }}
          >
            Keep {settled.length === 1 ? "it" : "them"}
          </Button>
        }
      >
        <strong>Settled, out of the plan:</strong> {listed(settled.map((test) => test.name))}.
      </Line>
    )
  );
}

/** What is to be decided about the plan, one thing at a time: whether a test that was put in stays, or one that would now tell more comes in. */
export function ReplanQuestion({ ask, better, keep, leaveOut, putIn }: Replan) {
  const [doubtful] = ask;
  const [proposed] = better;
  if (doubtful) {
    return (
      <Line
        action={
          <>
            <Button
              className="text-note"
              aria-label={`Leave out ${doubtful.name}`}
              onClick={() => {
                leaveOut(doubtful.testId);
              }}
            >
              Leave out
            </Button>
            <Button
              className="text-note"
              aria-label={`Keep ${doubtful.name}`}
              onClick={() => {
                keep([doubtful.testId]);
              }}
            >
              Keep
            </Button>
          </>
        }
      >
        <strong>{doubtful.name}</strong> would settle nothing more. You put it in: leave it out?
      </Line>
    );
  }
  return (
    proposed && (
      <Line
        action={
          <>
            <Button
              className="text-note"
              aria-label={`Put in ${proposed.name}`}
              onClick={() => {
                putIn(proposed.testId);
              }}
            >
              Put in
            </Button>
            <Button
              className="text-note"
              aria-label={`Not ${proposed.name}`}
              onClick={() => {
                keep([proposed.testId]);
              }}
            >
              Not now
            </Button>
          </>
        }
      >
        <strong>Would now tell more: {proposed.name}</strong>, {proposed.position.toLowerCase()}.{" "}
        {proposed.separates.length > 0 && `Tells ${listed(proposed.separates)} apart. `}
        {effectWords(proposed.changes)}.
      </Line>
    )
  );
}

function Line({ action, children }: { action: ReactNode; children: ReactNode }) {
  return (
    <section
      aria-label="The plan since"
      className="flex min-h-12 items-center justify-between gap-3 border-t border-line py-0.5 text-note leading-snug"
    >
      <p>{children}</p>
      <span className="flex shrink-0 gap-1">{action}</span>
    </section>
  );
}
