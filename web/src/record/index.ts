/** What other features may use of this one. */
export type { CommandQueue, QueueState } from "./commandQueue";
export {
  attempt,
  isArcAngle,
  leftOut,
  type Measured,
  move,
  nextTry,
  nothing,
  record,
  redo,
  remarkOf,
  tell,
  type Test,
  undo,
  withChoice,
  withMeasure,
  withMeasures,
  withRemark,
  withWhole,
} from "./commands";
export { entryWords } from "./entryWords";
export {
  type Answer,
  type Attempt,
  choices,
  type Command,
  type Context,
  inForce,
  type InForce,
  latestAttempt,
  measure,
  otherSide,
  type Part,
  type Side,
} from "./history";
export { closeQueues, merged, onQueues, queueOf, resumeQueues, waitingCount } from "./queues";
