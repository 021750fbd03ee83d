import type { LiveExamination } from "../examination";
import { type Again, useAgain } from "./useAgain";
import { POSITIVE_WORDS, together } from "./words";

/**
 * The tests to do again at this visit, then what was positive before; each with how it compares once it is done.
 * Nothing at a first visit.
 */
export function AgainList({ live, onGo }: { live: LiveExamination; onGo: (testId: string) => void }) {
  const again = useAgain(live);
  const rows = again ? rowsOf(again) : [];
  if (rows.length === 0) {
    return null;
  }
  return (
    <section aria-label="To do again" className="shrink-0 lg:border-t lg:border-line lg:pt-1">
      <h2 className="px-3 text-note font-semibold text-soft">To do again</h2>
      <ul className="flex lg:block">
        {rows.map((test) => (
          <li key={test.testId}>
            <button
              type="button"
              onClick={(event) => {
                if (event.detail > 0) {
                  event.currentTarget.blur();
                }
                onGo(test.testId);
              }}
              className="flex min-h-12 w-full flex-col justify-center px-3 text-left text-read leading-tight hover:bg-tan"
            >
              <span>{test.name}</span>
              <span className="text-note text-soft">{test.state}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Tests that were chosen or measured before, then those that were positive; each once, with what has become of it. */
function rowsOf({ tests, positives }: Again): { testId: string; name: string; state: string }[] {
  const apart = tests.map(({ testId, name, done, changes }) => {
    const before = positives.find((each) => each.testId === testId);
    return {
      testId,
      name,
      state: before && changes.length === 0 ? POSITIVE_WORDS[before.now] : done ? together(changes) : "not done yet",
    };
  });
  const others = positives
    .filter(({ testId }) => !tests.some((each) => each.testId === testId))
    .map(({ testId, name, now }) => ({ testId, name, state: POSITIVE_WORDS[now] }));
  return [...apart, ...others];
}
