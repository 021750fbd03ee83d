import { useState } from "react";
import type { LiveExamination } from "../examination";
import {
  type Attempt,
  attempt as newAttempt,
  choices,
  latestAttempt,
  leftOut,
  type Measured,
  move,
  nextTry,
  nothing,
  otherSide,
  type Part,
  record,
  redo,
  type Side,
  type Test,
  undo,
  withMeasures,
  withWhole,
} from "../record";
import type { Schemas } from "../shared/api/client";
import { neednt, shown } from "./movements";
import type { TestStates } from "./testStates";
import { usePickedWays } from "./usePickedWays";
import type { Standing } from "./useStanding";

const USUAL = "usual";

/** What is recorded of the test at hand, and what can be recorded. */
export interface Recording {
  well: Side;
  involved: Side;
  here: Attempt | undefined;
  there: Attempt | undefined;
  /** The way in which the test is done, by its name in the record, and the school's where that is the one. */
  way: string;
  variant: Schemas["WayJson"] | undefined;
  doneAs: (way: string) => void;
  /** Keys of the ranges of the table at hand that need not be measured here. */
  neednt: ReadonlySet<string>;
  /** Shows them all the same. */
  wholeTable: () => void;
  /** Another go after guarding is offered. */
  mayRetry: boolean;
  record: (side: Side, parts: Part[], test?: Test) => void;
  recordWhole: (parts: Part[]) => void;
  /** Records measures of one side that came at once. */
  measure: (side: Side, ...measures: Measured[]) => void;
  nothingBoth: () => void;
  /** Records answers of both sides and goes on; nothing of a side that has none. */
  bothAs: (wellParts: Part[], parts: Part[]) => void;
  /** "Nothing" on both sides for some tests of the sheet at hand, which stays open. */
  quiet: (tests: Test[]) => void;
  leaveOut: (reason?: string) => void;
  takeBack: () => void;
  bringBack: () => void;
  retry: () => void;
  keepOne: (kept: Attempt, others: Attempt[]) => void;
}

/** Turns what is tapped into commands of the record. */
export function useRecording(live: LiveExamination, standing: Standing, states: TestStates): Recording {
  const { state } = live;
  const { test, row, sheet, retrying, later } = standing;
  const picked = usePickedWays(live.examination.id);
  const involved = live.examination.side;
  const well = otherSide(involved);
  const latest = latestAttempt(state, test.id, involved);
  const here = retrying ? undefined : latest;
  const there = latestAttempt(state, test.id, well);
  const school = states.known(test.id)?.variant;
  const way = here?.variant ?? picked.of(test.id) ?? school?.value ?? USUAL;
  const variant = school && way === school.value ? school : undefined;
  const positions = variant?.positions ?? [];
  const [whole, setWhole] = useState<readonly string[]>([]);
  const hiddenOf = (of: Test) =>
    neednt(of, whole.includes(of.id) ? [] : (states.known(of.id)?.movements ?? []), [
      latestAttempt(state, of.id, well),
      latestAttempt(state, of.id, involved),
    ]);
  /** The place in the order that a recording of a test leaves one at. */
  const placeOf = (of: Test) => (row.sheet ? row.id : of.id);
  /** What of the row is still to be done: of a sheet the tests without an answer, else the test at hand. */
  const left = () =>
    sheet.length > 0 ? sheet.filter((each) => !states.done(each.id) && !states.testLocked(each.id)) : [test];

  const recordNow = (side: Side, parts: Part[], of: Test = test) => {
    const earlier = latestAttempt(state, of.id, side);
    if (retrying && side === involved && earlier) {
      standing.setRetrying(false);
      live.add(record([{ ...nextTry(of, side, earlier, way), parts }], state.standAt ?? of.id));
    } else {
      live.add(record([newAttempt(of, side, parts, earlier, of === test ? way : undefined)], placeOf(of)));
    }
  };
  const both = (of: Test): Attempt[] => {
    const [one, other] = [latestAttempt(state, of.id, well), latestAttempt(state, of.id, involved)];
    const hidden = hiddenOf(of);
    const wellParts = shown(nothing(of, "well", positions), hidden);
    const parts = shown(nothing(of, "involved", positions), hidden);
    const wellSide = wellParts.length > 0 ? [newAttempt(of, well, withWhole(one?.parts ?? [], wellParts), one)] : [];
    return [
      ...wellSide,
      retrying && other
        ? { ...nextTry(of, involved, other, way), parts }
        : newAttempt(of, involved, withWhole(other?.parts ?? [], parts), other, of === test ? way : undefined),
    ];
  };
  /** Tests of the sheet that stand out on the involved side and of which the well side is still missing. */
  const wellSidesMissing = () =>
    sheet
      .filter((each) => states.done(each.id) && !states.testLocked(each.id) && !latestAttempt(state, each.id, well))
      .flatMap((each) => {
        const parts = shown(nothing(each, "well"), hiddenOf(each));
        return parts.length > 0 ? [newAttempt(each, well, parts, undefined)] : [];
      });
  return {
    well,
    involved,
    here,
    there,
    way: way === USUAL ? (test.ways[0]?.value ?? USUAL) : way,
    variant,
    doneAs: (chosen) => {
      const name = chosen === test.ways[0]?.value && !school ? USUAL : chosen;
      picked.set(test.id, name);
      if (here) {
        const again = newAttempt(test, involved, here.parts, here, name);
        live.add(record([{ ...again, tryNumber: here.tryNumber }], placeOf(test)));
      }
    },
    neednt: hiddenOf(test),
    wholeTable: () => {
      setWhole([...whole, test.id]);
    },
    mayRetry: latest?.tryNumber === 1 && choices(latest, "quality").includes("guarded") && !retrying,
    record: recordNow,
    recordWhole: (parts) => {
      recordNow(involved, withWhole(here?.parts ?? [], parts));
    },
    measure: (side, ...measures) => {
      recordNow(side, withMeasures(latestAttempt(state, test.id, side)?.parts ?? [], measures));
    },
    nothingBoth: () => {
      const attempts = [...left().flatMap(both), ...wellSidesMissing()];
      standing.leaveFor(later);
      live.add(attempts.length > 0 ? record(attempts, later?.id ?? test.id) : move(later?.id ?? test.id));
    },
    bothAs: (wellParts, parts) => {
      const wellSide = wellParts.length > 0 ? [newAttempt(test, well, wellParts, there)] : [];
      const attempts = [...wellSide, newAttempt(test, involved, parts, here, way)];
      standing.leaveFor(later);
      live.add(record(attempts, later?.id ?? test.id));
    },
    quiet: (tests) => {
      live.add(record(tests.flatMap(both), row.id));
    },
    leaveOut: (reason) => {
      const attempts = left().map((each) =>
        newAttempt(each, involved, leftOut(reason), latestAttempt(state, each.id, involved)),
      );
      standing.leaveFor(later);
      live.add(record(attempts, later?.id ?? test.id));
    },
    takeBack: () => {
      if (state.lastRecording) {
        standing.leaveFor(undefined);
        live.add(undo(state.lastRecording));
      }
    },
    bringBack: () => {
      if (state.lastUndo) {
        standing.leaveFor(undefined);
        live.add(redo(state.lastUndo));
      }
    },
    retry: () => {
      standing.setRetrying(true);
    },
    keepOne: (kept, others) => {
      const again = newAttempt(test, kept.side, kept.parts, kept);
      const supersedes = others.map((each) => each.id);
      live.add(record([{ ...again, tryNumber: kept.tryNumber, supersedes }], test.id));
    },
  };
}
