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
