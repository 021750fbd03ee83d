import { describe, expect, it } from "vitest";
import { minutesSpent } from "./useMinutes";

const at = (minutes: number) => minutes * 60_000;

describe("minutes with the hands", () => {
  it("run from the first entry and go on after the last", () => {
    expect(minutesSpent([], at(5))).toBeUndefined();
    expect(minutesSpent([at(0), at(2), at(5)], at(6))).toBeCloseTo(6, 10);
  });

  it("leave out breaks, and entries of a clock that runs ahead", () => {
    expect(minutesSpent([at(0), at(2), at(500)], at(501))).toBeCloseTo(3, 10);
    expect(minutesSpent([at(0), at(2)], at(400))).toBeCloseTo(2, 10);
    expect(minutesSpent([at(10)], at(9))).toBe(0);
  });
});
