import { describe, expect, it } from "vitest";
import { headed, turnedFirst } from "./words";

describe("what a row says", () => {
  it("is parted into its verdict and what explains it", () => {
    expect(headed("Better: 40 mm to 52 mm, by its slope")).toEqual({
      head: "Better",
      rest: "40 mm to 52 mm, by its slope",
    });
    expect(headed("Within noise, which is 5 mm. Stalled: 0 mm a day (−0.1 to 0.1)")).toEqual({
      head: "Stalled",
      rest: "0 mm a day (−0.1 to 0.1). Within noise, which is 5 mm",
    });
    expect(headed("Within noise, which is 15°")).toEqual({ head: "", rest: "Within noise, which is 15°" });
  });
});

describe("the order of tests", () => {
  it("begins with those that have turned, then those still positive", () => {
    const row = (test: string, turn: "STILL_NEGATIVE" | "STILL_POSITIVE" | "TURNED_NEGATIVE") => ({
      test,
      name: test,
      results: [],
      turn,
    });
    expect(
      turnedFirst([row("a", "STILL_NEGATIVE"), row("b", "STILL_POSITIVE"), row("c", "TURNED_NEGATIVE")]).map(
        (each) => each.test,
      ),
    ).toEqual(["c", "b", "a"]);
  });
});
