import { describe, expect, it } from "vitest";
import {
  complaintWords,
  countedInHundred,
  decimal,
  factor,
  inHundred,
  numbered,
  ofThousand,
  rangeInHundred,
  sentence,
  tenths,
  force,
} from "./format";

describe("numbers as the page writes them", () => {
  it.each([
    [0.004, "under 1"],
    [0.126, "13"],
    [0.5, "50"],
    [0.994, "over 99"],
  ])("a chance of %s is %s in 100", (chance, words) => {
    expect(inHundred(chance)).toBe(words);
  });

  it("counts one thing and several", () => {
    expect([0, 1, 2].map((count) => numbered(count, "visit"))).toEqual(["0 visits", "1 visit", "2 visits"]);
  });

  it("a range promises no certainty at its ends either", () => {
    expect(rangeInHundred(0.001, 0.999)).toBe("under 1 to over 99");
  });

  it.each([
    [0.328, "0.33"],
    [0.996, "1.00"],
    [3.9051, "3.9"],
    [16.79, "17"],
    [9.96, "10"],
  ])("a ratio of %s is %s", (ratio, words) => {
    expect(decimal(ratio)).toBe(words);
  });

  it.each([
    [2.5, "× 2.5"],
    [0.4, "÷ 2.5"],
    [48, "× 48"],
    [1, "× 1.0"],
  ])("as a factor %s is %s", (ratio, words) => {
    expect(factor(ratio)).toBe(words);
  });

  it("people are never none and never all", () => {
    expect([ofThousand(0), ofThousand(0.384), ofThousand(1)]).toEqual([10, 380, 990]);
  });

  it("a name within a sentence keeps its abbreviation", () => {
    expect([sentence("AC joint pain"), sentence("Frozen shoulder")]).toEqual(["AC joint pain", "frozen shoulder"]);
  });

  it.each([
    [0.02, "under 1"],
    [0.06, "1"],
    [0.68, "7"],
    [0.94, "9"],
    [0.999, "9+"],
  ])("a share of %s is %s in ten", (share, expected) => {
    expect(tenths(share)).toBe(expected);
  });
});

describe("a share that was counted", () => {
  it("may be none and all", () => {
    expect(countedInHundred(0)).toBe("0");
    expect(countedInHundred(1)).toBe("100");
    expect(countedInHundred(0.386)).toBe("39");
  });
});

describe("where a complaint is", () => {
  it("is a side of a region, or both", () => {
    expect(complaintWords("LEFT", "shoulder")).toBe("left shoulder");
    expect(complaintWords("BOTH", "wrist")).toBe("both wrists");
  });
});

describe("a force", () => {
  it("is whole newtons, or kilograms to a tenth", () => {
    expect(force(98.0665, "kg")).toBe("10.0 kg");
    expect(force(98.4, "N")).toBe("98 N");
  });
});
