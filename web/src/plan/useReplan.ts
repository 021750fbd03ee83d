import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { tell } from "../record";
import type { LiveExamination } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { withTest } from "./ordering";

/** The answers that keep a plan that was taken: the order, its tests, those put in or moved by hand, those it is to be left alone with, and where each is done. */
export const PLAN_ANSWERS = {
  order: "order",
  plan: "plan",
  byHand: "plan-by-hand",
  kept: "plan-kept",
  positions: "plan-positions",
} as const;

/** What results have changed for the plan that was taken, and what can be done about it. Nothing where none was. */
export interface Replan {
  settled: readonly Schemas["PlanTestJson"][];
  ask: readonly Schemas["PlanTestJson"][];
  better: readonly Schemas["PlanBetterJson"][];
  /** Leaves the plan as it is with these tests: not asked about, nor proposed, again. */
  keep: (tests: readonly string[]) => void;
  leaveOut: (test: string) => void;
  putIn: (test: string) => void;
}

/** Asks what results have changed for the plan of an examination. */
export function useReplan(live: LiveExamination): Replan {
  const { id, commands } = live.examination;
  const values = (question: string) => live.state.answers.get(question)?.values ?? [];
  const plan = values(PLAN_ANSWERS.plan);
  const standAt = live.state.standAt ?? "";
  const found = useQuery({
    queryKey: keys.replan(id, commands.at(-1)?.number ?? 0),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/plan/again", { params: { path: { id } } })),
    enabled: plan.length > 0 && !live.readOnly,
    placeholderData: keepPreviousData,
  });
  const now = plan.length > 0 && !live.readOnly ? found.data : undefined;
  const byHand = values(PLAN_ANSWERS.byHand);
  const notHere = (test: { testId: string }) => test.testId !== standAt;
  return {
    settled: now?.settled.filter((test) => notHere(test) && plan.includes(test.testId)) ?? [],
    ask: now?.ask.filter((test) => notHere(test) && plan.includes(test.testId)) ?? [],
    better: now?.better.filter((test) => notHere(test) && !plan.includes(test.testId)) ?? [],
    keep: (tests) => {
      live.add(
        tell(
          [{ question: PLAN_ANSWERS.kept, values: [...new Set([...values(PLAN_ANSWERS.kept), ...tests])] }],
          standAt,
        ),
      );
    },
    leaveOut: (test) => {
      live.add(
        tell(
          [
            { question: PLAN_ANSWERS.plan, values: plan.filter((each) => each !== test) },
            { question: PLAN_ANSWERS.byHand, values: byHand.filter((each) => each !== test) },
          ],
          standAt,
        ),
      );
    },
    putIn: (test) => {
      live.add(
        tell(
          [
            { question: PLAN_ANSWERS.order, values: withTest(values(PLAN_ANSWERS.order), test, live.region.tests) },
            { question: PLAN_ANSWERS.plan, values: [...plan, test] },
            { question: PLAN_ANSWERS.byHand, values: [...new Set([...byHand, test])] },
          ],
          standAt,
        ),
      );
    },
  };
}
