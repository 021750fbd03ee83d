import { useState } from "react";
import {
  type Answer,
  type Attempt,
  attempt as newAttempt,
  choices,
  type Context,
  latestAttempt,
  leftOut,
  move,
  nextTry,
  nothing,
  otherSide,
  type Part,
  record,
  redo,
  type Side,
  tell,
  type Test,
  undo,
  withMeasure,
  withWhole,
} from "../record";
import type { LiveExamination } from "../examination";
import type { Schemas } from "../shared/api/client";
import type { Progress } from "../shared/drawings/ProgressGlyph";
import { placesOf, PLAN_ANSWERS, type Replan, useReplan } from "../plan";
import { movedBy, rowOf, sections, unplaced, type OrderItem, type OrderSection } from "./order";
import { usePickedWays } from "./usePickedWays";
import { usePathways } from "./pathways/usePathways";
import { stoppedHere } from "./stops";

const USUAL = "usual";
const ASKED = "lexicor.asked.";

/** Provocation from which a measure taken afterwards would be spoiled. */
const PROVOKES = 2;

/** One measure. */
export interface Measured {
  key: string;
  value: number;
  unit: string;
  context?: Context;
}

/** Where the bench stands, and what can be done there. */
export interface Bench {
  test: Test;
  row: OrderItem;
  order: OrderSection[];
  /** Tests of the row, when it is a sheet and no card of it is open. */
  sheet: Test[];
  well: Side;
  involved: Side;
  here: Attempt | undefined;
  there: Attempt | undefined;
  known: Schemas["TestState"] | undefined;
  /** The way in which the test is done, by its name in the record, and the school's where that is the one. */
  way: string;
  variant: Schemas["WayJson"] | undefined;
  doneAs: (way: string) => void;
  lock: Schemas["TestLockJson"] | undefined;
  closed: boolean;
  /** The patient is asked to change position. */
  beat: OrderSection | undefined;
  next: OrderItem | undefined;
  previous: OrderItem | undefined;
  /** Another go after guarding is offered. */
  mayRetry: boolean;
  retrying: boolean;
  progress: (item: OrderItem) => Progress;
  testProgress: (id: string) => Progress;
  locked: (item: OrderItem) => boolean;
  testLocked: (id: string) => boolean;
  go: (id: string) => void;
  forward: () => boolean;
  back: () => void;
  ready: () => void;
  openCard: (id: string | undefined) => void;
  record: (side: Side, parts: Part[], test?: Test) => void;
  recordWhole: (parts: Part[]) => void;
  /** Records measures of one side that came at once. */
  measure: (side: Side, ...measures: Measured[]) => void;
  nothingBoth: () => void;
  /** The pathways of the region. */
  ways: ReturnType<typeof usePathways>;
  /** "Nothing" on both sides for some tests of the sheet at hand, which stays open. */
  quiet: (tests: Test[]) => void;
  /** What the server says of a test. */
  statements: (id: string) => Schemas["StatementJson"][];
  leaveOut: (reason?: string) => void;
  takeBack: () => void;
  bringBack: () => void;
  retry: () => void;
  sayBefore: (answer: Answer) => void;
  keepOne: (kept: Attempt, others: Attempt[]) => void;
  moveRow: (item: OrderItem, by: 1 | -1) => void;
  usualOrder: (() => void) | undefined;
  /** What results have changed for the plan that was taken. */
  replan: Replan;
  /** Measures that provoking would spoil and that are still missing, with the first of them; asked for once. */
  spoiled: { id: string; names: string[] } | undefined;
  notNow: () => void;
}

