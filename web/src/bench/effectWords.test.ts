import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { effect } from "./effectWords";

type Standing = Schemas["StandingJson"];

const load = {
  testIds: ["sh-arc"],
  positive: true,
  phrase: "familiar pain",
  likelihoodRatio: 3.9,
  decibans: 5.9,
  part: 4,
  worthless: false,
  estimate: false,
  borrowed: false,
  caution: "",
};
const standing = {
  shortName: "Subacromial pain",
  previous: 0.65,
  now: 0.881,
  loads: [load],
  held: [],
  unweighed: [],
  shelf: "WEIGHED",
} as unknown as Standing;
const set = { positives: ["sh-neer/sh-hawkins"], negatives: [] } as unknown as Schemas["ClusterJson"];

describe("what a test did", () => {
  it("says from where to where a condition moved", () => {
    expect(effect(standing, "sh-arc", undefined)).toEqual({ name: "Subacromial pain", what: "65 → 88" });
    expect(effect({ ...standing, previous: 0.8809 }, "sh-arc", undefined)?.what).toBe("stays 88");
  });

  it("calls an estimate one", () => {
    expect(effect({ ...standing, loads: [{ ...load, estimate: true }] }, "sh-arc", undefined)?.what).toContain(
      "the clinic's own estimate",
    );
  });

  it("says whether a finding was counted in the set or left beside it", () => {
    const held = { ...standing, loads: [], held: [{ ...load, testIds: ["sh-hawkins"] }] };
    expect(effect(held, "sh-hawkins", set)?.what).toContain("counted in the set");
    expect(effect({ ...held, held: [{ ...load, testIds: ["sh-yocum"] }] }, "sh-yocum", set)?.what).toContain(
      "not added beside it",
    );
  });

  it("notes what is not weighed, but not where nothing is measured at all or nothing could be read", () => {
    const noted = {
      ...standing,
      loads: [],
      unweighed: [{ testId: "sh-arc", result: "POSITIVE" as const, phrase: "", because: "" }],
    };
    expect(effect(noted, "sh-arc", undefined)?.what).toBe("noted, not weighed");
    expect(effect({ ...noted, shelf: "UNMEASURED" }, "sh-arc", undefined)).toBeUndefined();
    expect(
      effect(
        { ...noted, unweighed: [{ testId: "sh-arc", result: "NOT_INTERPRETABLE", phrase: "", because: "" }] },
        "sh-arc",
        undefined,
      ),
    ).toBeUndefined();
  });

  it("says nothing of a test that says nothing", () => {
    expect(effect(standing, "sh-speed", undefined)).toBeUndefined();
  });
});
