import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import {
  beyondFigures,
  byPosition,
  curveWords,
  enoughWords,
  forgoneWords,
  limitWords,
  minuteWords,
  secondWords,
  share,
  summary,
  whyWords,
} from "./words";

const step = (
  testId: string,
  position: string,
  more: Partial<Schemas["PlanStepJson"]> = {},
): Schemas["PlanStepJson"] => ({
  testId,
  name: testId,
  position,
  positions: [position],
  learnt: false,
  minutes: 0.5,
  why: "INFORMATION",
  bits: 0.1,
  changes: [],
  movements: [],
  equipment: [],
  ...more,
});
const plan = (steps: Schemas["PlanStepJson"][], bits: number, moves = 0): Schemas["PlanJson"] => ({
  knows: 1,
  minutes: 9.4,
  moves,
  bits,
  spared: null,
  steps,
  out: [],
  locked: [],
  limits: [],
  forgone: [],
  forgoneBits: 0,
  act: 0.75,
});

describe("a plan in words", () => {
  it("says what it takes", () => {
    expect(summary(plan([step("a", "Sitting"), step("b", "Sitting")], 1, 1))).toBe(
      "2 tests, 9 min, 1 change of position.",
    );
    expect(summary(plan([], 0))).toBe("No test.");
    expect(minuteWords(0.4)).toBe("under 1 min");
  });

  it("says how much of all it tells, and never more than all", () => {
    expect(share(plan([], 0.75), 1.5)).toContain("50 in 100 of what");
    expect(share(plan([], 1.6), 1.5)).toContain("100 in 100 of what");
    expect(share(plan([], 0), 0)).toBe("No test that is left has figures here.");
  });

  it("says what may stay open, and whether more tests would settle it", () => {
    const limit = { conditionId: "x", name: "Full cuff tear", now: 0.3, open: 0.62, least: 0.4 };
    expect(limitWords(limit)).toBe("Now 30. With every test that may be done, 40 in 100.");
    expect(limitWords({ ...limit, least: 0.6 })).toBe("Now 30. More tests would not settle it.");
    expect(enoughWords(0.8)).toContain("stands at 80");
  });

  it("says what it costs that some tests are not done", () => {
    const forgone = [
      { testId: "a", name: "Jerk" },
      { testId: "b", name: "Push back" },
    ];
    expect(forgoneWords(plan([], 1), 1)).toBe("");
    expect(forgoneWords({ ...plan([], 0.9), forgone, forgoneBits: 0.1 }, 1)).toBe(
      "Without jerk and push back, which you do not do: 10 in 100 less of what all tests could tell.",
    );
    expect(forgoneWords({ ...plan([], 1), forgone, forgoneBits: 0.001 }, 1)).toContain("next to nothing");
  });

  it("says why a test is in, by figures where there are any", () => {
    const change = {
      conditionId: "x",
      name: "Full cuff tear",
      now: 0.17,
      ifPositive: 0.62,
      ifNegative: 0.08,
      live: true,
    };
    expect(whyWords(step("a", "Sitting", { changes: [change] }))).toBe("Full cuff tear: 62 if positive, 8 if negative");
    expect(whyWords(step("a", "Sitting", { why: "DEFINITION", changes: [change] }))).toBe(
      "defines a condition in play; full cuff tear: 62 if positive, 8 if negative",
    );
    expect(whyWords(step("a", "Sitting", { why: "SERIOUS", about: "Full cuff tear", changes: [change] }))).toBe(
      "serious, first served: full cuff tear: 62 if positive, 8 if negative",
    );
    expect(whyWords(step("a", "Sitting", { why: "PICTURE", about: "Trigger finger" }))).toBe(
      "belongs to the picture of trigger finger",
    );
    expect(whyWords(step("a", "Sitting", { why: "BY_HAND" }))).toBe("no figures for a condition in play");
    expect(secondWords(step("a", "Sitting", { learnt: true }))).toBe("30 s by your own timing");
  });

  it("says where figures end and the plan goes on", () => {
    const curve = {
      knows: 1,
      points: [
        { minutes: 0, bits: 0, tests: 0 },
        { minutes: 2, bits: 1, tests: 3 },
      ],
      knee: null,
    };
    expect(beyondFigures(curve, 9)).toContain("After 2 min figures have nothing to add");
    expect(beyondFigures(curve, 2)).toBe("");
  });

  it("tells the curve in words", () => {
    const curve = {
      knows: 1,
      points: [
        { minutes: 0, bits: 0, tests: 0 },
        { minutes: 4, bits: 1, tests: 6 },
        { minutes: 12, bits: 1.25, tests: 15 },
      ],
      knee: { minutes: 4, bits: 1, tests: 6 },
    };
    expect(curveWords(curve, 1.25)).toBe(
      "4 min: 80 in 100; 12 min: 100 in 100. From 4 min each further minute tells much less.",
    );
  });

  it("gathers steps by position as they come", () => {
    expect(
      byPosition([step("a", "Sitting"), step("b", "Sitting"), step("c", "Supine"), step("d", "Sitting")]).map(
        (group) => [group.position, group.steps.length],
      ),
    ).toEqual([
      ["Sitting", 2],
      ["Supine", 1],
      ["Sitting", 1],
    ]);
  });
});
