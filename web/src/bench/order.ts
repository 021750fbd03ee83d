import type { Schemas } from "../shared/api/client";

type Region = Schemas["RegionJson"];

/** One row of the order: a test, or several that are recorded on one sheet. */
export interface OrderItem {
  /** The test, or the first one of the sheet: where the examination stands when it is open. */
  id: string;
  name: string;
  testIds: string[];
  /** Whether it is a sheet of several tests. */
  sheet: boolean;
}

/** Rows that need no change of the patient's position. */
export interface OrderSection {
  /** What it is called. */
  name: string;
  position: string;
  items: OrderItem[];
}

interface OrderWishes {
  /** The order as the therapist changed it; empty where it is the usual one. */
  own: readonly string[];
  /** Tests beyond the order that are done, or that one stands at. */
  added: readonly string[];
  /** Tests that make no sense yet, or not for where it hurts. */
  hidden: ReadonlySet<string>;
  /** Tests of the plan that was taken, as far as they are still for something; absent where there is no plan. */
  plan?: ReadonlySet<string> | undefined;
  /** Where tests of the plan are done that can be done in several positions. */
  positions?: ReadonlyMap<string, string>;
  /** Tests that stand in the order whether they were planned or not: done, or following on what was found. */
  kept?: ReadonlySet<string>;
}

const NOTHING: ReadonlySet<string> = new Set();
const NOWHERE: ReadonlyMap<string, string> = new Map();

/** The part of a row that holds these tests; what is left of a sheet is a test with its own name, or none at all. */
function partOf(item: OrderItem, names: ReadonlyMap<string, string>, holds: (id: string) => boolean): OrderItem[] {
  const testIds = item.testIds.filter(holds);
  const [id] = testIds;
  if (id === undefined || testIds.length === item.testIds.length) {
    return id === undefined ? [] : [item];
  }
  return [testIds.length > 1 ? { ...item, id, testIds } : { id, name: names.get(id) ?? id, testIds, sheet: false }];
}

/** The name of the section of tests that a plan leaves out. */
export const NOT_PLANNED = "Not in the plan";

/** The name of the section of tests that were put in. */
export const ADDED = "Added";

/** The order of the tests by the patient's position. With an order of one's own, sections follow the rows as they come; those of a plan are called by the position alone. */
export function sections(
  region: Region,
  { own, added, hidden, plan, positions = NOWHERE, kept = NOTHING }: OrderWishes,
): OrderSection[] {
  const names = new Map(region.tests.map((test) => [test.id, test.shortName]));
  const usual = region.steps.flatMap((step) =>
    rows(step, names).map((item) => ({ name: step.name, position: step.position, item })),
  );
  const visible = usual
    .map(({ item, ...where }) => ({
      ...where,
      item: { ...item, testIds: item.testIds.filter((id) => !hidden.has(id)) },
    }))
    .filter(({ item }) => item.testIds.length > 0)
    .map(({ item, ...where }) => ({ ...where, item: { ...item, id: item.testIds[0] ?? item.id } }));
  const elsewhere = (row: { name: string; position: string; item: OrderItem }) => {
    const position = positions.get(row.item.id) ?? row.position;
    return !plan || row.position === NOT_PLANNED ? row : { ...row, name: position, position };
  };
  const place = (item: OrderItem) => {
    const found = own.findIndex((id) => item.testIds.includes(id));
    return found < 0 ? own.length : found;
  };
  const beyond = own.flatMap((id) => {
    const test = region.tests.find((each) => each.id === id);
    return test && !hidden.has(id) && !usual.some(({ item }) => item.testIds.includes(id))
      ? [
          {
            name: test.position,
            position: test.position,
            item: { id, name: test.shortName, testIds: [id], sheet: false },
          },
        ]
      : [];
  });
  const sorted = own.length === 0 ? visible : [...visible, ...beyond].sort((a, b) => place(a.item) - place(b.item));
  const planned = (id: string) => (plan?.has(id) ?? false) || kept.has(id);
  const placed = !plan
    ? sorted
    : [
        ...sorted.flatMap(({ item, ...where }) =>
          partOf(item, names, planned).map((part) => ({ ...where, item: part })),
        ),
        ...sorted.flatMap(({ item }) =>
          partOf(item, names, (id) => !planned(id)).map((part) => ({
            name: NOT_PLANNED,
            position: NOT_PLANNED,
            item: part,
          })),
        ),
      ];
  const result: OrderSection[] = [];
  for (const { name, position, item } of placed.map(elsewhere)) {
    const last = result.at(-1);
    if (last?.name === name && last.position === position) {
      last.items.push(item);
    } else {
      result.push({ name, position, items: [item] });
    }
  }
  const extra = added.map((id) => ({ id, name: names.get(id) ?? id, testIds: [id], sheet: false }));
  return extra.length > 0 ? [...result, { name: ADDED, position: ADDED, items: extra }] : result;
}

function rows(step: Region["steps"][number], names: ReadonlyMap<string, string>): OrderItem[] {
  const items: OrderItem[] = [];
  for (const id of step.testIds) {
    const sheet = step.together.find((each) => each.testIds.includes(id));
    if (!sheet) {
      items.push({ id, name: names.get(id) ?? id, testIds: [id], sheet: false });
    } else if (sheet.testIds[0] === id) {
      items.push({ id, name: sheet.name, testIds: sheet.testIds, sheet: true });
    }
  }
  return items;
}

/** Whether a section is no position of the patient: what was put in, or left out of a plan. */
export function unplaced(section: OrderSection): boolean {
  return section.position === ADDED || section.position === NOT_PLANNED;
}

/** The row in which a test stands; undefined where it is in none. */
export function rowOf(order: readonly OrderSection[], testId: string): OrderItem | undefined {
  return order.flatMap((section) => section.items).find((item) => item.testIds.includes(testId));
}

/** The tests of an order with one row moved up or down by one. */
export function movedBy(order: readonly OrderSection[], item: OrderItem, by: 1 | -1): string[] {
  const items = order.filter((section) => !unplaced(section)).flatMap((section) => section.items);
  const at = items.findIndex((each) => each.id === item.id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= items.length) {
    return items.flatMap((each) => each.testIds);
  }
  const next = [...items];
  next.splice(to, 0, ...next.splice(at, 1));
  return next.flatMap((each) => each.testIds);
}

/**
 * Minutes that an order takes: every test on both sides where both are asked, and the changes of position.
 */
export function plannedMinutes(region: Region, order: readonly OrderSection[]): number {
  const tests = new Map(region.tests.map((test) => [test.id, test]));
  const testing = order
    .filter((section) => section.position !== NOT_PLANNED)
    .flatMap((section) => section.items)
    .flatMap((item) => item.testIds)
    .reduce((sum, id) => {
      const test = tests.get(id);
      return sum + (test ? test.seconds * (test.wellSideParts.length > 0 ? 2 : 1) : 0);
    }, 0);
  const moves = order.filter(
    (section, at) => at > 0 && !unplaced(section) && section.position !== order[at - 1]?.position,
  ).length;
  return (testing + region.changeSeconds * moves) / 60;
}
