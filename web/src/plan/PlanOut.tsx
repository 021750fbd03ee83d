import type { Schemas } from "../shared/api/client";

const WHY: readonly [Schemas["PlanOutJson"]["why"], string][] = [
  ["NO_TIME", "No time for, though they would tell something"], ["TELLS_LITTLE", "Would tell little beside the plan"], ["NO_FIGURES", "No figures for a condition in play"],
];

/** The tests that are not in a plan, by why; and those that may not be done. */
export function PlanOut({ out, locked }: { out: readonly Schemas["PlanOutJson"][]; locked: readonly Schemas["LockedOutJson"][] }) {
  return (
    <div className="no-print mt-5 flex flex-col">
      {locked.length > 0 && (
        <details open className="border-t border-line">
          <summary className="flex min-h-12 cursor-pointer items-center text-read font-semibold">Locked, {locked.length}</summary>
          <ul className="pb-2 text-read">{locked.map((test) => <li key={test.testId}>{test.name}: {test.why}</li>)}</ul>
        </details>
      )}
      {WHY.map(([why, words]) => {
        const tests = out.filter((test) => test.why === why);
        return tests.length > 0 && (
          <details key={why} className="border-t border-line">
            <summary className="flex min-h-12 cursor-pointer items-center text-read font-semibold">{words}, {tests.length}</summary>
            <p className="pb-2 text-read">{tests.map((test) => test.name).join("; ")}</p>
          </details>
        );
      })}
    </div>
  );
}
