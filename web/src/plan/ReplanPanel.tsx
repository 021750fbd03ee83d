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
    <section aria-label="The plan since" className="flex w-56 shrink-0 flex-col gap-2 border-line px-3 py-2 text-note leading-snug lg:w-auto lg:border-t">
      {settled.length > 0 && (
        <div>
          <p><strong>Settled, out of the plan:</strong> {listed(settled.map((test) => test.name))}.</p>
          <Button className="mt-1 text-note" onClick={() => { keep(settled.map((test) => test.testId)); }}>Keep {settled.length === 1 ? "it" : "them"}</Button>
        </div>
      )}
      {ask.map((test) => (
        <div key={test.testId}>
          <p><strong>{test.name}</strong> would settle nothing more. You put it in.</p>
          <span className="mt-1 flex gap-1"><Button className="text-note" aria-label={`Leave out ${test.name}`} onClick={() => { leaveOut(test.testId); }}>Leave out</Button><Button className="text-note" aria-label={`Keep ${test.name}`} onClick={() => { keep([test.testId]); }}>Keep</Button></span>
        </div>
      ))}
      {better.map((test) => (
        <div key={test.testId}>
          <p><strong>Would now tell more: {test.name}</strong>, {test.position.toLowerCase()}. {test.separates.length > 0 && `Tells ${listed(test.separates)} apart. `}{effectWords(test.changes)}.</p>
          <Button className="mt-1 text-note" aria-label={`Put in ${test.name}`} onClick={() => { putIn(test.testId); }}>Put in</Button>
        </div>
      ))}
    </section>
  );
}
