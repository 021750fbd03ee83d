import { useState } from "react";
import type { LiveExamination } from "../examination";
import { move, type Test } from "../record";
import { type OrderItem, type OrderSection, rowOf, unplaced } from "./order";
import { usePathways } from "./pathways/usePathways";
import type { TestStates } from "./testStates";

/** Where one stands in the order, and how to go on. */
export interface Standing {
  test: Test;
  row: OrderItem;
  /** Tests of the row, when it is a sheet and no card of it is open. */
  sheet: Test[];
  /** The patient is asked to change position. */
  beat: OrderSection | undefined;
  next: OrderItem | undefined;
  previous: OrderItem | undefined;
  /** The next row with something left to do, from here round to here. */
  later: OrderItem | undefined;
  /** The pathways of the region. */
  ways: ReturnType<typeof usePathways>;
  retrying: boolean;
  setRetrying: (on: boolean) => void;
  /** Leaves what is at hand for a row: a new position is announced once, before anything is done in it. */
  leaveFor: (item: OrderItem | undefined) => void;
  /** Goes to a test; one of a sheet is opened on a card of its own. */
  go: (id: string) => void;
  forward: () => boolean;
  back: () => void;
  ready: () => void;
  openCard: (id: string | undefined) => void;
}

/** Follows where the record says that one stands; an open card, a retry and a change of position are the page's own. */
export function useStanding(live: LiveExamination, order: OrderSection[], states: TestStates): Standing {
  const { region, state } = live;
  const [beat, setBeat] = useState<OrderSection>();
  const [opened, setOpened] = useState<string>();
  const [retried, setRetried] = useState<string>();
  const byId = new Map(region.tests.map((test) => [test.id, test]));
  const rows = order.flatMap((section) => section.items);
  const row = rowOf(order, state.standAt ?? "") ?? rows[0];
  const test = byId.get(opened ?? (row?.sheet ? row.id : (state.standAt ?? row?.id ?? ""))) ?? byId.get(row?.id ?? "");
  if (!test || !row) {
    throw new Error("a region has at least one test");
  }
  const sheet = row.sheet && !opened ? row.testIds.flatMap((id) => byId.get(id) ?? []) : [];
  const untouched = (item: OrderItem) =>
    item.testIds.some((id) => !states.done(id)) && !item.testIds.every(states.testLocked);
  const at = rows.indexOf(row);
  const previous = rows[at - 1];
  const ways = usePathways(live, state.standAt ?? test.id);
  const along = ways.following?.step.testId ?? undefined;
  const byWay = along !== undefined && (along !== test.id || sheet.length > 0) ? byId.get(along) : undefined;
  const next = byWay
    ? { id: byWay.id, name: byWay.shortName, testIds: [byWay.id], sheet: false }
    : (rows[at + 1] ?? rows.find((item) => item !== row && untouched(item)));

  const sectionOf = (item: OrderItem) => order.find((section) => section.items.includes(item));
  const leaveFor = (item: OrderItem | undefined) => {
    const [from, to] = [sectionOf(row), item && sectionOf(item)];
    const moves = to && from && to !== from && to.position !== from.position && !unplaced(to);
    setBeat(moves && !to.items.some((each) => each.testIds.some(states.done)) ? to : undefined);
    setOpened(undefined);
    setRetried(undefined);
  };
  const go = (id: string) => {
    const item = rowOf(order, id);
    leaveFor(undefined);
    if (item?.sheet && id !== item.id) {
      setOpened(id);
    }
    const to = item?.sheet ? item.id : id;
    if (to !== state.standAt) {
      live.add(move(to));
    }
  };
  return {
    test,
    row,
    sheet,
    beat,
    next,
    previous,
    later: [...rows.slice(at + 1), ...rows.slice(0, at)].find(untouched),
    ways,
    retrying: retried === test.id,
    setRetrying: (on) => {
      setRetried(on ? test.id : undefined);
    },
    leaveFor,
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
      leaveFor(next);
      if (next) {
        live.add(move(next.id));
      }
      return next !== undefined;
    },
    back: () => {
      leaveFor(undefined);
      if (previous) {
        live.add(move(previous.id));
      }
    },
    ready: () => {
      setBeat(undefined);
    },
    openCard: setOpened,
  };
}
