import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { commonWords, compared } from "./twoPlans";

function steps(...ids: string[]): Schemas["PlanStepJson"][] {
  return ids.map((testId) => ({
    testId,
    name: testId,
    position: "Sitting",
    positions: ["Sitting"],
    minutes: 1,
    learnt: false,
    why: "INFORMATION",
    movements: [],
    bits: 0.1,
    changes: [],
    equipment: [],
  }));
}

const ids = (of: Schemas["PlanStepJson"][]) => of.map((step) => step.testId);

describe("two plans side by side", () => {
  it("tells what both have from what one has alone, each in the order of its plan", () => {
    const found = compared(steps("a", "b", "c", "d"), steps("e", "c", "a"));
    expect(ids(found.both)).toEqual(["a", "c"]);
    expect(ids(found.onlyOne)).toEqual(["b", "d"]);
    expect(ids(found.onlyOther)).toEqual(["e"]);
    expect(commonWords(found)).toBe("2 tests are in both plans; 2 and 1 differ.");
  });

  it("says it where all or nothing is shared", () => {
    expect(commonWords(compared(steps("a"), steps("a")))).toBe("1 test is in both plans, and none differs.");
    expect(commonWords(compared(steps("a"), []))).toBe("No test is in both plans; 1 and 0 differ.");
  });
});
