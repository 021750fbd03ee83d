import type { ReactNode } from "react";
import { Button } from "../shared/ui/Button";
import { listed } from "../shared/format";
import type { Replan } from "./useReplan";
import { effectWords } from "./words";

/** What results have changed for the plan: what fell out, what to ask about, and what would now tell more. Nothing where nothing has. */
export function ReplanPanel({ settled, ask, better, keep, leaveOut, putIn }: Replan) {
  if (settled.length + ask.length + better.length === 0) {
    return null;
  }
  return (
    <section aria-label="The plan since" className="flex flex-col border-t border-line text-note leading-snug">
      {settled.length > 0 && (
        <Line action={<Button className="text-note" onClick={() => { keep(settled.map((test) => test.testId)); }}>Keep {settled.length === 1 ? "it" : "them"}</Button>}>
          <strong>Settled, out of the plan:</strong> {listed(settled.map((test) => test.name))}.
        </Line>
      )}
      {ask.map((test) => (
        <Line key={test.testId} action={<><Button className="text-note" aria-label={`Leave out ${test.name}`} onClick={() => { leaveOut(test.testId); }}>Leave out</Button><Button className="text-note" aria-label={`Keep ${test.name}`} onClick={() => { keep([test.testId]); }}>Keep</Button></>}>
          <strong>{test.name}</strong> would settle nothing more. You put it in: leave it out?
        </Line>
      ))}
      {better.map((test) => (
        <Line key={test.testId} action={<Button className="text-note" aria-label={`Put in ${test.name}`} onClick={() => { putIn(test.testId); }}>Put in</Button>}>
          <strong>Would now tell more: {test.name}</strong>, {test.position.toLowerCase()}. {test.separates.length > 0 && `Tells ${listed(test.separates)} apart. `}{effectWords(test.changes)}.
        </Line>
      ))}
    </section>
  );
}

function Line({ action, children }: { action: ReactNode; children: ReactNode }) {
  return <div className="flex min-h-12 items-center justify-between gap-3"><p>{children}</p><span className="flex shrink-0 gap-1">{action}</span></div>;
}
