/** What other features may use of this one. */
export { FirstTour } from "./FirstTour";
