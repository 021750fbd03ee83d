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
import { capital, sideWord } from "../shared/format";
import { ChoiceRow } from "./ChoiceRow";
import { GlideDrawing } from "./drawings";
import { MeasureField } from "./MeasureField";
import { RefillTimer } from "./RefillTimer";

interface PositionsPanelProps {
  test: Test;
  well: Side;
  attempts: Record<Side, Attempt | undefined>;
  /** Positions that the school takes; empty for all. */
  only: readonly string[];
  onRecord: (side: Side, parts: Part[]) => void;
}

/** What is taken in several positions: a line for each, both sides beside each other. */
export function PositionsPanel({ test, well, attempts, only, onRecord }: PositionsPanelProps) {
  const involved = otherSide(well);
  const parts = test.parts.filter((part) => part.positions.length > 0);
  const positions = (parts[0]?.positions ?? []).filter(
    (position) => only.length === 0 || only.includes(position.value),
  );
  const sides = [well, involved].filter(
    (side) => side === involved || parts.some((part) => test.wellSideParts.includes(part.key)),
  );
  const glide = parts.find((part) => part.key === "glide");
  return (
    <section
      aria-label="By position"
      className="grid grid-cols-1 border-2 border-ink bg-sheet px-2 pb-1 sm:grid-cols-[auto_1fr]"
    >
      {sides.map((side) => (
        <div key={side} className={side === involved ? "min-w-0 sm:pl-3" : "min-w-0"}>
          <h2 className="text-read font-semibold">
            {capital(sideWord(side))}{" "}
            <span className="text-note font-normal text-soft">{side === involved ? "involved" : "uninvolved"}</span>
          </h2>
          {positions.map((position, place) => {
            const had = attempts[side]?.parts ?? [];
            const context: Context = { position: position.value };
            const set = (key: string, value: number, unit: string) => {
              onRecord(side, withMeasure(had, key, value, unit, context));
            };
            const where = `${sideWord(side)}, ${position.label.toLowerCase()}`;
            return (
              <div
                key={position.value}
                role="group"
                aria-label={`${position.label}, ${sideWord(side)}`}
                className="border-t border-line pt-0.5"
              >
                <h3 className={`text-note leading-tight font-semibold ${side === involved ? "" : "text-soft"}`}>
                  {position.label}
                </h3>
                <div className="flex flex-wrap items-center gap-x-2 gap-y-1 pb-0.5">
                  {parts
                    .filter((part) => side === involved || test.wellSideParts.includes(part.key))
                    .map((part) =>
                      part.key === "refill" ? (
                        <RefillTimer
                          key={part.key}
                          part={part}
                          side={where}
                          value={measure(attempts[side], part.key, context)}
                          main={side === involved && place === firstOpen(positions, attempts[involved], part.key)}
                          onSet={(value) => {
                            set(part.key, value, part.unit ?? "");
                          }}
                        />
                      ) : part.unit ? (
                        <MeasureField
                          key={part.key}
                          part={part}
                          side={where}
                          bare
                          short={parts.length > 1}
                          value={measure(attempts[side], part.key, context)}
                          onSet={(value) => {
                            set(part.key, value, part.unit ?? "");
                          }}
                        />
                      ) : (
                        <ChoiceRow
                          key={part.key}
                          label={`${part.label}, ${where}`}
                          bare
                          tight
                          options={part.options}
                          chosen={choices(attempts[side], part.key, context)}
                          keycaps={[]}
                          onChoose={(value) => {
                            onRecord(side, withChoice(test, had, part.key, value, context));
                          }}
                        />
                      ),
                    )}
                  {glide && side === involved && (
                    <GlideDrawing
                      part={glide}
                      value={measure(attempts[side], "glide", context)}
                      other={undefined}
                      backward={position.value === "backward"}
                      onSet={(value) => {
                        set("glide", value, glide.unit ?? "");
                      }}
                    />
                  )}
                </div>
              </div>
            );
          })}
        </div>
      ))}
    </section>
  );
}

function firstOpen(positions: { value: string }[], attempt: Attempt | undefined, key: string): number {
  const open = positions.findIndex((position) => measure(attempt, key, { position: position.value }) === undefined);
  return open < 0 ? 0 : open;
}
