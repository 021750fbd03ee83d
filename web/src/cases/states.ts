import type { Schemas } from "../shared/api/client";

export type VisitState = Schemas["CaseLine"]["state"];

export const STATES: readonly VisitState[] = ["BEGUN", "SUSPENDED", "SCREENED", "TESTING", "DONE", "SIGNED"];

const WORDS: Record<VisitState, string> = {
  BEGUN: "Intake",
  SUSPENDED: "Suspended",
  SCREENED: "Screened",
  TESTING: "Testing",
  DONE: "All tested",
  SIGNED: "Signed",
};

export function stateWord(state: VisitState): string {
  return WORDS[state];
}

/** What an examination waits for, in words; empty where it waits for nothing. */
export function waitsFor(state: VisitState, done: number, total: number): string {
  switch (state) {
    case "BEGUN":
      return "Intake to finish";
    case "SUSPENDED":
      return "Red flag to look into";
    case "SCREENED":
      return "To be examined";
    case "TESTING":
      return total - done === 1 ? "1 test to do" : `${String(total - done)} tests to do`;
    case "DONE":
      return "To conclude and sign";
    case "SIGNED":
      return "";
  }
}

/** Whether the hands-on examination has begun: before that, what was told is no finding. */
export function handsOn(state: VisitState): boolean {
  return state === "TESTING" || state === "DONE" || state === "SIGNED";
}

/** A part of the list under its name. */
export interface DayPart<T> {
  name: string;
  lines: T[];
}

/** Today's cases first, what is not signed before what is; then the others as they come. Parts without lines are left out. */
export function byDay<T extends { lastAt: string; state: VisitState }>(lines: readonly T[], now: Date): DayPart<T>[] {
  const isToday = (line: T) => new Date(line.lastAt).toDateString() === now.toDateString();
  const today = lines.filter(isToday);
  const open = (line: T) => line.state !== "SIGNED";
  return [
    { name: "Today", lines: [...today.filter(open), ...today.filter((line) => !open(line))] },
    { name: "Earlier", lines: lines.filter((line) => !isToday(line)) },
  ].filter((part) => part.lines.length > 0);
}
