import { useState } from "react";
import { EVERY, type InstrumentKind, type Sample, StandInPanel, useEfforts, useStatus } from "../devices";
import { type Attempt, measure, type Measured, otherSide, type Side, type Test } from "../record";
import type { Schemas } from "../shared/api/client";
import { capital, decimal, force as inWords, KILOGRAM, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { MeasureField } from "./MeasureField";

interface GaugePanelProps {
  test: Test;
  well: Side;
  attempts: Record<Side, Attempt | undefined>;
  force: Schemas["ForceJson"] | null | undefined;
  onMeasure: (side: Side, ...measures: Measured[]) => void;
}

/** Three tries a side, typed or from a gauge: the next empty one takes the reading, the sides in turn. */
export function GaugePanel({ test, well, attempts, force, onMeasure }: GaugePanelProps) {
  const part = test.parts.find((each) => each.key === "force");
  const involved = otherSide(well);
  const kind: InstrumentKind = test.id === "ha-grip" ? "grip" : test.id === "ha-pinch" ? "pinch" : "force";
  const status = useStatus(kind);
  const [picked, setPicked] = useState<{ side: Side; repeat: number }>();
  const tries = Array.from({ length: part?.repeats ?? 3 }, (_, index) => index + 1);
  const [unit, setUnit] = useForceUnit();
  const shown = unit === "N" ? 1 : KILOGRAM;
  const value = (side: Side, repeat: number) => measure(attempts[side], "force", repeat === 1 ? {} : { repeat });
  const empty = tries
    .flatMap((repeat) => [well, involved].map((side) => ({ side, repeat })))
    .find(({ side, repeat }) => value(side, repeat) === undefined);
  const next = picked ?? empty;
  const trace = useEfforts(kind, (effort) => {
    if (next && part) {
      const gaveWay =
        effort.gaveWay !== undefined && next.side === involved && test.parts.some((each) => each.key === "gave-way")
          ? [{ key: "gave-way", value: Math.round(effort.gaveWay), unit: "s" }]
          : [];
      onMeasure(next.side, tried(next.repeat, Math.round(effort.peak)), ...gaveWay);
      setPicked(undefined);
    }
  });
  return !part ? null : (
    <section aria-label="Gauge" className="flex flex-col gap-1.5 border border-line bg-sheet p-2">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1.5">
        <table className="text-read">
          <thead className="text-note text-soft">
            <tr>
              <th scope="col" className="pr-1 text-left">
                <Button
                  className="text-note"
                  aria-label={`Shown in ${unit}: change`}
                  onClick={() => {
                    setUnit(unit === "N" ? "kg" : "N");
                  }}
                >
                  {unit}
                </Button>
              </th>
              {tries.map((repeat) => (
                <th key={repeat} scope="col" className="font-normal">
                  Try {repeat}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {[well, involved].map((side) => (
              <tr key={side}>
                <th scope="row" className="pr-2 text-left font-semibold">
                  {capital(sideWord(side))}
                </th>
                {tries.map((repeat) => (
                  <td
                    key={repeat}
                    className={`p-0.5 ${next?.side === side && next.repeat === repeat && status === "connected" ? "outline-2 outline-ink" : ""}`}
                  >
                    <MeasureField
                      key={unit}
                      part={{
                        ...part,
                        unit,
                        most: Math.floor((part.most ?? 1000) / shown),
                        label: `Force, try ${String(repeat)}`,
                      }}
                      side={sideWord(side)}
                      plain
                      value={inUnit(value(side, repeat), shown)}
                      onPick={() => {
                        setPicked({ side, repeat });
                      }}
                      onSet={(typed) => {
                        onMeasure(side, tried(repeat, typed * shown));
                      }}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <Trace trace={status === "connected" ? trace : []} />
        <div className="min-w-64 flex-1 text-read leading-snug">
          {force && (
            <p>
              {capital(sideWord(involved))} {told(force.involved, force.counts, unit)}; {sideWord(well)}{" "}
              {told(force.well, force.counts, unit)}.
            </p>
          )}
          {typeof force?.percent === "number" && (
            <p className="font-semibold">
              {Math.round(force.percent)}% of the {sideWord(well)} side
            </p>
          )}
          {!force && <p className="text-soft">The {sideWord(well)} side first, then in turn.</p>}
          <StandInPanel kind={kind} />
        </div>
      </div>
    </section>
  );
}

type ForceUnit = "N" | "kg";

const UNIT = "lexicor.force-unit";

/** The unit in which forces are shown and typed, remembered in this browser; the record is in newtons. */
function useForceUnit(): [ForceUnit, (unit: ForceUnit) => void] {
  const [unit, setUnit] = useState<ForceUnit>(() => (window.localStorage.getItem(UNIT) === "kg" ? "kg" : "N"));
  return [
    unit,
    (next) => {
      window.localStorage.setItem(UNIT, next);
      setUnit(next);
    },
  ];
}

/** Newtons in a unit of so many newtons: whole, or to a tenth. */
function inUnit(newtons: number | undefined, size: number): number | undefined {
  return newtons === undefined ? undefined : size === 1 ? Math.round(newtons) : Math.round((10 * newtons) / size) / 10;
}

function tried(repeat: number, newtons: number): Measured {
  return { key: "force", value: newtons, unit: "N", context: repeat === 1 ? {} : { repeat } };
}

function told(
  tries: Schemas["TriesJson"] | null | undefined,
  counts: Schemas["ForceJson"]["counts"],
  unit: ForceUnit,
): string {
  if (!tries) {
    return "not yet";
  }
  const varies = typeof tries.variation === "number" ? `, tries vary ${decimal(tries.variation)}%` : "";
  return `${inWords(counts === "BEST" ? tries.best : tries.mean, unit)} (${counts === "BEST" ? "best" : "mean"} of ${String(tries.values.length)}${varies})`;
}

/** The force of the effort under way. */
function Trace({ trace }: { trace: readonly Sample[] }) {
  const width = 170;
  const height = 96;
  const most = Math.max(50, ...trace.map((sample) => sample.value));
  const line = trace
    .map(
      (sample, index) =>
        `${String((index * EVERY * width) / 3500)} ${String(height - 4 - ((height - 10) * sample.value) / most)}`,
    )
    .join("L");
  const peak = Math.max(0, ...trace.map((sample) => sample.value));
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${String(width)} ${String(height)}`}
      role="img"
      aria-label={peak > 0 ? `Force trace, peak ${String(Math.round(peak))}` : "No force yet"}
      className="border border-line bg-paper"
    >
      <path d={`M0 ${String(height - 4)}H${String(width)}`} stroke="var(--color-line)" />
      {line && <path d={`M${line}`} fill="none" stroke="var(--color-ink)" strokeWidth={2.4} />}
      {peak > 0 && (
        <text x={width - 4} y={16} textAnchor="end" fontSize={15} fontWeight={600} fill="var(--color-ink)">
          {Math.round(peak)}
        </text>
      )}
    </svg>
  );
}

/** Opens and closes the gauge of a strength test. */
export function GaugeSwitch({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
  return (
    <Button
      look="choice"
      chosen={open}
      onClick={() => {
        onOpen(!open);
      }}
    >
      Gauge
    </Button>
  );
}
