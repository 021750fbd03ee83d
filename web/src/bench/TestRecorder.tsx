import {
  type Attempt,
  choices,
  measure,
  type Part,
  type Side,
  type Test,
  withChoice,
  withMeasure,
  withWhole,
} from "../record";
import { sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ChoiceRow } from "./ChoiceRow";
import { GaugePanel, GaugeSwitch } from "./GaugePanel";
import { HoldTimer, useHold, type HoldClock } from "./HoldTimer";
import { MeasureField } from "./MeasureField";
import { MeasureTable } from "./MeasureTable";
import { MoreToRecord } from "./MoreToRecord";
import { PositionsPanel } from "./PositionsPanel";
import { InvolvedPanel, WellPanel } from "./ResponsePanels";
import { isTable } from "./recorderForm";
import type { Bench } from "./useBench";

/** What is recorded of one test, and what can be. */
export type Recordable = Pick<
  Bench,
  | "test"
  | "well"
  | "involved"
  | "here"
  | "there"
  | "known"
  | "variant"
  | "neednt"
  | "wholeTable"
  | "asBefore"
  | "record"
  | "recordWhole"
  | "measure"
>;

interface TestRecorderProps {
  bench: Recordable;
  /** Names the clock of a test that is held for a time; without one none is shown. */
  clock?: string;
  gaugeOpen: boolean;
  onGauge: (open: boolean) => void;
}

/** The controls that a test needs for its answer, and what else it can hold when asked for. */
export function TestRecorder({ bench: whole, ...rest }: TestRecorderProps) {
  const { test, well, here, there } = whole;
  const bench = { ...whole, test: { ...test, parts: test.parts.filter((part) => !part.onDemand) } };
  const attempts = well === "LEFT" ? { LEFT: there, RIGHT: here } : { LEFT: here, RIGHT: there };
  return (
    <div className="@container">
      <MainParts bench={bench} attempts={attempts} {...rest} />
      <MoreToRecord
        key={test.id}
        test={test}
        well={well}
        attempts={attempts}
        onRecord={(side, parts) => {
          whole.record(side, parts);
        }}
      />
    </div>
  );
}

interface MainPartsProps extends TestRecorderProps {
  attempts: Record<Side, Attempt | undefined>;
}

/** The parts that are always shown. */
function MainParts({ bench, attempts, clock, gaugeOpen, onGauge }: MainPartsProps) {
  const { test, well, involved, here, known } = bench;
  const plain = (parts: Test["parts"]) =>
    parts.filter((part) => !part.unit && part.positions.length === 0 && !["quality", "grade"].includes(part.key));
  const rows = plain(test.parts).map((part) => (
    <ChoiceRow
      key={part.key}
      label={part.label}
      options={part.options}
      chosen={choices(here, part.key)}
      keycaps={part.key === "pain" ? ["4", "5", "6"] : []}
      onChoose={(value) => {
        bench.record(involved, withChoice(test, here?.parts ?? [], part.key, value));
      }}
    />
  ));
  if (isTable(test)) {
    return (
      <>
        <MeasureTable
          test={test}
          well={well}
          attempts={attempts}
          onMeasure={bench.measure}
          neednt={bench.neednt}
          onWhole={bench.wholeTable}
          onEye={(side, key, value) => {
            bench.record(side, withChoice(test, attempts[side]?.parts ?? [], key, value));
          }}
        />
        {rows}
      </>
    );
  }
  if (test.parts.some((part) => part.positions.length > 0)) {
    return (
      <>
        <PositionsPanel
          test={test}
          well={well}
          attempts={attempts}
          only={bench.variant?.positions ?? []}
          onRecord={bench.record}
        />
        {rows}
      </>
    );
  }
  if (gaugeOpen) {
    return (
      <>
        {test.usual.length > 0 && <GaugeBar bench={bench} onGauge={onGauge} />}
        <GaugePanel test={test} well={well} attempts={attempts} force={known?.force} onMeasure={bench.measure} />
        {rows.filter((row) => row.key !== "site")}
      </>
    );
  }
  const hold = bench.variant?.hold ?? test.hold;
  return clock && hold && test.parts.some((part) => part.key === "held-for") ? (
    <TimedPanels key={test.id} bench={bench} hold={hold} name={clock} onGauge={onGauge} />
  ) : (
    <AnswerPanels
      bench={bench}
      onGauge={onGauge}
      onAnswer={(parts) => {
        bench.record(involved, parts);
      }}
      onWhole={bench.recordWhole}
    />
  );
}

