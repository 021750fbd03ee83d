import type { LiveExamination } from "../examination";
import { placesOf, PLAN_ANSWERS, type Replan, useReplan } from "../plan";
import { type Answer, tell } from "../record";
import { movedBy, type OrderItem, type OrderSection, sections } from "./order";
import type { TestStates } from "./testStates";

/** The order in which the tests are done, with one's own changes. */
export interface WorkOrder {
  order: OrderSection[];
  /** What results have changed for the plan that was taken. */
  replan: Replan;
  /** Moves a row up or down, in the record; a planned test that is moved is marked as put there by hand. */
  moveRow: (item: OrderItem, by: 1 | -1, standAt: string) => void;
  /** Goes back to the region's own order; undefined while that is the one. */
  usualOrder: ((standAt: string) => void) | undefined;
}

/** Puts the order together from the region's steps, the plan that was taken and the changes in the record. */
export function useWorkOrder(live: LiveExamination, states: TestStates): WorkOrder {
  const { region, state } = live;
  const replan = useReplan(live);
  const told = (question: string) => state.answers.get(question)?.values ?? [];
  const own = told(PLAN_ANSWERS.order);
  const plan = new Set(told(PLAN_ANSWERS.plan));
  const planned = new Set([...plan].filter((id) => !replan.settled.some((each) => each.testId === id)));
  const routine = region.steps.flatMap((step) => step.testIds);
  const attempted = (id: string) => state.attempts.some((each) => each.testId === id);
  const added = region.tests
    .map((each) => each.id)
    .filter((id) => !routine.includes(id) && !own.includes(id) && (id === state.standAt || attempted(id)));
  const order = sections(region, {
    own,
    added,
    hidden: hiddenTests(live, states, own, attempted),
    plan: plan.size > 0 ? planned : undefined,
    positions: placesOf(told(PLAN_ANSWERS.positions), region.tests),
    kept: new Set(region.tests.filter((each) => each.follows || states.done(each.id)).map((each) => each.id)),
  });
  return {
    order,
    replan,
    moveRow: (item, by, standAt) => {
      const answers: Answer[] = [{ question: PLAN_ANSWERS.order, values: movedBy(order, item, by) }];
      const byHand = [...new Set([...told(PLAN_ANSWERS.byHand), ...item.testIds.filter((id) => plan.has(id))])];
      if (plan.size > 0 && byHand.length > 0) {
        answers.push({ question: PLAN_ANSWERS.byHand, values: byHand });
      }
      live.add(tell(answers, standAt));
    },
    usualOrder:
      own.length > 0
        ? (standAt) => {
            live.add(
              tell(
                Object.values(PLAN_ANSWERS).map((question) => ({ question, values: [] })),
                standAt,
              ),
            );
          }
        : undefined,
  };
}

/** Tests that wait for another's result, and tests that the server's order leaves out and nobody has put in. */
function hiddenTests(
  live: LiveExamination,
  states: TestStates,
  own: readonly string[],
  attempted: (id: string) => boolean,
): Set<string> {
  const { region, state, weighing } = live;
  const waiting = live.queue.status === "waiting";
  const usual = weighing && new Set(weighing.order);
  const hidden = region.tests.filter(({ id, follows }) => {
    if (states.done(id) || id === state.standAt) {
      return false;
    }
    const known = states.known(id);
    const tooEarly = follows && (waiting || !known || known.waits != null);
    const elsewhere = usual !== undefined && !usual.has(id) && !own.includes(id) && !attempted(id);
    return tooEarly || elsewhere;
  });
  return new Set(hidden.map(({ id }) => id));
}
