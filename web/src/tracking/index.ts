/** What other features may use of this one. */
export { AgainList } from "./AgainList";
export { AgainTable } from "./AgainTable";
export { useAgain } from "./useAgain";
