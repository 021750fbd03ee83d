import { describe, expect, it } from "vitest";
import { angleAt, arcPath, onDial } from "./arcGeometry";

describe("the arc dial", () => {
  it("hangs at 0, points out at 90 and up at 180", () => {
    expect(onDial(0, 1, 100).y).toBeGreaterThan(onDial(0, 1, 0).cy);
    expect(onDial(90, 1, 100).x).toBeCloseTo(onDial(90, 1, 0).cx + 100, 9);
    expect(onDial(180, 1, 100).y).toBeLessThan(onDial(180, 1, 0).cy);
  });

  it("points to the viewer's left for a right arm", () => {
    expect(onDial(90, -1, 100).x).toBeLessThan(onDial(90, -1, 0).cx);
  });

  it.each([0, 10, 60, 90, 120, 170, 180])("reads %i° back from where it was drawn", (angle) => {
    for (const mirror of [1, -1] as const) {
      const at = onDial(angle, mirror, 80);
      expect(angleAt(at.x, at.y, mirror)).toBeCloseTo(angle, 6);
    }
  });

  it("holds what lies behind the body at the nearer end", () => {
    expect(angleAt(0, 10, 1)).toBe(180);
    expect(angleAt(0, 180, 1)).toBe(0);
  });

  it("draws a closed segment", () => {
    expect(arcPath(60, 120, 50, 100, 1)).toMatch(/^M.*A.*L.*A.*Z$/);
  });
});
