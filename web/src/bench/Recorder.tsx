import type { InForce, Part, Side, Test } from "../record";
import { SheetPanel } from "./SheetPanel";
import { TestRecorder } from "./TestRecorder";
import type { Bench } from "./useBench";
import { LandmarkWalk } from "./walk/LandmarkWalk";
import { isWalk } from "./walk/ring";

interface RecorderProps {
  bench: Bench;
  state: InForce;
  examination: string;
  gaugeOpen: boolean;
  onGauge: (open: boolean) => void;
}

/** Where the answer is recorded: the tests of the sheet at hand, or the one test. */
export function Recorder({ bench, state, examination, gaugeOpen, onGauge }: RecorderProps) {
  if (bench.sheet.length === 0) {
    return (
      <TestRecorder bench={bench} clock={`${examination}.${bench.test.id}`} gaugeOpen={gaugeOpen} onGauge={onGauge} />
    );
  }
  const sheet = {
    tests: bench.sheet,
    state,
    well: bench.well,
    progress: bench.testProgress,
    locked: bench.testLocked,
    onOpen: bench.openCard,
    onRecord: (of: Test, side: Side, parts: Part[]) => {
      bench.record(side, parts, of);
    },
  };
  return isWalk(bench.sheet) ? (
    <LandmarkWalk {...sheet} statements={bench.statements} onQuiet={bench.quiet} />
  ) : (
    <SheetPanel {...sheet} />
  );
}
