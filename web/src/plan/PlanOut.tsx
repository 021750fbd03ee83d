import type { Schemas } from "../shared/api/client";
import { effectWords } from "./words";

const WHY: readonly [Schemas["PlanOutJson"]["why"], string][] = [
  ["NO_TIME", "No time for, though they would tell something"],
  ["NOT_IN", "Would tell something too"],
  ["SCREEN_FIRST", "Only if the screen finds something"],
  ["FRIGHTENS", "May hurt, for something unlikely"],
  ["TELLS_LITTLE", "Would tell little beside the plan"],
  ["NO_FIGURES", "No figures for a condition in play"],
  ["NOT_MINE", "Not in my hands"],
];

interface PlanOutProps {
  out: readonly Schemas["PlanOutJson"][];
  locked: readonly Schemas["NotNowJson"][];
  /** Absent where nothing can be changed. */
  onPutIn?: ((testId: string) => void) | undefined;
  /** Says whether the person at the screen does a test. */
  onMine: (testId: string, mine: boolean) => void;
}

/** The tests that are not in a plan, by why, each to be put in; and those that may not be done. */
export function PlanOut({ out, locked, onPutIn, onMine }: PlanOutProps) {
  return (
    <div className="no-print mt-5 flex flex-col">
      {locked.length > 0 && (
        <details open className="border-t border-line">
          <summary className="flex min-h-12 cursor-pointer items-center text-read font-semibold">
            Locked, {locked.length}
          </summary>
          <ul className="pb-2 text-read">
            {locked.map((test) => (
              <li key={test.testId}>
                {test.name}: {test.why}
              </li>
            ))}
          </ul>
        </details>
      )}
      {WHY.map(([why, words]) => {
        const tests = out.filter((test) => test.why === why);
        return (
          tests.length > 0 && (
            <details key={why} className="border-t border-line">
              <summary className="flex min-h-12 cursor-pointer items-center text-read font-semibold">
                {words}, {tests.length}
              </summary>
              <ul className="pb-2 text-read">
                {tests.map((test) => (
                  <li key={test.testId} className="flex min-h-12 items-center gap-3 border-t border-line">
                    {onPutIn && (
                      <button
                        type="button"
                        aria-label={`Put in ${test.name}`}
                        onClick={() => {
                          onPutIn(test.testId);
                        }}
                        className="min-h-11 shrink-0 rounded border border-edge bg-sheet px-3 text-note hover:bg-tan"
                      >
                        Put in
                      </button>
                    )}
                    <span className="min-w-0 flex-1">
                      <strong className="font-semibold">{test.name}</strong>{" "}
                      <span className="text-note">{effectWords(test.changes)}</span>
                    </span>
                    <button
                      type="button"
                      aria-label={`${why === "NOT_MINE" ? "I do it" : "Not in my hands"}: ${test.name}`}
                      onClick={() => {
                        onMine(test.testId, why === "NOT_MINE");
                      }}
                      className="min-h-11 shrink-0 px-2 text-note text-soft underline hover:bg-tan"
                    >
                      {why === "NOT_MINE" ? "I do it" : "Not in my hands"}
                    </button>
                  </li>
                ))}
              </ul>
            </details>
          )
        );
      })}
    </div>
  );
}
