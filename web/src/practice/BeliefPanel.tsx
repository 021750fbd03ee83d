import { inHundred } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { SelectField } from "../shared/ui/SelectField";
import { BeliefRail } from "./BeliefRail";
import type { Practising } from "./usePracticeCase";

/** Where a chance begins that is put on something. */
const BEGINS = 0.3;

/** One's own chances: put on, dragged, put down; then the weighing's beside them. */
export function BeliefPanel({ practising }: { practising: Practising }) {
  const { known, chances, moved } = practising;
  const names = new Map(known.conditions.map((condition) => [condition.id, condition]));
  const shown = new Map(known.shown.map((each) => [each.conditionId, each.now]));
  const followed = known.conditions.filter((condition) => chances[condition.id] !== undefined);
  const rest = known.conditions.filter((condition) => chances[condition.id] === undefined);
  const comparing = !moved && shown.size > 0;
  return (
    <section aria-labelledby="think">
      <h2 id="think" className="text-xl font-semibold">
        What I think
      </h2>
      <p className="text-note text-soft">
        {comparing ? "Ring: mine. Tick: the weighing." : "In 100. Drag the ring, or use the arrow keys."}
      </p>
      <ul className="mt-2">
        {followed.map((condition) => {
          const chance = chances[condition.id] ?? BEGINS;
          const weighed = comparing ? shown.get(condition.id) : undefined;
          return (
            <li key={condition.id} className="border-t border-line py-1">
              <div className="flex items-baseline justify-between gap-2 text-read leading-tight">
                <span>
                  {condition.shortName}
                  {condition.within && (
                    <span className="block text-note text-soft">within {names.get(condition.within)?.shortName}</span>
                  )}
                </span>
                <span className="shrink-0">
                  <strong>{inHundred(chance)}</strong>
                  {weighed !== undefined && <span className="text-soft"> · {inHundred(weighed)}</span>}
                </span>
              </div>
              <div className="flex items-center gap-1">
                <BeliefRail
                  name={condition.name}
                  chance={chance}
                  weighed={weighed}
                  onDrag={(next) => {
                    practising.drag(condition.id, next);
                  }}
                />
                <button
                  type="button"
                  aria-label={`No longer follow ${condition.name}`}
                  onClick={() => {
                    practising.drag(condition.id, undefined);
                  }}
                  className="size-11 shrink-0 text-soft hover:bg-tan"
                >
                  <svg viewBox="0 0 20 20" className="mx-auto size-4" aria-hidden="true">
                    <path d="M4 4l12 12M16 4L4 16" stroke="currentColor" strokeWidth={2} />
                  </svg>
                </button>
              </div>
            </li>
          );
        })}
      </ul>
      <div className="mt-2">
        <SelectField
          id="follow"
          label={followed.length === 0 ? "What could it be?" : "What else?"}
          value=""
          none="Add a condition"
          options={[{ options: rest.map((condition) => [condition.id, condition.name]) }]}
          onChoose={(condition) => {
            if (condition) {
              practising.drag(condition, BEGINS);
            }
          }}
        />
      </div>
      {moved && followed.length > 0 && (
        <Button look="primary" className="mt-3 w-full" disabled={practising.busy} onClick={practising.putDown}>
          {known.showing === "AS_I_GO" ? "Put down and compare" : "Put down"}
        </Button>
      )}
    </section>
  );
}
