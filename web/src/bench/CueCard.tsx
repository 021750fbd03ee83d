import type { Test } from "../examination/commands";
import { Facts } from "../shared/ui/Facts";

/** What to do, one short line each. */
export function CueCard({ test }: { test: Test }) {
  const lines: [string, string][] = [
    ["Patient", test.card.patient],
    ["You", test.card.you],
    ["Do", test.card.movement],
    ["Ask", test.card.ask],
    ["Stop if", test.card.stop],
  ];
  return (
    <section aria-labelledby="test-name">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h1 id="test-name" className="font-serif text-head font-semibold">{test.name}</h1>
        <p className="text-note text-soft">{test.seconds} s a side</p>
      </div>
      <p className="mt-0.5 flex flex-wrap justify-between gap-x-4 text-note text-soft">
        <span>{test.aliases.length > 0 && <>Also called {test.aliases.join(", ")}</>}</span>
        <span>{test.review === "drafted" && "drafted, not yet reviewed"}</span>
      </p>
      <Facts lines={lines} className="mt-1.5 grid-cols-[4rem_1fr] gap-x-2 gap-y-px text-read" />
    </section>
  );
}
