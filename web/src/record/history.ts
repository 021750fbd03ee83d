import type { Schemas } from "../shared/api/client";

export type Command = Schemas["CommandJson"];
export type Attempt = Schemas["AttemptJson"];
export type Part = Schemas["PartJson"];
export type Answer = Schemas["IntakeAnswerJson"];
export type Side = Attempt["side"];

export function otherSide(side: Side): Side {
  return side === "LEFT" ? "RIGHT" : "LEFT";
}

/** The circumstances of a part: the position, the go, the way back. Absent stands for the only or the first one. */
export interface Context {
  position?: string;
  repeat?: number;
  direction?: string;
}

/** Whether a part was recorded in these circumstances. */
export function inContext(part: Part, context: Context): boolean {
  return (
    (part.position ?? "") === (context.position ?? "") &&
    (part.repeat ?? 1) === (context.repeat ?? 1) &&
    (part.direction ?? "") === (context.direction ?? "")
  );
}

/** What of a list of commands counts. */
export interface InForce {
  attempts: Attempt[];
  /** What was told before the hands: the answer that holds, by question. */
  answers: ReadonlyMap<string, Answer>;
  /** The latest telling that can be taken back. */
  lastTelling: Command | undefined;
  /** The test at which the examination stands; undefined before the first command. */
  standAt: string | undefined;
  /** The latest recording that can be taken back. */
  lastRecording: Command | undefined;
  /** The latest undo that can be taken back: nothing was recorded or told since. */
  lastUndo: Command | undefined;
}

/**
 * Follows the record's rule: a command counts unless a later one that counts undid it; an attempt counts if its command
 * does and no later command that counts supersedes it, whether or not that one was itself corrected since.
 */
export function inForce(commands: readonly Command[]): InForce {
  const undone = new Set<string>();
  const superseded = new Set<string>();
  const attempts: Attempt[] = [];
  const answers = new Map<string, Answer>();
  let lastRecording: Command | undefined;
  let lastTelling: Command | undefined;
  for (const command of [...commands].reverse()) {
    if (undone.has(command.id)) {
      continue;
    }
    if (command.kind === "UNDO" && command.undoes) {
      undone.add(command.undoes);
    }
    if (command.kind === "TELL") {
      lastTelling ??= command;
      for (const answer of [...command.answers].reverse()) {
        if (!answers.has(answer.question)) {
          answers.set(answer.question, answer);
        }
      }
    }
    if (command.kind === "RECORD") {
      lastRecording ??= command;
      for (const attempt of [...command.attempts].reverse()) {
        attempt.supersedes.forEach((earlier) => superseded.add(earlier));
        if (!superseded.has(attempt.id)) {
          attempts.unshift(attempt);
        }
      }
    }
  }
  return {
    attempts,
    answers,
    standAt: commands.findLast((command) => command.kind !== "TELL")?.standAt,
    lastRecording,
    lastTelling,
    lastUndo: lastUndo(commands, undone),
  };
}

function lastUndo(commands: readonly Command[], undone: ReadonlySet<string>): Command | undefined {
  const undos = new Set(commands.filter((command) => command.kind === "UNDO").map((command) => command.id));
  for (const command of [...commands].reverse()) {
    if (command.kind === "RECORD" || command.kind === "TELL") {
      return undefined;
    }
    if (command.kind === "UNDO" && !undone.has(command.id) && !undos.has(command.undoes ?? "")) {
      return command;
    }
  }
  return undefined;
}

/** The latest attempt that counts of a test on a side. */
export function latestAttempt(state: InForce, testId: string, side: Side): Attempt | undefined {
  return state.attempts.findLast((attempt) => attempt.testId === testId && attempt.side === side);
}

/** The answers of an attempt to a part that has a list of answers. */
export function choices(attempt: Attempt | undefined, part: string, context: Context = {}): string[] {
  return (
    attempt?.parts.flatMap((each) =>
      each.key === part && each.choice && inContext(each, context) ? [each.choice] : [],
    ) ?? []
  );
}

/** The measure of a part, in the part's unit. */
export function measure(attempt: Attempt | undefined, part: string, context: Context = {}): number | undefined {
  return attempt?.parts.find((each) => each.key === part && inContext(each, context))?.measure ?? undefined;
}
