import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";
import { byPosition, minuteWords } from "./words";

/** Tests beyond which the card is set in smaller print, so that it stays one leaf. */
const MANY = 14;

/** The plan for the pocket, on paper alone: a box to tick for each test, its time, and where its first condition would stand after either answer. */
export function PocketCard({ plan, title }: { plan: Schemas["PlanJson"]; title: string }) {
  return (
    <section aria-hidden="true" className={plan.steps.length > MANY ? "pocket pocket-full" : "pocket"}>
      <h2>{title}</h2>
      <p>
        {plan.steps.length} tests, {minuteWords(plan.minutes)}, {plan.moves} changes of position. After a name: the
        condition it says most about, if positive / if negative, in 100.
      </p>
      {byPosition(plan.steps).map((group, index) => (
        <div key={`${group.position} ${String(index)}`}>
          <h3>{group.position}</h3>
          <ul>
            {group.steps.map((step) => {
              const [change] = step.changes;
              return (
                <li key={step.testId}>
                  <span className="box" /> <strong>{step.name}</strong>
                  {change && (
                    <>
                      {" "}
                      {change.name} {inHundred(change.ifPositive)} / {inHundred(change.ifNegative)}
                    </>
                  )}
                </li>
              );
            })}
          </ul>
        </div>
      ))}
      <p>Decision support. The therapist concludes; local protocols rule.</p>
    </section>
  );
}
