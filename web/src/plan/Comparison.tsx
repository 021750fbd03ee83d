import type { Schemas } from "../shared/api/client";
import { minuteWords, shareOf } from "./words";

type Plan = Schemas["PlanJson"];

/** The therapist's own order beside the proposal for the time there is. */
export function Comparison({ own, proposed, most }: { own: Plan; proposed: Plan; most: number }) {
  const rows: [string, (plan: Plan) => string][] = [
    ["Tests", (plan) => String(plan.steps.length)],
    ["Time", (plan) => minuteWords(plan.minutes)],
    ["Changes of position", (plan) => String(plan.moves)],
    ["Tells, in 100 of all", (plan) => shareOf(plan, most)],
  ];
  return (
    <div>
      <table className="w-full text-read">
        <caption className="sr-only">My order beside the proposal</caption>
        <thead>
          <tr className="border-b-2 border-ink text-right">
            <th scope="col">
              <span className="sr-only">What</span>
            </th>
            <th scope="col" className="py-1 font-semibold">
              □ Mine
            </th>
            <th scope="col" className="py-1 font-semibold">
              ● Proposed
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name} className="border-b border-line text-right">
              <th scope="row" className="py-1 text-left font-normal">
                {name}
              </th>
              <td className="font-semibold">{value(own)}</td>
              <td>{value(proposed)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Only title="Only mine" of={own} beside={proposed} />
      <Only title="Only proposed" of={proposed} beside={own} />
    </div>
  );
}

/** Tests of one plan that the other does without. */
function Only({ title, of, beside }: { title: string; of: Plan; beside: Plan }) {
  const names = of.steps
    .filter((step) => beside.steps.every((other) => other.testId !== step.testId))
    .map((step) => step.name);
  return (
    names.length > 0 && (
      <p className="border-b border-line py-1.5 text-note">
        <strong>{title}:</strong> {names.join(", ")}
      </p>
    )
  );
}
