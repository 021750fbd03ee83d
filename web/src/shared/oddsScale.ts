import { scaleLinear } from "d3-scale";

/** Where a chance lies on the scale on which evidence adds up. */
export function logit(chance: number): number {
  return Math.log(chance / (1 - chance));
}

/** The chance at a place on that scale, kept from 1 to 99 in 100. */
export function chanceAt(logOdds: number): number {
  return Math.min(0.99, Math.max(0.01, 1 / (1 + Math.exp(-logOdds))));
}

/** Chances that are marked on the scale. */
export const MARKS = [0.02, 0.1, 0.25, 0.5, 0.75, 0.9, 0.98];

/** A scale from chance to pixels, `width` wide, from 1 in 100 to 99 in 100; what lies beyond stays at the end. */
export function oddsScale(width: number, inset = 0): (chance: number) => number {
  const scale = scaleLinear()
    .domain([logit(0.01), logit(0.99)])
    .range([inset, width - inset])
    .clamp(true);
  return (chance) => scale(logit(chance));
}
