import { withChoice, withMeasure, type Test } from "../examination/commands";
import { choices, measure, type InForce, type Part, type Side } from "../examination/history";
import { sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ChoiceRow } from "./ChoiceRow";
import { GaugePanel, GaugeSwitch } from "./GaugePanel";
import { HoldTimer } from "./HoldTimer";
import { MeasureField } from "./MeasureField";
import { MeasureTable } from "./MeasureTable";
import { PositionsPanel } from "./PositionsPanel";
import { InvolvedPanel, WellPanel } from "./ResponsePanels";
import { SheetPanel } from "./SheetPanel";
import type { Bench } from "./useBench";
import { LandmarkWalk } from "./walk/LandmarkWalk";
import { isWalk } from "./walk/ring";

interface RecorderProps {
  bench: Bench;
  state: InForce;
  examination: string;
  /** Several plain measures are recorded as a table of both sides. */
  tableForm: boolean;
  gaugeOpen: boolean;
  onGauge: (open: boolean) => void;
}

/** Where the answer is recorded: the controls that the test at hand needs, and no others. */
export function Recorder({ bench, state, examination, tableForm, gaugeOpen, onGauge }: RecorderProps) {
  const { test, well, involved, here, there, known } = bench;
  const attempts = well === "LEFT" ? { LEFT: there, RIGHT: here } : { LEFT: here, RIGHT: there };
  if (bench.sheet.length > 0) {
    const sheet = { tests: bench.sheet, state, well, progress: bench.testProgress, locked: bench.testLocked, onOpen: bench.openCard, onRecord: (of: Test, side: Side, parts: Part[]) => { bench.record(side, parts, of); } };
    return isWalk(bench.sheet) ? <LandmarkWalk {...sheet} statements={bench.statements} onQuiet={bench.quiet} /> : <SheetPanel {...sheet} />;
  }
  const plain = (parts: Test["parts"]) => parts.filter((part) => !part.unit && part.positions.length === 0 && !["quality", "grade"].includes(part.key));
  const rows = plain(test.parts).map((part) => (
    <ChoiceRow key={part.key} label={part.label} options={part.options} chosen={choices(here, part.key)} keycaps={part.key === "pain" ? ["4", "5", "6"] : []} onChoose={(value) => { bench.record(involved, withChoice(test, here?.parts ?? [], part.key, value)); }} />
  ));
  if (tableForm) {
    return (
      <>
        <MeasureTable test={test} well={well} attempts={attempts} onMeasure={bench.measure} />
        {rows}
      </>
    );
  }
  if (test.parts.some((part) => part.positions.length > 0)) {
    return (
      <>
        <PositionsPanel test={test} well={well} attempts={attempts} only={known?.variant?.positions ?? []} onRecord={bench.record} />
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
  const hold = known?.variant?.hold ?? test.hold;
  const timed = hold && test.parts.some((part) => part.key === "held-for");
  const onsetAnswer = test.stops[0];
  return (
    <>
      {timed && (
        <HoldTimer name={`${examination}.${test.id}`} hold={hold} heldFor={measure(here, "held-for")} onset={measure(here, "onset")}
          onOnset={(seconds) => {
            const came = (here?.parts ?? []).filter((part) => part.key !== onsetAnswer?.part);
            const answered = onsetAnswer?.values[0] ? withChoice(test, came, onsetAnswer.part, onsetAnswer.values[0]) : came;
            bench.record(involved, withMeasure(withMeasure(answered, "onset", seconds, "s"), "held-for", seconds, "s"));
          }}
          onEnd={(seconds) => { bench.record(involved, withMeasure((here?.parts ?? []).filter((part) => part.key !== "onset"), "held-for", seconds, "s")); }} />
      )}
      <div className="flex flex-col gap-2.5 md:flex-row">
        <WellPanel test={test} side={well} attempt={there} onRecord={(parts) => { bench.record(well, parts); }} />
        <InvolvedPanel test={test} side={involved} attempt={here} other={there} onRecord={(parts) => { bench.record(involved, parts); }} onWhole={bench.recordWhole}>
          {test.parts.some((part) => part.key === "force") && (
            <span className="ml-auto flex items-center gap-2">
              {known?.force && <span className="text-note">{typeof known.force.percent === "number" ? `${String(Math.round(known.force.percent))}% of ${sideWord(well)}` : "one side"}</span>}
              <GaugeSwitch open={false} onOpen={onGauge} />
            </span>
          )}
        </InvolvedPanel>
      </div>
    </>
  );
}

/** Above the gauge: the grade, how long it was held, and the way back to the answers. */
function GaugeBar({ bench, onGauge }: { bench: Bench; onGauge: (open: boolean) => void }) {
  const { test, here, involved } = bench;
  const grade = test.parts.find((part) => part.key === "grade");
  const part = test.parts.find((each) => each.key === "gave-way");
  const gaveWay = measure(here, "gave-way");
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      {grade && <ChoiceRow label={grade.label} options={grade.options} chosen={choices(here, "grade")} keycaps={[]} onChoose={(value) => { bench.record(involved, withChoice(test, here?.parts ?? [], "grade", value)); }} />}
      {part && <span className="flex items-center gap-2 text-read">Gave way after <MeasureField part={part} side={sideWord(involved)} plain value={gaveWay} onSet={(value) => { bench.measure(involved, { key: part.key, value, unit: part.unit ?? "s" }); }} /> s</span>}
      <Button look="choice" chosen onClick={() => { onGauge(false); }}>Gauge</Button>
    </div>
  );
}
