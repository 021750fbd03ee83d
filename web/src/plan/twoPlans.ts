import type { Schemas } from "../shared/api/client";

type Step = Schemas["PlanStepJson"];

/** What two plans share, and what each has alone; each part in the order of its plan, what is shared in that of the first. */
export interface Compared {
  both: Step[];
  onlyOne: Step[];
  onlyOther: Step[];
}

/** Sets the tests of two plans against each other. */
export function compared(one: readonly Step[], other: readonly Step[]): Compared {
  const isIn = (steps: readonly Step[]) => {
    const ids = new Set(steps.map((step) => step.testId));
    return (step: Step) => ids.has(step.testId);
  };
  const inOne = isIn(one);
  const inOther = isIn(other);
  return {
    both: one.filter(inOther),
    onlyOne: one.filter((step) => !inOther(step)),
    onlyOther: other.filter((step) => !inOne(step)),
  };
}

/** How much two plans have in common: "7 tests are in both plans; 4 and 3 differ." */
export function commonWords({ both, onlyOne, onlyOther }: Compared): string {
  const shared =
    both.length === 0
      ? "No test is in both plans"
      : both.length === 1
        ? "1 test is in both plans"
        : `${String(both.length)} tests are in both plans`;
  return onlyOne.length + onlyOther.length === 0
    ? `${shared}, and none differs.`
    : `${shared}; ${String(onlyOne.length)} and ${String(onlyOther.length)} differ.`;
}
