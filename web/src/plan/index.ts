/** What other features may use of this one. */
export { ReplanNote, ReplanQuestion } from "./ReplanPanel";
export { moved, placesOf, withTest } from "./ordering";
export { PLAN_ANSWERS, type Replan, useReplan } from "./useReplan";
export { minuteWords } from "./words";
