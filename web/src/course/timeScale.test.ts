import { describe, expect, it } from "vitest";
import { heights, labelled, places } from "./timeScale";

describe("the line of time", () => {
  it("sets days in proportion, with room at either end", () => {
    expect(places([0, 25, 100])).toEqual([6, 28, 94]);
  });

  it("sets a single visit in the middle, and those of one day beside each other", () => {
    expect(places([0])).toEqual([50]);
    expect(places([3, 3, 3])).toEqual([6, 50, 94]);
  });

  it("keeps visits apart that are close to each other, at either end too", () => {
    expect(places([0, 0, 100])).toEqual([6, 10, 94]);
    expect(places([0, 100, 100, 100])).toEqual([6, 86, 90, 94]);
  });

  it("has room for any number of visits in their order", () => {
    const at = places(Array.from({ length: 60 }, (_, index) => (index < 59 ? 0 : 1)));
    expect(at[0]).toBe(6);
    expect(at[59]).toBe(94);
    expect(at.every((place, index) => index === 0 || place > (at[index - 1] ?? 0))).toBe(true);
  });

  it("labels no two visits on top of each other, and always the first and the last", () => {
    expect(labelled([6, 10, 40, 88, 94], 11)).toEqual([true, false, true, false, true]);
    expect(labelled([50], 11)).toEqual([true]);
  });
});

describe("the scale of a row", () => {
  it("stands upwards between its least and its most", () => {
    const y = heights([40, 60], 100, 10);
    expect([y(40), y(50), y(60)]).toEqual([90, 50, 10]);
  });

  it("sets equal values in the middle", () => {
    expect(heights([7, 7], 80, 10)(7)).toBe(40);
  });
});
