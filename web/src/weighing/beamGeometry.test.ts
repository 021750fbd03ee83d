import { describe, expect, it } from "vitest";
import { extents, laidOut, tilt } from "./beamGeometry";

const loads = [{ likelihoodRatio: Math.E ** 1.5 }, { likelihoodRatio: Math.E ** -0.5 }, { likelihoodRatio: Math.E ** 0.25 }];

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
});