/** Puts the bench together from the record, the region and what the server knows. */
export function useBench(live: LiveExamination): Bench {
  const { region, state, weighing } = live;
  const [beat, setBeat] = useState<OrderSection>();
  const [opened, setOpened] = useState<string>();
  const [retrying, setRetrying] = useState<string>();
  const picked = usePickedWays(live.examination.id);
  const [asked, setAsked] = useState(() => window.localStorage.getItem(ASKED + live.examination.id) !== null);
  const involved = live.examination.side;
  const well = otherSide(involved);
  const waiting = live.queue.status === "waiting";
  const own = state.answers.get(PLAN_ANSWERS.order)?.values ?? [];
  const byId = new Map(region.tests.map((test) => [test.id, test]));
  const states = new Map(weighing?.tests.map((each) => [each.testId, each]));
  const done = (id: string) => latestAttempt(state, id, involved) !== undefined;
  const usualHere = weighing ? new Set(weighing.order) : undefined;
  const tooEarly = (of: Test) => of.follows && (waiting || !states.has(of.id) || states.get(of.id)?.waits != null);
  const elsewhere = (of: Test) =>
    usualHere !== undefined &&
    !usualHere.has(of.id) &&
    !own.includes(of.id) &&
    !state.attempts.some((each) => each.testId === of.id);
  const hidden = new Set(
    region.tests
      .filter((test) => !done(test.id) && test.id !== state.standAt && (tooEarly(test) || elsewhere(test)))
      .map((test) => test.id),
  );
  const routine = region.steps.flatMap((step) => step.testIds);
  const added = region.tests
    .map((each) => each.id)
    .filter(
      (id) =>
        !routine.includes(id) &&
        !own.includes(id) &&
        (id === state.standAt || state.attempts.some((each) => each.testId === id)),
    );
  const plan = new Set(state.answers.get(PLAN_ANSWERS.plan)?.values);
  const replan = useReplan(live);
  const planned = new Set([...plan].filter((id) => !replan.settled.some((each) => each.testId === id)));
  const byHand = state.answers.get(PLAN_ANSWERS.byHand)?.values ?? [];
  const placed = placesOf(state.answers.get(PLAN_ANSWERS.positions)?.values ?? [], region.tests);
  const kept = new Set(region.tests.filter((each) => each.follows || done(each.id)).map((each) => each.id));
  const order = sections(region, {
    own,
    added,
    hidden,
    plan: plan.size > 0 ? planned : undefined,
    positions: placed,
    kept,
  });
  const rows = order.flatMap((section) => section.items);
  const row = rowOf(order, state.standAt ?? "") ?? rows[0];
  const test = byId.get(opened ?? (row?.sheet ? row.id : (state.standAt ?? row?.id ?? ""))) ?? byId.get(row?.id ?? "");
  if (!test || !row) {
    throw new Error("a region has at least one test");
  }
  const sheet = row.sheet && !opened ? row.testIds.flatMap((id) => byId.get(id) ?? []) : [];
  const latest = latestAttempt(state, test.id, involved);
  const isRetrying = retrying === test.id;
  const here = isRetrying ? undefined : latest;
  const there = latestAttempt(state, test.id, well);
  const known = states.get(test.id);
  const stops = stoppedHere(region, state, involved);

  const lockOf = (id: string): Schemas["TestLockJson"] | undefined => {
    const lock = states.get(id)?.lock ?? undefined;
    const stop = live.upToDate ? undefined : stops.get(id);
    return lock ?? (stop ? { why: [stop] } : undefined);
  };
  const isLocked = (id: string) => {
    const lock = lockOf(id);
    return lock !== undefined && lock.override == null;
  };
  const testProgress = (id: string): Progress => {
    const server = states.get(id)?.progress ?? "OPEN";
    const recorded = state.attempts.some((each) => each.testId === id);
    return live.upToDate ? server : recorded ? (server === "OPEN" ? "PARTLY" : server) : "OPEN";
  };
  const progress = (item: OrderItem): Progress => {
    const all = item.testIds.map(testProgress);
    const first = all[0] ?? "OPEN";
    return all.every((each) => each === first)
      ? first
      : all.every((each) => each !== "OPEN" && each !== "PARTLY")
        ? "READ"
        : "PARTLY";
  };
  const untouched = (item: OrderItem) => item.testIds.some((id) => !done(id)) && !item.testIds.every(isLocked);
  const at = rows.indexOf(row);
  const ways = usePathways(live, state.standAt ?? test.id);
  const along = ways.following?.step.testId ?? undefined;
  const byWay = along !== undefined && (along !== test.id || sheet.length > 0) ? byId.get(along) : undefined;
  const next = byWay
    ? { id: byWay.id, name: byWay.shortName, testIds: [byWay.id], sheet: false }
    : (rows[at + 1] ?? rows.find((item) => item !== row && untouched(item)));
  const later = [...rows.slice(at + 1), ...rows.slice(0, at)].find(untouched);
  const sectionOf = (item: OrderItem) => order.find((section) => section.items.includes(item));
  const school = known?.variant?.value;
  const way = here?.variant ?? picked.of(test.id) ?? school ?? USUAL;
  const variant = known?.variant && way === known.variant.value ? known.variant : undefined;
  const missing =
    asked || test.provocation < PROVOKES || latest ? [] : region.first.filter((id) => !done(id) && !isLocked(id));
  const positions = variant?.positions ?? [];

  /** A new position is announced once, before anything is done in it. */
  const announce = (item: OrderItem | undefined) => {
    const [from, to] = [sectionOf(row), item && sectionOf(item)];
    setBeat(
      to &&
        from &&
        to !== from &&
        to.position !== from.position &&
        !unplaced(to) &&
        !to.items.some((each) => each.testIds.some(done))
        ? to
        : undefined,
    );
    setOpened(undefined);
    setRetrying(undefined);
  };
  /** Goes to a test; one of a sheet is opened on a card of its own. */
  const go = (id: string) => {
    const item = rowOf(order, id);
    announce(undefined);
    if (item?.sheet && id !== item.id) {
      setOpened(id);
    }
    const to = item?.sheet ? item.id : id;
    if (to !== state.standAt) {
      live.add(move(to));
    }
  };
  const recordNow = (side: Side, parts: Part[], of: Test = test) => {
    const earlier = latestAttempt(state, of.id, side);
    if (isRetrying && side === involved && earlier) {
      setRetrying(undefined);
      live.add(record([{ ...nextTry(of, side, earlier, way), parts }], state.standAt ?? of.id));
    } else {
      live.add(
        record([newAttempt(of, side, parts, earlier, of === test ? way : undefined)], row.sheet ? row.id : of.id),
      );
    }
  };
  const both = (of: Test): Attempt[] => {
    const [one, other] = [latestAttempt(state, of.id, well), latestAttempt(state, of.id, involved)];
    const wellParts = nothing(of, "well", positions);
    const parts = nothing(of, "involved", positions);
    const there = wellParts.length > 0 ? [newAttempt(of, well, withWhole(one?.parts ?? [], wellParts), one)] : [];
    return [
      ...there,
      isRetrying && other
        ? { ...nextTry(of, involved, other, way), parts }
        : newAttempt(of, involved, withWhole(other?.parts ?? [], parts), other, of === test ? way : undefined),
    ];
  };
  return {
    ways,
    replan,
    test,
    row,
    order,
    sheet,
    well,
    involved,
    here,
    there,
    known,
    lock: lockOf(test.id),
    beat,
    next,
    previous: rows[at - 1],
    closed:
      live.readOnly ||
      weighing?.safety.state === "SUSPENDED" ||
      (sheet.length > 0 ? row.testIds.every(isLocked) : isLocked(test.id)),
    mayRetry: latest?.tryNumber === 1 && choices(latest, "quality").includes("guarded") && !isRetrying,
    retrying: isRetrying,
    progress,
    testProgress,
    locked: (item) => item.testIds.every(isLocked),
    testLocked: isLocked,
    go,
    forward: () => {
      if (byWay) {
        go(byWay.id);
        return true;
      }
      if (opened) {
        setOpened(undefined);
        return true;
      }
      announce(next);
      if (next) {
        live.add(move(next.id));
      }
      return next !== undefined;
    },
    back: () => {
      const before = rows[at - 1];
      announce(undefined);
      if (before) {
        live.add(move(before.id));
      }
    },
    ready: () => {
      setBeat(undefined);
    },
    openCard: setOpened,
    way: way === USUAL ? (test.ways[0]?.value ?? USUAL) : way,
    variant,
    doneAs: (chosen) => {
      const name = chosen === test.ways[0]?.value && school === undefined ? USUAL : chosen;
      picked.set(test.id, name);
      if (here) {
        live.add(
          record(
            [{ ...newAttempt(test, involved, here.parts, here, name), tryNumber: here.tryNumber }],
            row.sheet ? row.id : test.id,
          ),
        );
      }
    },
    record: recordNow,
    recordWhole: (parts) => {
      recordNow(involved, withWhole(here?.parts ?? [], parts));
    },
    measure: (side, ...measures) => {
      recordNow(
        side,
        measures.reduce(
          (parts, each) => withMeasure(parts, each.key, each.value, each.unit, each.context),
          latestAttempt(state, test.id, side)?.parts ?? [],
        ),
      );
    },
    nothingBoth: () => {
      const tests = sheet.length > 0 ? sheet.filter((each) => !done(each.id) && !isLocked(each.id)) : [test];
      announce(later);
      const exceptions = sheet.filter(
        (each) =>
          done(each.id) &&
          !isLocked(each.id) &&
          !latestAttempt(state, each.id, well) &&
          nothing(each, "well").length > 0,
      );
      const attempts = [
        ...tests.flatMap(both),
        ...exceptions.map((each) => newAttempt(each, well, nothing(each, "well"), undefined)),
      ];
      live.add(attempts.length > 0 ? record(attempts, later?.id ?? test.id) : move(later?.id ?? test.id));
    },
    quiet: (tests) => {
      live.add(record(tests.flatMap(both), row.id));
    },
    statements: (id) => (live.upToDate ? (states.get(id)?.statements ?? []) : []),
    leaveOut: (reason) => {
      const tests = sheet.length > 0 ? sheet.filter((each) => !done(each.id) && !isLocked(each.id)) : [test];
      announce(later);
      live.add(
        record(
          tests.map((each) => newAttempt(each, involved, leftOut(reason), latestAttempt(state, each.id, involved))),
          later?.id ?? test.id,
        ),
      );
    },
    takeBack: () => {
      if (state.lastRecording) {
        announce(undefined);
        live.add(undo(state.lastRecording));
      }
    },
    bringBack: () => {
      if (state.lastUndo) {
        announce(undefined);
        live.add(redo(state.lastUndo));
      }
    },
    retry: () => {
      setRetrying(test.id);
    },
    sayBefore: (answer) => {
      live.add(tell([answer], test.id));
    },
    keepOne: (kept, others) => {
      live.add(
        record(
          [
            {
              ...newAttempt(test, kept.side, kept.parts, kept),
              tryNumber: kept.tryNumber,
              supersedes: others.map((each) => each.id),
            },
          ],
          test.id,
        ),
      );
    },
    moveRow: (item, by) => {
      const hand =
        plan.size > 0
          ? [
              {
                question: PLAN_ANSWERS.byHand,
                values: [...new Set([...byHand, ...item.testIds.filter((id) => plan.has(id))])],
              },
            ]
          : [];
      live.add(
        tell(
          [
            { question: PLAN_ANSWERS.order, values: movedBy(order, item, by) },
            ...hand.filter(({ values }) => values.length > 0),
          ],
          test.id,
        ),
      );
    },
    spoiled: missing[0] ? { id: missing[0], names: missing.map((id) => byId.get(id)?.shortName ?? id) } : undefined,
    notNow: () => {
      window.localStorage.setItem(ASKED + live.examination.id, "yes");
      setAsked(true);
    },
    usualOrder:
      own.length > 0
        ? () => {
            live.add(
              tell(
                Object.values(PLAN_ANSWERS).map((question) => ({ question, values: [] })),
                test.id,
              ),
            );
          }
        : undefined,
  };
}
