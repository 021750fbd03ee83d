import { describe, expect, it } from "vitest";
import { beyond, weightScale } from "./weightScale";

describe("the scale of weights", () => {
  const at = weightScale(300, 10);

  it("has its pivot in the middle and equal factors at equal distances", () => {
    expect(at(1)).toBeCloseTo(150, 9);
    expect(at(4) - at(2)).toBeCloseTo(at(2) - at(1), 9);
    expect(at(1) - at(0.25)).toBeCloseTo(at(4) - at(1), 9);
  });

  it("keeps what lies beyond at its end", () => {
    expect(at(1000)).toBe(290);
    expect(beyond(1000)).toBe(true);
    expect(beyond(1 / 49)).toBe(false);
  });
});
