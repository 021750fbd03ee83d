import { useState } from "react";
import type { LiveExamination } from "../examination";
import { type Answer, latestAttempt, type Part, tell } from "../record";
import type { Schemas } from "../shared/api/client";
import type { Replan } from "../plan";
import { useAgain } from "../tracking";
import type { OrderItem, OrderSection } from "./order";
import { type TestStates, testStates } from "./testStates";
import { type Recording, useRecording } from "./useRecording";
import { type Standing, useStanding } from "./useStanding";
import { useWorkOrder } from "./useWorkOrder";

const ASKED = "lexicor.asked.";

/** Provocation from which a measure taken afterwards would be spoiled. */
const PROVOKES = 2;

/** An answer of the visit before, in words, and what records it again. */
export interface AsBefore {
  phrase: string;
  /** What it records of the involved side. */
  parts: Part[];
  act: () => void;
}

/** Where the bench stands, and what can be done there. */
export interface Bench
  extends
    Omit<TestStates, "known" | "done" | "lockOf">,
    Omit<Standing, "later" | "setRetrying" | "leaveFor">,
    Recording {
  order: OrderSection[];
  /** What results have changed for the plan that was taken. */
  replan: Replan;
  /** What the server knows of the test at hand. */
  known: Schemas["TestState"] | undefined;
  /** What locks the test at hand. */
  lock: Schemas["TestLockJson"] | undefined;
  closed: boolean;
  moveRow: (item: OrderItem, by: 1 | -1) => void;
  usualOrder: (() => void) | undefined;
  sayBefore: (answer: Answer) => void;
  /** Measures that provoking would spoil and that are still missing, with the first of them; asked for once. */
  spoiled: { id: string; names: string[] } | undefined;
  /** Records what was found at the visit before once more, on both sides; absent where that cannot be or is answered. */
  asBefore: AsBefore | undefined;
  notNow: () => void;
}

/** Puts the bench together from the order, the states of the tests, where one stands and what is recorded. */
export function useBench(live: LiveExamination): Bench {
  const { region, state, weighing } = live;
  const states = testStates(live);
  const { order, replan, moveRow, usualOrder } = useWorkOrder(live, states);
  const standing = useStanding(live, order, states);
  const recording = useRecording(live, standing, states);
  const before = useAgain(live)?.positives.find((each) => each.testId === standing.test.id);
  const [asked, setAsked] = useState(() => window.localStorage.getItem(ASKED + live.examination.id) !== null);
  const { test, row, sheet } = standing;
  const spoiling = !asked && test.provocation >= PROVOKES && !latestAttempt(state, test.id, recording.involved);
  const missing = spoiling ? region.first.filter((id) => !states.done(id) && !states.testLocked(id)) : [];
  const nameOf = (id: string) => region.tests.find((each) => each.id === id)?.shortName ?? id;
  return {
    ...states,
    ...standing,
    ...recording,
    order,
    replan,
    known: states.known(test.id),
    lock: states.lockOf(test.id),
    closed:
      live.readOnly ||
      weighing?.safety.state === "SUSPENDED" ||
      (sheet.length > 0 ? states.locked(row) : states.testLocked(test.id)),
    moveRow: (item, by) => {
      moveRow(item, by, test.id);
    },
    usualOrder:
      usualOrder &&
      (() => {
        usualOrder(test.id);
      }),
    sayBefore: (answer) => {
      live.add(tell([answer], test.id));
    },
    spoiled: missing[0] ? { id: missing[0], names: missing.map(nameOf) } : undefined,
    asBefore:
      before && before.involved.length > 0 && sheet.length === 0 && !recording.here
        ? {
            phrase: before.phrase,
            parts: before.involved,
            act: () => {
              recording.bothAs(before.well, before.involved);
            },
          }
        : undefined,
    notNow: () => {
      window.localStorage.setItem(ASKED + live.examination.id, "yes");
      setAsked(true);
    },
  };
}
