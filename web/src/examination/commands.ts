import type { Schemas } from "../shared/api/client";
import type { Answer, Attempt, Command, Part, Side } from "./history";

export type Test = Schemas["TestJson"];

/** This page load; every load is a client of its own, so that its commands are counted from 1. */
export const CLIENT = crypto.randomUUID();

let order = 0;

function command(kind: Command["kind"], standAt: string, rest: Partial<Command> = {}): Command {
  order += 1;
  return { id: crypto.randomUUID(), clientId: CLIENT, order, at: new Date().toISOString(), kind, standAt, attempts: [], answers: [], ...rest };
}

/** Another attempt with these parts in place of `earlier`, or a first one. */
export function attempt(test: Test, side: Side, parts: Part[], earlier: Attempt | undefined): Attempt {
  return {
    id: crypto.randomUUID(), testId: test.id, variant: "usual", side, tryNumber: earlier?.tryNumber ?? 1,
    supersedes: earlier ? [earlier.id] : [], parts,
  };
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

/** The parts that "Nothing" stands for. */
export function nothing(test: Test, side: "well" | "involved"): Part[] {
  return Object.entries(test.nothing)
    .filter(([key]) => side === "involved" || test.wellSideParts.includes(key))
    .map(([key, choice]) => ({ key, choice }));
}

/** A test that was left out is no longer so once anything is recorded. */
function taken(parts: readonly Part[]): Part[] {
  return parts.filter((part) => part.choice !== LEFT_OUT.choice || part.key !== LEFT_OUT.key);
}

/** What is recorded for a test that was left out. */
export const LEFT_OUT: Part = { key: "quality", choice: "skipped" };

/** The parts with one answer set; the same answer again takes it away. */
export function withChoice(test: Test, parts: readonly Part[], key: string, choice: string): Part[] {
  const many = test.parts.find((part) => part.key === key)?.many ?? false;
  const had = parts.some((part) => part.key === key && part.choice === choice);
  const others = taken(parts).filter((part) => part.key !== key || (many && part.choice !== choice));
  const next = had ? others : [...others, { key, choice }];
  return key === "pain" && (choice === "none" || had) ? next.filter((part) => part.key !== "site" && !isArcAngle(part.key)) : next;
}

/** Whether a part is an angle at which pain begins, is worst or ends: without pain it has no meaning. */
export function isArcAngle(key: string): boolean {
  return key.startsWith("angle-");
}

/** The parts with one measure set. */
export function withMeasure(parts: readonly Part[], key: string, measure: number, unit: string): Part[] {
  return [...taken(parts).filter((part) => part.key !== key), { key, measure, unit }];
}
