/** What other features may use of this one. */
export { CueCard } from "./CueCard";
export { LandmarkFigure } from "./walk/LandmarkFigure";
export { WayRow } from "./WayRow";
