/** Counted down from C7: twelve thoracic, five lumbar, then the sacrum and below. */
const THORACIC = 12;
const LUMBAR = 5;

/** Name of a level counted from C7 (0): "T7", "L3", "sacrum", "below". */
export function spineLevel(below: number): string {
  if (below <= 0) {
    return "C7";
  }
  if (below <= THORACIC) {
    return `T${String(below)}`;
  }
  if (below <= THORACIC + LUMBAR) {
    return `L${String(below - THORACIC)}`;
  }
  return below <= 20 ? "sacrum" : "below";
}
