/** A weight as it lies on the beam, in units of log odds from the pivot. */
export interface PlacedLoad {
  /** Number that also stands beside it in the list, from 1. */
  number: number;
  from: number;
  to: number;
  positive: boolean;
}

const NATURAL_PER_DECIBAN = Math.LN10 / 10;

/** Lays weights, given in decibans, end to end from the pivot: what speaks for to the right, what speaks against to the left. */
export function laidOut(weights: readonly number[], firstNumber = 1): PlacedLoad[] {
  let right = 0;
  let left = 0;
  return weights.map((decibans, index) => {
    const weight = decibans * NATURAL_PER_DECIBAN;
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

/**
 * A scale of log odds wide enough for everything that has to lie on it, and never narrower than from 2 to 98 in 100.
 *
 * @param start  log odds at the pivot
 * @param placed everything that lies on the beam or above it
 */
export function reach(start: number, placed: readonly PlacedLoad[]): [number, number] {
  const { right, left } = extents(placed);
  const usual = Math.log(0.98 / 0.02);
  return [Math.min(-usual, start + left - 0.3), Math.max(usual, start + right + 0.3)];
}
