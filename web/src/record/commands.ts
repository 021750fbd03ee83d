import type { Schemas } from "../shared/api/client";
import { inContext, type Answer, type Attempt, type Command, type Context, type Part, type Side } from "./history";

export type Test = Schemas["TestJson"];

/** This page load; every load is a client of its own, so that its commands are counted from 1. */
export const CLIENT = crypto.randomUUID();

let order = 0;

function command(kind: Command["kind"], standAt: string, rest: Partial<Command> = {}): Command {
  order += 1;
  return {
    id: crypto.randomUUID(),
    clientId: CLIENT,
    order,
    at: new Date().toISOString(),
    kind,
    standAt,
    attempts: [],
    answers: [],
    ...rest,
  };
}

/** Another attempt with these parts in place of `earlier`, or a first one. `variant` is the school's way of doing it. */
export function attempt(
  test: Test,
  side: Side,
  parts: Part[],
  earlier: Attempt | undefined,
  variant = "usual",
): Attempt {
  return {
    id: crypto.randomUUID(),
    testId: test.id,
    variant,
    side,
    tryNumber: earlier?.tryNumber ?? 1,
    supersedes: earlier ? [earlier.id] : [],
    parts,
  };
}

/** A further go at a test, beside the earlier one. */
export function nextTry(test: Test, side: Side, earlier: Attempt, variant = "usual"): Attempt {
  return { ...attempt(test, side, [], undefined, variant), tryNumber: earlier.tryNumber + 1 };
}

export function record(attempts: Attempt[], standAt: string): Command {
  return command("RECORD", standAt, { attempts });
}

/** Something told or seen before the hands. */
export function tell(answers: Answer[], standAt: string): Command {
  return command("TELL", standAt, { answers });
}

export function move(standAt: string): Command {
  return command("MOVE", standAt);
}

/** Takes a recording back and returns to the test it was about. */
export function undo(recording: Command): Command {
  return command("UNDO", recording.attempts[0]?.testId ?? recording.standAt, { undoes: recording.id });
}

/** Brings back what was taken back last. */
export function redo(undone: Command): Command {
  return command("UNDO", undone.standAt, { undoes: undone.id });
}

/** The parts that "Nothing" stands for, without those about a position that the school leaves out. */
export function nothing(test: Test, side: "well" | "involved", positions: readonly string[] = []): Part[] {
  return test.nothing.filter(
    (part) =>
      (side === "involved" || test.wellSideParts.includes(part.key)) &&
      (!part.position || positions.length === 0 || positions.includes(part.position)),
  );
}

/** A test that was left out is no longer so once anything is recorded. */
function taken(parts: readonly Part[]): Part[] {
  return parts.filter(
    (part) => (part.choice !== LEFT_OUT.choice || part.key !== LEFT_OUT.key) && part.key !== "because",
  );
}

/** What is recorded for a test that was left out. */
export const LEFT_OUT: Part = { key: "quality", choice: "skipped" };

/** A test left out, for a reason in words where one was given. */
export function leftOut(reason?: string): Part[] {
  return reason ? [LEFT_OUT, { key: "because", text: reason }] : [LEFT_OUT];
}

/** The parts with one answer set; the same answer again takes it away. */
export function withChoice(
  test: Test,
  parts: readonly Part[],
  key: string,
  choice: string,
  context: Context = {},
): Part[] {
  const many = test.parts.find((part) => part.key === key)?.many ?? false;
  const had = parts.some((part) => part.key === key && part.choice === choice && inContext(part, context));
  const others = taken(parts).filter(
    (part) => part.key !== key || !inContext(part, context) || (many && part.choice !== choice),
  );
  const next = had ? others : [...others, { key, choice, ...context }];
  return key === "pain" && (choice === "none" || had)
    ? next.filter((part) => part.key !== "site" && !isArcAngle(part.key))
    : next;
}

/** Whether a part is an angle at which pain begins, is worst or ends: without pain it has no meaning. */
export function isArcAngle(key: string): boolean {
  return key.startsWith("angle-");
}

/** The key of words on a test. */
const REMARK = "remark";

/** The words on a test; empty where there are none. */
export function remarkOf(parts: readonly Part[]): string {
  return parts.find((part) => part.key === REMARK)?.text ?? "";
}

/** The parts with these words on the test; none where they are empty. */
export function withRemark(parts: readonly Part[], words: string): Part[] {
  const others = parts.filter((part) => part.key !== REMARK);
  return words === "" ? others : [...others, { key: REMARK, text: words }];
}

/** The parts with one measure set. */
export function withMeasure(
  parts: readonly Part[],
  key: string,
  measure: number,
  unit: string,
  context: Context = {},
): Part[] {
  return [...without(taken(parts), key, context), { key, measure, unit, ...context }];
}

/** One measure. */
export interface Measured {
  key: string;
  value: number;
  unit: string;
  context?: Context;
}

/** The parts with measures set that came at once. */
export function withMeasures(parts: readonly Part[], measures: readonly Measured[]): Part[] {
  return measures.reduce<Part[]>(
    (all, each) => withMeasure(all, each.key, each.value, each.unit, each.context),
    [...parts],
  );
}

/** The parts without one of them. */
export function without(parts: readonly Part[], key: string, context: Context = {}): Part[] {
  return parts.filter((part) => part.key !== key || !inContext(part, context));
}

/** Answers that say that a symptom was not there. */
const NOT_THERE = "none";

/**
 * What was recorded before, with the answers of a whole answer in place of the earlier ones. What was measured and remarked
 * stays, but for measures of a symptom that the whole answer says was not there.
 */
export function withWhole(parts: readonly Part[], whole: readonly Part[]): Part[] {
  const painless = whole.some((part) => part.key === "pain" && part.choice === NOT_THERE);
  const began = whole.some((part) => part.choice && part.choice !== NOT_THERE && part.key.endsWith("tingling"));
  const quiet = whole.some((part) => part.choice === NOT_THERE && part.key.endsWith("tingling"));
  const stays = (part: Part) =>
    part.key === "quality" ||
    typeof part.text === "string" ||
    (typeof part.measure === "number" &&
      !(painless && (isArcAngle(part.key) || part.key === "pain-level")) &&
      !(part.key === "onset" && quiet && !began));
  const replaced = (part: Part) =>
    whole.some(
      (each) =>
        each.key === part.key &&
        inContext(each, { position: part.position ?? "", repeat: part.repeat ?? 1, direction: part.direction ?? "" }),
    );
  return [...taken(parts).filter((part) => stays(part) && !replaced(part)), ...whole];
}
