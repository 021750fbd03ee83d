import { describe, expect, it } from "vitest";
import { factor, inHundred, ofThousand, sentence } from "./format";
import { oddsScale } from "./oddsScale";

describe("the odds scale", () => {
  const at = oddsScale(200);

  it("puts even odds in the middle and equal factors at equal distances", () => {
    expect(at(0.5)).toBeCloseTo(100, 9);
    expect(at(0.75) - at(0.5)).toBeCloseTo(at(0.5) - at(0.25), 9);
    expect(at(0.9) - at(0.75)).toBeCloseTo(at(0.75) - at(0.5), 9);
  });

  it("keeps what lies beyond its ends at the ends", () => {
    expect(at(0.0001)).toBe(0);
    expect(at(0.9999)).toBe(200);
  });
});

describe("figures in words", () => {
  it("never claim certainty", () => {
    expect(inHundred(0.0004)).toBe("under 1");
    expect(inHundred(0.9951)).toBe("over 99");
    expect(inHundred(0.384)).toBe("38");
  });

  it("count people in tens, never none and never all", () => {
    expect(ofThousand(0.8388)).toBe(840);
    expect(ofThousand(0.0001)).toBe(10);
    expect(ofThousand(0.9999)).toBe(990);
  });

  it("keep the capitals of abbreviations within a sentence", () => {
    expect(sentence("AC joint pain")).toBe("AC joint pain");
    expect(sentence("Frozen shoulder")).toBe("frozen shoulder");
  });

  it("write a ratio as what it does to the odds", () => {
    expect(factor(3.905)).toBe("× 3.9");
    expect(factor(0.5)).toBe("÷ 2.0");
    expect(factor(27.6)).toBe("× 28");
  });
});
