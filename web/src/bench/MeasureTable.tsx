import { useState } from "react";
import { StandInPanel, useEfforts, useStatus } from "../devices";
import { type Attempt, choices, measure, type Measured, otherSide, type Side, type Test } from "../record";
import { capital, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { byEyeOn } from "./byEye";
import { MeasureField } from "./MeasureField";

interface MeasureTableProps {
  test: Test;
  well: Side;
  attempts: Record<Side, Attempt | undefined>;
  onMeasure: (side: Side, ...measures: Measured[]) => void;
  /** A range was judged by eye. */
  onEye: (side: Side, key: string, value: string) => void;
  /** Keys of ranges that need not be measured here. */
  neednt: ReadonlySet<string>;
  onWhole: () => void;
}

const SHORTLY: Record<string, string> = { full: "Full", "as-other": "Same", short: "Short" };

/** Several measures of both sides with their differences: typed, dragged, or read off a goniometer into the next empty cell. */
export function MeasureTable({ test, well, attempts, onMeasure, onEye, neednt, onWhole }: MeasureTableProps) {
  const involved = otherSide(well);
  const measured = test.parts.filter((part) => part.unit);
  const parts = measured.filter((part) => !neednt.has(part.key));
  const left = measured.length - parts.length;
  const status = useStatus("angle");
  const [picked, setPicked] = useState<{ side: Side; key: string }>();
  const asked = (key: string, side: Side) => side === involved || test.wellSideParts.includes(key);
  const empty = parts
    .flatMap((part) => [well, involved].map((side) => ({ side, key: part.key })))
    .find(
      ({ side, key }) =>
        asked(key, side) && measure(attempts[side], key) === undefined && choices(attempts[side], key).length === 0,
    );
  const next = picked ?? empty;
  useEfforts("angle", (effort) => {
    const part = parts.find((each) => each.key === next?.key);
    if (next && part?.unit === "°") {
      onMeasure(next.side, { key: part.key, value: Math.round(effort.peak), unit: part.unit });
      setPicked(undefined);
    }
  });
  return (
    <section
      aria-label={`${capital(sideWord(well))} and ${sideWord(involved)}`}
      className="flex shrink-0 flex-wrap gap-x-4 overflow-x-auto border-2 border-ink bg-sheet p-2"
    >
      <table className="text-read">
        <thead className="text-note">
          <tr>
            <th scope="col">
              <span className="sr-only">Measure</span>
            </th>
            <th scope="col" className="pb-1 text-left font-semibold">
              {capital(sideWord(well))} <span className="font-normal text-soft">uninvolved</span>
            </th>
            <th scope="col" className="pb-1 pl-3 text-left font-semibold">
              {capital(sideWord(involved))} <span className="font-normal text-soft">involved</span>
            </th>
            <th scope="col" className="pl-3 font-normal text-soft">
              Difference
            </th>
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => {
            const [one, other] = [measure(attempts[well], part.key), measure(attempts[involved], part.key)];
            return (
              <tr key={part.key}>
                <th scope="row" className="w-31 pr-2 text-left text-note leading-tight font-semibold">
                  {part.label}
                </th>
                {[well, involved].map((side) => (
                  <td key={side} className={`py-px ${side === involved ? "pl-3" : ""}`}>
                    {asked(part.key, side) && (
                      <span
                        className={`flex items-center gap-1 ${status === "connected" && next?.side === side && next.key === part.key ? "outline-2 outline-ink" : ""}`}
                      >
                        <MeasureField
                          part={part}
                          side={sideWord(side)}
                          bare
                          short
                          start={measure(attempts[otherSide(side)], part.key)}
                          value={measure(attempts[side], part.key)}
                          onPick={() => {
                            setPicked({ side, key: part.key });
                          }}
                          onSet={(value) => {
                            onMeasure(side, { key: part.key, value, unit: part.unit ?? "" });
                          }}
                        />
                        {byEyeOn(part, side === involved).map((option) => (
                          <Button
                            key={option.value}
                            look="choice"
                            chosen={choices(attempts[side], part.key).includes(option.value)}
                            className="px-1.5"
                            aria-label={`${part.label}, ${sideWord(side)}: ${option.label}`}
                            onClick={() => {
                              onEye(side, part.key, option.value);
                            }}
                          >
                            {SHORTLY[option.value] ?? option.label}
                          </Button>
                        ))}
                      </span>
                    )}
                  </td>
                ))}
                <td className="pl-3 text-right font-semibold">
                  {one === undefined || other === undefined
                    ? ""
                    : `${other > one ? "+" : ""}${String(other - one)}${part.unit === "°" ? "°" : ` ${part.unit ?? ""}`}`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {left > 0 && (
        <p className="flex basis-full flex-wrap items-center justify-between gap-x-3 border-t border-line text-note">
          <span>The movements that matter here.</span>
          <Button look="quiet" onClick={onWhole}>
            {left === 1 ? "One more" : `${String(left)} more`}
          </Button>
        </p>
      )}
      {parts.some((part) => part.unit === "°") && (
        <div className="w-32">
          <StandInPanel kind="angle" />
        </div>
      )}
    </section>
  );
}
