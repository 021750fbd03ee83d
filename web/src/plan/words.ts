import type { Schemas } from "../shared/api/client";
import { inHundred, sentence } from "../shared/format";

type Plan = Schemas["PlanJson"];
type Step = Schemas["PlanStepJson"];

/** Minutes as they are said: "under 1 min", "9 min". */
export function minuteWords(minutes: number): string {
  return minutes < 1 ? "under 1 min" : `${String(Math.round(minutes))} min`;
}

/** What a plan takes: "12 tests, 9 min, 3 changes of position." */
export function summary(plan: Plan): string {
  const { length } = plan.steps;
  if (length === 0) {
    return "No test.";
  }
  const moves = plan.moves === 0 ? "no change of position" : plan.moves === 1 ? "1 change of position" : `${String(plan.moves)} changes of position`;
  return `${String(length)} ${length === 1 ? "test" : "tests"}, ${minuteWords(plan.minutes)}, ${moves}.`;
}

/** How much of what all tests could tell by figures a plan tells; empty where none has figures. */
export function share(plan: Plan, free: Plan): string {
  if (free.bits < 0.01) {
    return "No test that is left has figures here.";
  }
  return `By figures, ${String(Math.min(100, Math.round((100 * plan.bits) / Math.max(free.bits, plan.bits))))} in 100 of what all tests could tell.`;
}

/** Why a test is in. */
export function whyWords(step: Step): string {
  const [change] = step.changes;
  const figures = change ? `${change.name}: ${inHundred(change.ifPositive)} if positive, ${inHundred(change.ifNegative)} if negative` : "";
  switch (step.why) {
    case "SAFETY": return "belongs to every examination of an arm";
    case "MEASURE": return "before provoking, which would spoil it";
    case "DEFINITION": return ["defines a condition in play", figures && sentence(figures)].filter(Boolean).join("; ");
    case "PICTURE": return "belongs to the picture of a condition without figures";
    case "INFORMATION": return figures;
  }
}

/** Steps gathered by the position they are done in, as they come. */
export function byPosition(steps: readonly Step[]): { position: string; steps: Step[] }[] {
  const groups: { position: string; steps: Step[] }[] = [];
  for (const step of steps) {
    const last = groups.at(-1);
    if (last?.position === step.position) {
      last.steps.push(step);
    } else {
      groups.push({ position: step.position, steps: [step] });
    }
  }
  return groups;
}
