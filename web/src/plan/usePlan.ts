import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { LiveExamination } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { keepPlan, keptPlan, moved, withTest, type Draft } from "./ordering";

/** The proposal for the time there is, the therapist's own order beside it, and how to change it. */
export function usePlan(live: LiveExamination) {
  const { id, commands } = live.examination;
  const number = commands.at(-1)?.number ?? 0;
  const [minutes, setMinutes] = useState<number | undefined>(15);
  const [draft, setDraft] = useState<Draft | undefined>(() => keptPlan(id));
  const [earlier, setEarlier] = useState<readonly (Draft | undefined)[]>([]);
  const ask = (budget: number | undefined) => ({
    queryKey: keys.plan(id, number, budget ?? -1),
    queryFn: () =>
      dataOf(
        api.GET("/api/examinations/{id}/plan", {
          params: { path: { id }, query: budget === undefined ? {} : { minutes: budget } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const proposed = useQuery(ask(minutes));
  const free = useQuery(ask(undefined));
  const curve = useQuery({
    queryKey: keys.planCurve(id, number),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/plan/curve", { params: { path: { id } } })),
    placeholderData: keepPreviousData,
  });
  const own = useQuery({
    queryKey: keys.ownPlan(id, number, draft?.tests.join(" ") ?? ""),
    queryFn: () =>
      dataOf(
        api.GET("/api/examinations/{id}/plan/own", { params: { path: { id }, query: { test: draft?.tests ?? [] } } }),
      ),
    enabled: draft !== undefined,
    placeholderData: keepPreviousData,
  });
  const set = (next: Draft | undefined) => {
    setEarlier([...earlier, draft]);
    setDraft(next);
    keepPlan(id, next);
  };
  const begun = (): Draft =>
    draft ?? { tests: proposed.data?.steps.map((step) => step.testId) ?? [], byHand: [], from: "the proposal" };
  const change = (tests: string[], hand: string) => {
    const { byHand, ...rest } = begun();
    set({
      ...rest,
      tests,
      byHand: tests.includes(hand) ? [...new Set([...byHand, hand])] : byHand.filter((each) => each !== hand),
    });
  };
  return {
    minutes,
    setMinutes,
    proposed,
    free,
    curve,
    own,
    draft,
    move: (test: string, to: string) => {
      const { tests } = begun();
      change(moved(tests, tests.indexOf(test), tests.indexOf(to)), test);
    },
    leaveOut: (test: string) => {
      change(
        begun().tests.filter((each) => each !== test),
        test,
      );
    },
    putIn: (test: string, known: readonly Schemas["TestJson"][]) => {
      change(withTest(begun().tests, test, known), test);
    },
    begin: (routine: Schemas["RoutineJson"]) => {
      set({
        tests: routine.steps.map((step) => step.testId),
        byHand: [],
        from: `“${routine.name}”`,
        gone: routine.missing,
      });
    },
    propose: () => {
      set(undefined);
    },
    undo:
      earlier.length === 0
        ? undefined
        : () => {
            const last = earlier.at(-1);
            setEarlier(earlier.slice(0, -1));
            setDraft(last);
            keepPlan(id, last);
          },
    forget: () => {
      keepPlan(id, undefined);
    },
  };
}
