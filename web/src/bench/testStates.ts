import type { LiveExamination } from "../examination";
import { latestAttempt } from "../record";
import type { Schemas } from "../shared/api/client";
import type { Progress } from "../shared/drawings/ProgressGlyph";
import type { OrderItem } from "./order";
import { stoppedHere } from "./stops";

/** How far each test is, and what closes it: as the server says, and as the page alone knows until the server has spoken. */
export interface TestStates {
  /** What the server knows of a test. */
  known: (id: string) => Schemas["TestState"] | undefined;
  /** Whether the involved side has an answer. */
  done: (id: string) => boolean;
  lockOf: (id: string) => Schemas["TestLockJson"] | undefined;
  testLocked: (id: string) => boolean;
  locked: (item: OrderItem) => boolean;
  testProgress: (id: string) => Progress;
  progress: (item: OrderItem) => Progress;
  /** What the server says of a test. */
  statements: (id: string) => Schemas["StatementJson"][];
}

/** Reads the states of the tests from the record and the latest weighing. */
export function testStates(live: LiveExamination): TestStates {
  const { region, state, weighing, upToDate } = live;
  const involved = live.examination.side;
  const byId = new Map(weighing?.tests.map((each) => [each.testId, each]));
  const stops = stoppedHere(region, state, involved);
  const lockOf = (id: string): Schemas["TestLockJson"] | undefined => {
    const stop = upToDate ? undefined : stops.get(id);
    return byId.get(id)?.lock ?? (stop ? { why: [stop] } : undefined);
  };
  const testLocked = (id: string) => {
    const lock = lockOf(id);
    return lock !== undefined && lock.override == null;
  };
  const testProgress = (id: string): Progress => {
    const server = byId.get(id)?.progress ?? "OPEN";
    if (upToDate) {
      return server;
    }
    const recorded = state.attempts.some((each) => each.testId === id);
    return recorded && server === "OPEN" ? "PARTLY" : recorded ? server : "OPEN";
  };
  return {
    known: (id) => byId.get(id),
    done: (id) => latestAttempt(state, id, involved) !== undefined,
    lockOf,
    testLocked,
    locked: (item) => item.testIds.every(testLocked),
    testProgress,
    progress: (item) => together(item.testIds.map(testProgress)),
    statements: (id) => (upToDate ? (byId.get(id)?.statements ?? []) : []),
  };
}

/** The progress of a row of several tests: theirs where they agree, read when all are over in some way. */
export function together(all: readonly Progress[]): Progress {
  const first = all[0] ?? "OPEN";
  if (all.every((each) => each === first)) {
    return first;
  }
  return all.every((each) => each !== "OPEN" && each !== "PARTLY") ? "READ" : "PARTLY";
}
