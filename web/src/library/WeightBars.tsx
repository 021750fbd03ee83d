import type { Schemas } from "../shared/api/client";
import { decimal } from "../shared/format";
import { ToSheet } from "./Sheet";
import { MarkLabels, MarkLines, Pivot } from "./WeightMarks";
import { weightScale } from "./weightScale";

const WIDTH = 460;

/** What each test can do to a condition: an open weight left of the pivot for a negative, a full one right of it for a positive. */
export function WeightBars({ weights }: { weights: Schemas["WeightJson"][] }) {
  const at = weightScale(WIDTH, 10);
  return (
    <div className="overflow-x-auto print:overflow-visible" role="region" aria-label="Weights" tabIndex={0}>
      <table className="w-full min-w-[52rem] border-collapse text-read print:min-w-0 print:text-[9pt]">
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom text-note">
            <th className="py-1 font-semibold">Test</th>
            <th className="pr-2 text-right font-semibold">LR−</th>
            <th className="relative" style={{ width: "40%" }}>
              <span className="sr-only">Weight of either answer</span>
              <svg className="w-full" viewBox={`0 0 ${String(WIDTH)} 32`} aria-hidden="true">
                <text x={at(1) - 8} y={11} textAnchor="end" fontSize={13} fill="var(--color-against)">
                  negative lowers ◁
                </text>
                <text x={at(1) + 8} y={11} fontSize={13} fill="var(--color-for)">
                  ▶ positive raises
                </text>
                <MarkLabels at={at} y={28} />
              </svg>
            </th>
            <th className="pl-2 font-semibold">LR+</th>
          </tr>
        </thead>
        <tbody>
          {weights.map((weight) => (
            <tr key={weight.testId} className="break-inside-avoid border-b border-line">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                <ToSheet kind="tests" id={weight.testId}>
                  {weight.testName}
                </ToSheet>
                <span className="block text-note text-soft">
                  {weight.counts} · {weight.record}
                  {weight.byInventors && " · by its inventors"}
                  {weight.worthless && " · tells next to nothing"}
                </span>
              </th>
              <td className="pr-2 text-right text-note">{decimal(weight.lrNegative)}</td>
              <td>
                <Bar weight={weight} />
              </td>
              <td className="pl-2 text-note">{decimal(weight.lrPositive)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Bar({ weight }: { weight: Schemas["WeightJson"] }) {
  const at = weightScale(WIDTH, 10);
  const centre = at(1);
  const right = at(Math.max(weight.lrPositive, 1));
  const left = at(Math.min(weight.lrNegative, 1));
  const point = (from: number, to: number) => Math.min(8, Math.abs(to - from));
  return (
    <svg className="w-full" viewBox={`0 0 ${String(WIDTH)} 40`} aria-hidden="true">
      <MarkLines at={at} height={40} />
      {right > centre && (
        <path
          d={`M${String(centre)} 11H${String(right - point(centre, right))}L${String(right)} 20L${String(right - point(centre, right))} 29H${String(centre)}z`}
          fill={weight.worthless ? "var(--color-for-wash)" : "var(--color-for)"}
          stroke="var(--color-for)"
          strokeWidth={1.4}
          strokeDasharray={weight.byInventors ? "4 3" : undefined}
          fillOpacity={weight.byInventors ? 0.55 : 1}
        />
      )}
      {left < centre && (
        <path
          d={`M${String(centre)} 11H${String(left + point(centre, left))}L${String(left)} 20L${String(left + point(centre, left))} 29H${String(centre)}z`}
          fill="var(--color-sheet)"
          stroke="var(--color-against)"
          strokeWidth={1.8}
          strokeDasharray={weight.byInventors ? "4 3" : undefined}
        />
      )}
      <Pivot at={at} height={40} />
    </svg>
  );
}
