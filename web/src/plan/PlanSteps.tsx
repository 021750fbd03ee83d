import type { Schemas } from "../shared/api/client";
import { byPosition, minuteWords, whyWords } from "./words";

/** The tests of a plan by the patient's position, each with its time and why it is in. */
export function PlanSteps({ steps }: { steps: readonly Schemas["PlanStepJson"][] }) {
  const groups = byPosition(steps);
  return (
    <div className="mt-4 flex flex-col gap-4">
      {groups.map((group, index) => (
        <section key={`${group.position} ${String(index)}`}>
          <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-read font-semibold"><span>{index > 0 && "Then: "}{group.position}</span><span className="text-note font-normal text-soft">{minuteWords(group.steps.reduce((sum, step) => sum + step.minutes, 0))}</span></h2>
          <ol>
            {group.steps.map((step) => (
              <li key={step.testId} className="grid gap-x-4 border-b border-line py-1.5 text-read sm:grid-cols-[14rem_minmax(0,1fr)_4.5rem]">
                <span className="font-semibold">{step.name}</span>
                <span>{whyWords(step)}{step.equipment.length > 0 && <span className="text-note text-soft"> · {step.equipment.join(", ")}</span>}</span>
                <span className="text-note text-soft sm:text-right">{step.minutes < 1 ? `${String(Math.round(60 * step.minutes))} s` : minuteWords(step.minutes)}</span>
              </li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  );
}
