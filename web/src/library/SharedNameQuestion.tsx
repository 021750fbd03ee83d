import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { capital } from "../shared/format";

/** One name, several tests: asks which is meant and says how they differ. */
export function SharedNameQuestion({
  shared,
  current,
}: {
  shared: Schemas["SharedNameJson"] | Schemas["SharedWithJson"];
  current?: string;
}) {
  return (
    <section aria-label={`Tests called ${shared.name}`} className="mt-3 border-l-4 border-ink bg-sheet px-4 py-3">
      <h2 className="text-read font-semibold">
        {current
          ? `“${capital(shared.name)}” is also the name of another test`
          : `“${capital(shared.name)}” is the name of ${String(shared.meant.length)} tests. Which one?`}
      </h2>
      <ul className="mt-1">
        {shared.meant
          .filter((meant) => meant.testId !== current)
          .map((meant) => (
            <li key={meant.testId}>
              <Link
                to={`/library/tests/${meant.testId}`}
                className="flex min-h-12 flex-wrap items-center gap-x-3 py-1 text-read hover:bg-tan"
              >
                <span className="font-semibold underline">{meant.testName}</span>
                <span className="text-note">{meant.how}</span>
              </Link>
            </li>
          ))}
      </ul>
    </section>
  );
}
