import type { Schemas } from "../api/client";

type State = Schemas["TestJson"]["review"];

/** What is said after the facts of a card that nobody has agreed to as it is; nothing where somebody has. */
export const CARD_STATE: Record<State, string> = {
  DRAFTED: ", drafted, not yet reviewed",
  AGREED: "",
  DOUBTFUL: ", doubted here",
  WRONG: ", found wrong here",
  CHANGED_SINCE: ", changed since its review",
};
