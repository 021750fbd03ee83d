import { scaleLog } from "d3-scale";

/** Likelihood ratios that are marked on the scale. */
export const WEIGHT_MARKS = [0.05, 0.2, 0.5, 1, 2, 5, 20];

/** A scale from likelihood ratio to pixels with the pivot, 1, in the middle: from 1/50 to 50; what lies beyond stays at the end. */
export function weightScale(width: number, inset = 0): (ratio: number) => number {
  return scaleLog()
    .domain([1 / 50, 50])
    .range([inset, width - inset])
    .clamp(true);
}

/** Whether a ratio lies beyond the scale, so that its mark stands at the end. */
export function beyond(ratio: number): boolean {
  return ratio < 1 / 50 || ratio > 50;
}
