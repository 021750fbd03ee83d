import type { Schemas } from "../shared/api/client";
import { byPosition, minuteWords } from "./words";

/** What happens when: the positions one after the other, and in each a block for every test, as long as it takes. */
export function PlanStrip({ steps }: { steps: readonly Schemas["PlanStepJson"][] }) {
  return (
    <ul aria-label="Positions and minutes" className="mb-1 hidden gap-3 sm:flex">
      {byPosition(steps).map((group, index) => {
        const minutes = group.steps.reduce((sum, step) => sum + step.minutes, 0);
        return (
          <li
            key={`${group.position} ${String(index)}`}
            className="min-w-min"
            style={{ flexGrow: minutes, flexBasis: 0 }}
          >
            <span aria-hidden="true" className="flex h-4 gap-0.5">
              {group.steps.map((step) => (
                <span
                  key={step.testId}
                  title={step.name}
                  className="min-w-1 bg-ink"
                  style={{ flexGrow: step.minutes, flexBasis: 0 }}
                />
              ))}
            </span>
            <span className="block text-note leading-tight">
              <strong>{group.position}</strong>{" "}
              <span className="whitespace-nowrap text-soft">{minuteWords(minutes)}</span>
            </span>
          </li>
        );
      })}
    </ul>
  );
}
