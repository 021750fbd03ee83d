import type { Schemas } from "../shared/api/client";
import { keepDraft, keptDraft } from "../shared/offline/draft";

type Test = Schemas["TestJson"];

/** A list with the row at one place put to another. */
export function moved(tests: readonly string[], from: number, to: number): string[] {
  const next = [...tests];
  next.splice(to, 0, ...next.splice(from, 1));
  return next;
}

/** A list with a test put in: behind the last one that is done in the same position, else at the end. */
export function withTest(tests: readonly string[], test: string, known: readonly Test[]): string[] {
  if (tests.includes(test)) {
    return [...tests];
  }
  const positionOf = (id: string) => known.find((each) => each.id === id)?.position;
  const behind = tests.findLastIndex((each) => positionOf(each) === positionOf(test));
  const at = behind < 0 ? tests.length : behind + 1;
  return [...tests.slice(0, at), test, ...tests.slice(at)];
}

/** Steps in the order of a draft, at once and before they are weighed anew; what is no more in it is left out. */
export function inOrderOf<Step extends { testId: string }>(steps: readonly Step[], tests: readonly string[]): Step[] {
  return steps
    .filter((step) => tests.includes(step.testId))
    .sort((a, b) => tests.indexOf(a.testId) - tests.indexOf(b.testId));
}

/** A position as it stands in an answer: "Sitting at the table" as "sitting-at-the-table". */
function slug(position: string): string {
  return position.toLowerCase().replaceAll(" ", "-");
}

/** The answer that a test is done in this position. */
export function placeOf(test: string, position: string): string {
  return `${test}--${slug(position)}`;
}

/** The positions of such answers, as the region's tests call them; what they do not know is left out. */
export function placesOf(answers: readonly string[], known: readonly Test[]): Map<string, string> {
  return new Map(
    answers.flatMap((answer) => {
      const [test = "", place] = answer.split("--");
      const position = known.map((each) => each.position).find((each) => slug(each) === place);
      return position === undefined ? [] : [[test, position] as const];
    }),
  );
}

/** A plan that was changed by hand. */
export interface Draft {
  tests: string[];
  /** Tests that were put in or moved: not to be left out later without asking. */
  byHand: string[];
  /** What it began from, in words. */
  from: string;
  /** Tests of it that the library does not have any more. */
  gone?: string[];
}

/** The draft kept for an examination in this browser; undefined where there is none that can be read. */
export function keptPlan(examination: string): Draft | undefined {
  const kept = keptDraft(`plan.${examination}`);
  return isDraft(kept) ? kept : undefined;
}

function isDraft(kept: unknown): kept is Draft {
  return (
    typeof kept === "object" &&
    kept !== null &&
    "tests" in kept &&
    "byHand" in kept &&
    "from" in kept &&
    Array.isArray(kept.tests) &&
    Array.isArray(kept.byHand) &&
    typeof kept.from === "string"
  );
}

/** Keeps a draft over a reload; undefined forgets it. */
export function keepPlan(examination: string, draft: Draft | undefined): void {
  keepDraft(`plan.${examination}`, draft);
}
