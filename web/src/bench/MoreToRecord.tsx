import { useState } from "react";
import {
  type Attempt,
  choices,
  type Context,
  measure,
  otherSide,
  type Part,
  type Side,
  type Test,
  withChoice,
  withMeasure,
} from "../record";
import { capital, sentence, sideWord } from "../shared/format";
import { byEyeOn } from "./byEye";
import { ChoiceRow } from "./ChoiceRow";
import { MeasureField } from "./MeasureField";

interface MoreToRecordProps {
  test: Test;
  well: Side;
  attempts: Record<Side, Attempt | undefined>;
  onRecord: (side: Side, parts: Part[]) => void;
}

/** What a test can also record when somebody wants it: folded until it is asked for or holds something. */
export function MoreToRecord({ test, well, attempts, onRecord }: MoreToRecordProps) {
  const parts = test.parts.filter((part) => part.onDemand);
  const held = (part: Test["parts"][number], side: Side) =>
    attempts[side]?.parts.some((each) => each.key === part.key) ?? false;
  const involved = otherSide(well);
  const count = parts.filter((part) => held(part, well) || held(part, involved)).length;
  const [open, setOpen] = useState(count > 0);
  if (parts.length === 0) {
    return null;
  }
  return (
    <section aria-label="More to record" className="mt-2">
      <button
        type="button"
        aria-expanded={open}
        className="min-h-12 text-left text-read underline decoration-edge underline-offset-4 hover:decoration-ink"
        onClick={() => {
          setOpen(!open);
        }}
      >
        {open ? "Fold away" : `More to record: ${named(parts)}`}
        {!open && count > 0 && ` (${String(count)} recorded)`}
      </button>
      {open && (
        <div className="mt-1 flex flex-col gap-1 border border-line bg-sheet p-2">
          {parts.map((part) => (
            <OnDemandPart
              key={part.key}
              part={part}
              test={test}
              involved={involved}
              sides={test.wellSideParts.includes(part.key) ? [well, involved] : [involved]}
              attempts={attempts}
              onRecord={onRecord}
            />
          ))}
        </div>
      )}
    </section>
  );
}

/** Where a part without positions is taken. */
const NOWHERE: Context = {};

/** One line of a part: a side, and a position where it is taken in several. */
interface Line {
  side: Side;
  label: string;
  context: Context;
}

interface OnDemandPartProps extends Omit<MoreToRecordProps, "well"> {
  part: Test["parts"][number];
  sides: Side[];
  involved: Side;
}

/** One such part: a line a side, or a line a position. */
function OnDemandPart({ part, test, sides, involved, attempts, onRecord }: OnDemandPartProps) {
  const lines = sides.flatMap<Line>((side) =>
    part.positions.length === 0
      ? [{ side, label: sides.length > 1 ? capital(sideWord(side)) : "", context: NOWHERE }]
      : part.positions.map((position) => ({
          side,
          label: `${sides.length > 1 ? `${capital(sideWord(side))}, ` : ""}${position.label}`,
          context: { position: position.value },
        })),
  );
  return (
    <div
      role="group"
      aria-label={part.label}
      className="flex flex-col gap-1 border-b border-line pb-1 last:border-b-0 last:pb-0"
    >
      <span aria-hidden="true" className="text-note font-semibold">
        {part.label}
      </span>
      {lines.map(({ side, label, context }) => {
        const had = attempts[side]?.parts ?? [];
        const choose = (value: string) => {
          onRecord(side, withChoice(test, had, part.key, value, context));
        };
        return (
          <div key={`${side} ${context.position ?? ""}`} className="flex flex-wrap items-center gap-x-2 gap-y-1">
            {label && <span className="w-36 shrink-0 text-note text-soft">{label}</span>}
            {part.unit && (
              <MeasureField
                part={part}
                side={sideWord(side)}
                bare
                short
                start={measure(attempts[otherSide(side)], part.key, context)}
                value={measure(attempts[side], part.key, context)}
                onSet={(value) => {
                  onRecord(side, withMeasure(had, part.key, value, part.unit ?? "", context));
                }}
              />
            )}
            <ChoiceRow
              label={`${part.label}, ${sideWord(side)}${label ? `, ${label}` : ""}`}
              bare
              options={part.unit ? byEyeOn(part, side === involved) : part.options}
              chosen={choices(attempts[side], part.key, context)}
              keycaps={[]}
              onChoose={choose}
            />
          </div>
        );
      })}
    </div>
  );
}

/** "scars, posture, swelling" */
function named(parts: Test["parts"]): string {
  const labels = parts.map((part) => sentence(part.label));
  return labels.length > 4
    ? `${labels.slice(0, 3).join(", ")} and ${String(labels.length - 3)} more`
    : labels.join(", ");
}
