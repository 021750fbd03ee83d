import { describe, expect, it } from "vitest";
import { extents, laidOut, reach, tilt } from "./beamGeometry";

const DECIBANS = 10 / Math.LN10;
const loads = [1.5 * DECIBANS, -0.5 * DECIBANS, 0.25 * DECIBANS];

describe("the beam", () => {
  it("lays what speaks for to the right and what speaks against to the left, end to end", () => {
    const placed = laidOut(loads);
    expect(placed.map((load) => load.positive)).toEqual([true, false, true]);
    expect(placed[2]?.from).toBeCloseTo(1.5, 12);
    expect(placed[2]?.to).toBeCloseTo(1.75, 12);
    expect(placed[1]?.from).toBe(0);
    expect(placed[1]?.to).toBeCloseTo(-0.5, 12);
  });

  it("ends where the odds stand: both arms together are the sum of the weights", () => {
    const { right, left } = extents(laidOut(loads));
    expect(right + left).toBeCloseTo(1.25, 12);
  });

  it("tips towards the heavier side and never far", () => {
    expect(tilt(0)).toBe(0);
    expect(tilt(1)).toBeGreaterThan(0);
    expect(tilt(-100)).toBe(-5);
  });

  it("reaches as far as its weights, and from 2 to 98 in 100 at least", () => {
    expect(reach(0, [])).toEqual([-Math.log(49), Math.log(49)]);
    const [from, to] = reach(2, laidOut([30, -4]));
    expect(to).toBeGreaterThan(2 + 3 * Math.LN10);
    expect(from).toBeCloseTo(-Math.log(49), 12);
  });
});
