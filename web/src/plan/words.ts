import type { Schemas } from "../shared/api/client";
import { inHundred, listed, sentence } from "../shared/format";

type Plan = Schemas["PlanJson"];
type Step = Schemas["PlanStepJson"];

/** Bits below which all tests together tell nothing to speak of. */
const NEXT_TO_NOTHING = 0.01;

/** Chance below which it is not said that more tests leave less open. */
const WORTH_SAYING = 0.05;

/** Minutes as they are said: "under 1 min", "9 min". */
export function minuteWords(minutes: number): string {
  return minutes < 1 ? "under 1 min" : `${String(Math.round(minutes))} min`;
}

/** The time of a test, and whether it is the clinic's own: "40 s", "2 min by your own timing". */
export function secondWords(step: Step): string {
  const time = step.minutes < 1.5 ? `${String(Math.round(60 * step.minutes))} s` : minuteWords(step.minutes);
  return step.learnt ? `${time} by your own timing` : time;
}

/** What a plan takes: "12 tests, 9 min, 3 changes of position." */
export function summary(plan: Plan): string {
  const { length } = plan.steps;
  if (length === 0) {
    return "No test.";
  }
  const moves =
    plan.moves === 0
      ? "no change of position"
      : plan.moves === 1
        ? "1 change of position"
        : `${String(plan.moves)} changes of position`;
  return `${String(length)} ${length === 1 ? "test" : "tests"}, ${minuteWords(plan.minutes)}, ${moves}.`;
}

/** How much of `most` bits a plan tells, in 100; never more than all. */
export function shareOf(plan: Pick<Plan, "bits">, most: number): string {
  return most < NEXT_TO_NOTHING
    ? "–"
    : String(Math.min(100, Math.round((100 * plan.bits) / Math.max(most, plan.bits))));
}

/** How much of what all tests could tell by figures a plan tells. */
export function share(plan: Pick<Plan, "bits">, most: number): string {
  return most < NEXT_TO_NOTHING
    ? "No test that is left has figures here."
    : `By figures, ${shareOf(plan, most)} in 100 of what all tests could tell.`;
}

/** What both answers would do to the condition that a test says most about; empty where it has no figures. */
export function effectWords(changes: readonly Schemas["AheadChangeJson"][]): string {
  const [change] = changes;
  return change ? `${change.name}: ${bothWays(change)}` : "";
}

function bothWays(change: Schemas["AheadChangeJson"]): string {
  return `${inHundred(change.ifPositive)} if positive, ${inHundred(change.ifNegative)} if negative`;
}

/** Why a test is in, in one line. */
export function whyWords(step: Step): string {
  const figures = effectWords(step.changes);
  const about = sentence(step.about ?? "a condition in play");
  const own = step.changes.find((change) => change.name === step.about);
  const because = (reason: string) =>
    own
      ? `${reason} ${about}: ${bothWays(own)}`
      : figures
        ? `${reason} ${about}; ${sentence(figures)}`
        : `${reason} ${about}`;
  switch (step.why) {
    case "SAFETY":
      return "belongs to every examination here";
    case "MEASURE":
      return "before provoking, which would spoil it";
    case "SERIOUS":
      return because("serious, first served:");
    case "SPREAD":
      return because("likely:");
    case "DEFINITION":
      return because("defines");
    case "PICTURE":
      return because("belongs to the picture of");
    case "BY_HAND":
      return figures || "no figures for a condition in play";
    case "INFORMATION":
      return figures;
  }
}

/** What to say of a plan that goes on where figures have ended; empty where it does not. */
export function beyondFigures(curve: Schemas["PlanCurveJson"], minutes: number): string {
  const end = curve.points.at(-1)?.minutes ?? 0;
  return end > 0 && minutes > 1.25 * end
    ? `After ${minuteWords(end)} figures have nothing to add: the rest serves definitions, pictures and measures.`
    : "";
}

/** The curve for those who do not see it. */
export function curveWords(curve: Schemas["PlanCurveJson"], most: number): string {
  const points = curve.points
    .filter((point) => point.tests > 0)
    .map((point) => `${minuteWords(point.minutes)}: ${shareOf(point, most)} in 100`);
  return `${points.join("; ")}.${curve.knee ? ` From ${minuteWords(curve.knee.minutes)} each further minute tells much less.` : ""}`;
}

/** Where a condition stands that may stay open, and whether more tests would change that. */
export function limitWords(limit: Schemas["PlanLimitJson"]): string {
  const now = `Now ${inHundred(limit.now)}.`;
  return limit.open - limit.least < WORTH_SAYING
    ? `${now} More tests would not settle it.`
    : `${now} With every test that may be done, ${inHundred(limit.least)} in 100.`;
}

/** When to stop. */
export function enoughWords(act: number): string {
  return `Open is neither unlikely enough to leave nor likely enough to act on. It is enough once one condition stands at ${inHundred(act)} and no serious one is open: more tests rarely change what is done then.`;
}

/** What a plan does without because the therapist does not do it; empty where nothing is missing. */
export function forgoneWords(plan: Plan, most: number): string {
  if (plan.forgone.length === 0) {
    return "";
  }
  const names = listed(plan.forgone.map((test) => test.name));
  const cost = most < NEXT_TO_NOTHING ? 0 : Math.round((100 * plan.forgoneBits) / Math.max(most, plan.bits));
  return cost < 1
    ? `Without ${sentence(names)}, which you do not do; it costs next to nothing here.`
    : `Without ${sentence(names)}, which you do not do: ${String(cost)} in 100 less of what all tests could tell.`;
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
