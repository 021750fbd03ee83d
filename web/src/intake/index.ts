/** What other features may use of this one. */
export { LockGlyph, LockNotice } from "./LockNotice";
export { StopPanel } from "./StopPanel";
export { PaintedAreas } from "./PaintedAreas";
