import { describe, expect, it } from "vitest";
import { scoreWords, slopeWords, sourceWords } from "./words";

describe("words of what turned out", () => {
  it("say where a result comes from and what its reader knew", () => {
    expect(sourceWords({ kind: "IMAGING", readBy: "the radiologist", reader: "BLIND" })).toBe(
      "imaging, read by the radiologist, who did not know the examination",
    );
    expect(sourceWords({ kind: "SURGERY", readBy: "", reader: "KNEW" })).toBe(
      "surgery, whoever read it knew the examination",
    );
    expect(sourceWords({ kind: "FOLLOW_UP", readBy: "", reader: "NOT_KNOWN" })).toBe("follow-up");
  });

  it("call a slope bold or timid only where its limits say so", () => {
    expect(slopeWords({ lower: 0.4, upper: 0.9 })).toContain("Too bold");
    expect(slopeWords({ lower: 1.1, upper: 1.9 })).toContain("Too timid");
    expect(slopeWords({ lower: 0.8, upper: 1.3 })).toContain("Neither");
  });

  it("compare a score with the start, lower being better", () => {
    expect(scoreWords(0.1, 0.2)).toContain("better");
    expect(scoreWords(0.3, 0.2)).toContain("worse");
    expect(scoreWords(0.201, 0.2)).toContain("no better");
  });
});
