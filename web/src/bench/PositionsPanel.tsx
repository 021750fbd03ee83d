import { withChoice, withMeasure, type Test } from "../examination/commands";
import { choices, measure, type Attempt, type Context, type Part } from "../examination/history";
import { capital, sideWord } from "../shared/format";
import { ChoiceRow } from "./ChoiceRow";
import { GlideDrawing } from "./drawings";
import { MeasureField } from "./MeasureField";
import { RefillTimer } from "./RefillTimer";

type Side = "LEFT" | "RIGHT";

interface PositionsPanelProps {
  test: Test;
  well: Side;
  attempts: Record<Side, Attempt | undefined>;
  /** Positions that the school takes; empty for all. */
  only: readonly string[];
  onRecord: (side: Side, parts: Part[]) => void;
}

/** What is taken in several positions: a block for each, with the sides under each other. */
export function PositionsPanel({ test, well, attempts, only, onRecord }: PositionsPanelProps) {
  const involved: Side = well === "LEFT" ? "RIGHT" : "LEFT";
  const parts = test.parts.filter((part) => part.positions.length > 0);
  const positions = (parts[0]?.positions ?? []).filter((position) => only.length === 0 || only.includes(position.value));
  const sides = [well, involved].filter((side) => side === involved || parts.some((part) => test.wellSideParts.includes(part.key)));
  return (
    <section aria-label="By position" className="flex flex-col border-2 border-ink bg-sheet px-2.5 py-1">
      {positions.map((position, place) => (
        <div key={position.value} role="group" aria-label={position.label} className="flex flex-col gap-1 border-b border-line py-1 last:border-b-0 sm:flex-row sm:gap-2">
          <h2 className="w-22 shrink-0 text-read font-semibold sm:pt-2.5">{position.label}</h2>
          <div className="flex flex-col gap-1">
            {sides.map((side) => {
              const had = attempts[side]?.parts ?? [];
              const context: Context = { position: position.value };
              return (
                <div key={side} className="flex flex-wrap items-center gap-x-3 gap-y-1">
                  <span className={`w-12 shrink-0 text-read ${side === involved ? "font-semibold" : "text-soft"}`}>{capital(sideWord(side))}</span>
                  {parts.filter((part) => side === involved || test.wellSideParts.includes(part.key)).map((part) => part.key === "refill" ? (
                    <RefillTimer key={part.key} part={part} side={`${sideWord(side)}, ${position.label.toLowerCase()}`} value={measure(attempts[side], part.key, context)}
                      main={side === involved && place === firstOpen(positions, attempts[involved], part.key)} onSet={(value) => { onRecord(side, withMeasure(had, part.key, value, part.unit ?? "", context)); }} />
                  ) : part.unit ? (
                    <span key={part.key} className="flex items-center gap-2">
                      <MeasureField part={part} side={`${sideWord(side)}, ${position.label.toLowerCase()}`} bare value={measure(attempts[side], part.key, context)}
                        onSet={(value) => { onRecord(side, withMeasure(had, part.key, value, part.unit ?? "", context)); }} />
                      {part.key === "glide" && side === involved && <GlideDrawing part={part} value={measure(attempts[side], part.key, context)} other={undefined} backward={position.value === "backward"} onSet={(value) => { onRecord(side, withMeasure(had, part.key, value, part.unit ?? "", context)); }} />}
                    </span>
                  ) : (
                    <ChoiceRow key={part.key} label={`${part.label}, ${sideWord(side)}, ${position.label.toLowerCase()}`} bare options={part.options} chosen={choices(attempts[side], part.key, context)} keycaps={[]}
                      onChoose={(value) => { onRecord(side, withChoice(test, had, part.key, value, context)); }} />
                  ))}
                </div>
              );
            })}
          </div>
        </div>
      ))}
    </section>
  );
}

function firstOpen(positions: { value: string }[], attempt: Attempt | undefined, key: string): number {
  const open = positions.findIndex((position) => measure(attempt, key, { position: position.value }) === undefined);
  return open < 0 ? 0 : open;
}