interface TimedPanelsProps {
  bench: Recordable;
  hold: HoldClock["hold"];
  name: string;
  onGauge: (open: boolean) => void;
}

/** A test that is held for a time: its clock above the answers. Saying that the symptom is there stops the clock. */
function TimedPanels({ bench, hold, name, onGauge }: TimedPanelsProps) {
  const { test, here, involved } = bench;
  const parts = here?.parts ?? [];
  const ended = (held: Part[], seconds: number) =>
    withMeasure(
      held.filter((part) => part.key !== "onset"),
      "held-for",
      seconds,
      "s",
    );
  const clock = useHold(name, hold, (seconds) => {
    bench.record(involved, ended(parts, seconds));
  });
  const begins = test.stops[0];
  const came = (answered: readonly Part[], seconds: number) =>
    withMeasure(withMeasure(answered, "onset", seconds, "s"), "held-for", seconds, "s");
  const says = (answered: readonly Part[]) =>
    answered.some((part) => part.key === begins?.part && part.choice && begins.values.includes(part.choice));
  const timed = (answered: Part[]) =>
    clock.running && says(answered) && !says(parts) ? came(answered, clock.stop()) : answered;
  return (
    <>
      <HoldTimer
        clock={clock}
        heldFor={measure(here, "held-for")}
        onset={measure(here, "onset")}
        onOnset={(seconds) => {
          const others = parts.filter((part) => part.key !== begins?.part);
          bench.record(
            involved,
            came(begins?.values[0] ? withChoice(test, others, begins.part, begins.values[0]) : others, seconds),
          );
        }}
        onEnd={(seconds) => {
          bench.record(involved, ended(parts, seconds));
        }}
      />
      <AnswerPanels
        bench={bench}
        onGauge={onGauge}
        onAnswer={(answered) => {
          bench.record(involved, timed(answered));
        }}
        onWhole={(whole) => {
          bench.record(involved, timed(withWhole(parts, whole)));
        }}
      />
    </>
  );
}

interface AnswerPanelsProps {
  bench: Recordable;
  onGauge: (open: boolean) => void;
  onAnswer: (parts: Part[]) => void;
  onWhole: (parts: Part[]) => void;
}

/** The uninvolved side, then the involved one. */
function AnswerPanels({ bench, onGauge, onAnswer, onWhole }: AnswerPanelsProps) {
  const { test, well, involved, here, there, known } = bench;
  return (
    <div className="flex flex-col gap-2.5 @xl:flex-row">
      <WellPanel
        test={test}
        side={well}
        attempt={there}
        onRecord={(parts) => {
          bench.record(well, parts);
        }}
      />
      <InvolvedPanel
        test={test}
        side={involved}
        attempt={here}
        other={there}
        asBefore={bench.asBefore}
        onRecord={onAnswer}
        onWhole={onWhole}
      >
        {test.parts.some((part) => part.key === "force") && (
          <span className="ml-auto flex items-center gap-2">
            {known?.force && (
              <span className="text-note">
                {typeof known.force.percent === "number"
                  ? `${String(Math.round(known.force.percent))}% of ${sideWord(well)}`
                  : "one side"}
              </span>
            )}
            <GaugeSwitch open={false} onOpen={onGauge} />
          </span>
        )}
      </InvolvedPanel>
    </div>
  );
}

/** Above the gauge: the grade, how long it was held, and the way back to the answers. */
function GaugeBar({ bench, onGauge }: { bench: Recordable; onGauge: (open: boolean) => void }) {
  const { test, here, involved } = bench;
  const grade = test.parts.find((part) => part.key === "grade");
  const part = test.parts.find((each) => each.key === "gave-way");
  const gaveWay = measure(here, "gave-way");
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      {grade && (
        <ChoiceRow
          label={grade.label}
          options={grade.options}
          chosen={choices(here, "grade")}
          keycaps={[]}
          onChoose={(value) => {
            bench.record(involved, withChoice(test, here?.parts ?? [], "grade", value));
          }}
        />
      )}
      {part && (
        <span className="flex items-center gap-2 text-read">
          Gave way after{" "}
          <MeasureField
            part={part}
            side={sideWord(involved)}
            plain
            value={gaveWay}
            onSet={(value) => {
              bench.measure(involved, { key: part.key, value, unit: part.unit ?? "s" });
            }}
          />{" "}
          s
        </span>
      )}
      <Button
        look="choice"
        chosen
        onClick={() => {
          onGauge(false);
        }}
      >
        Gauge
      </Button>
    </div>
  );
}
