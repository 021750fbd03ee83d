import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";
import { enoughWords, limitWords } from "./words";

/** What a plan may leave open, how likely that is, and what would answer instead. */
export function PlanLimits({ plan }: { plan: Schemas["PlanJson"] }) {
  const { limits } = plan;
  return (
    <section aria-labelledby="limits">
      <h2 id="limits" className="border-b-2 border-ink pb-1 text-read font-semibold">
        May stay open
      </h2>
      {limits.length === 0 ? (
        <p className="py-2 text-note">Nothing in play is likely to stay open after this plan.</p>
      ) : (
        <ul>
          {limits.map((limit) => (
            <li key={limit.conditionId} className="border-b border-line py-2 text-note">
              <p className="flex items-baseline justify-between gap-3 text-read">
                <strong className="font-semibold">{limit.name}</strong>
                <span className="whitespace-nowrap tabular-nums">{inHundred(limit.open)} in 100</span>
              </p>
              <OpenBar limit={limit} />
              <p>{limitWords(limit)}</p>
              {limit.settles && (
                <p>
                  <span className="text-soft">To consider instead:</span> {limit.settles}
                  {limit.soon && ` (${limit.soon})`}
                </p>
              )}
            </li>
          ))}
        </ul>
      )}
      <p className="pt-2 text-note text-soft">{enoughWords(plan.act)}</p>
    </section>
  );
}

/** Dark what no test here would settle, light what tests beyond the plan would. */
function OpenBar({ limit }: { limit: Schemas["PlanLimitJson"] }) {
  return (
    <span aria-hidden="true" className="my-1 flex h-2 border border-edge bg-sheet">
      <span className="bg-ink" style={{ width: `${String(100 * limit.least)}%` }} />
      <span className="bg-tan" style={{ width: `${String(100 * (limit.open - limit.least))}%` }} />
    </span>
  );
}
