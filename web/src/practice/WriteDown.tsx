import { useState } from "react";
import { ChoiceRow, isGaugeOnly, MeasureField, qualities, type Recordable, TestRecorder } from "../bench";
import {
  attempt,
  choices,
  measure,
  otherSide,
  type Part,
  type Side,
  type Test,
  withChoice,
  withMeasures,
  withWhole,
} from "../record";
import { sideWord } from "../shared/format";
import type { Practising } from "./usePracticeCase";

/** Measures that a clock takes at the bench; here they are read off the answer. */
const TIMED = ["onset", "held-for"];

/** The last answer, written down with the controls of the bench. */
export function WriteDown({ test, practising }: { test: Test; practising: Practising }) {
  const [gauge, setGauge] = useState(false);
  const involved = practising.known.side;
  const well = otherSide(involved);
  const written = practising.written(test.id);
  const here = attempt(test, involved, written.here, undefined);
  const there = written.well.length > 0 ? attempt(test, well, written.well, undefined) : undefined;
  const record = (side: Side, parts: Part[]) => {
    practising.write(test.id, side === involved ? { ...written, here: parts } : { ...written, well: parts });
  };
  const bench: Recordable = {
    test,
    well,
    involved,
    here,
    there,
    known: undefined,
    variant: undefined,
    neednt: new Set(),
    wholeTable: () => undefined,
    asBefore: undefined,
    record,
    recordWhole: (parts) => {
      record(involved, withWhole(written.here, parts));
    },
    measure: (side, ...measures) => {
      record(side, withMeasures(side === involved ? written.here : written.well, measures));
    },
  };
  const quality = qualities(test);
  return (
    <section aria-label={`Write down ${test.shortName}`} className="[&_kbd]:hidden!">
      <TestRecorder bench={bench} gaugeOpen={gauge || isGaugeOnly(test)} onGauge={setGauge} />
      {test.parts
        .filter((part) => TIMED.includes(part.key))
        .map((part) => (
          <div key={part.key} className="mt-1">
            <MeasureField
              part={part}
              side={sideWord(involved)}
              value={measure(here, part.key)}
              onSet={(value) => {
                bench.measure(involved, { key: part.key, value, unit: part.unit ?? "" });
              }}
            />
          </div>
        ))}
      {quality.length > 0 && (
        <div className="mt-1">
          <ChoiceRow
            label="If seen"
            tight
            options={quality}
            chosen={choices(here, "quality")}
            keycaps={[]}
            onChoose={(value) => {
              record(involved, withChoice(test, written.here, "quality", value));
            }}
          />
        </div>
      )}
    </section>
  );
}
