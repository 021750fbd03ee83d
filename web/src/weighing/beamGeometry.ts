/** A weight as it lies on the beam, in units of log odds from the pivot. */
export interface PlacedLoad {
  /** Number that also stands beside it in the list, from 1. */
  number: number;
  from: number;
  to: number;
  positive: boolean;
}

/** Natural log of a likelihood ratio. */
function weightOf(load: { likelihoodRatio: number }): number {
  return Math.log(load.likelihoodRatio);
}

/** Lays weights end to end from the pivot: what speaks for to the right, what speaks against to the left. */
export function laidOut(loads: readonly { likelihoodRatio: number }[], firstNumber = 1): PlacedLoad[] {
  let right = 0;
  let left = 0;
  return loads.map((load, index) => {
    const weight = weightOf(load);
    const from = weight >= 0 ? right : left;
    const to = from + weight;
    if (weight >= 0) {
      right = to;
    } else {
      left = to;
    }
    return { number: firstNumber + index, from, to, positive: weight >= 0 };
  });
}

/** Sum of all that lies right of the pivot, and of all that lies left of it (0 or below). */
export function extents(placed: readonly PlacedLoad[]): { right: number; left: number } {
  return { right: Math.max(0, ...placed.map((load) => load.to)), left: Math.min(0, ...placed.map((load) => load.to)) };
}

/** Tilt of the beam in degrees, clockwise, for a net weight; bounded so that the loads stay readable. */
export function tilt(net: number): number {
  return Math.max(-5, Math.min(5, net * 2.2));
}
