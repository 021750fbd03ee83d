/** What other features may use of this one. */
export { ChoiceRow } from "./ChoiceRow";
export { CueCard } from "./CueCard";
export { MeasureField } from "./MeasureField";
export { isGaugeOnly, qualities } from "./recorderForm";
export { type Recordable, TestRecorder } from "./TestRecorder";
export { LandmarkFigure } from "./walk/LandmarkFigure";
export { WayRow } from "./WayRow";
