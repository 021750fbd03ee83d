import { describe, expect, it } from "vitest";
import type { Schemas } from "./api/client";
import { byFit, byPictureAlone, families, innerOf, standsAt } from "./standing";

const expected = { testId: "t", test: "T", says: "s" };

function standing(
  conditionId: string,
  present: number,
  missing: number,
  against: number,
  shelf: Schemas["StandingJson"]["shelf"] = "UNMEASURED",
): Schemas["StandingJson"] {
  const of = (count: number) => Array.from({ length: count }, () => expected);
  return {
    conditionId,
    shelf,
    pattern: { present: of(present), missing: of(missing), against: of(against), notExamined: [], defining: [] },
  } as unknown as Schemas["StandingJson"];
}

describe("pictures", () => {
  it("come by how well they fit: what is missing and what speaks against take away", () => {
    const order = byFit([
      standing("one of one", 1, 0, 0),
      standing("four of five", 4, 1, 0),
      standing("two, one against", 2, 0, 1),
      standing("another of one", 1, 0, 0),
    ]);
    expect(order.map((each) => each.conditionId)).toEqual([
      "four of five",
      "one of one",
      "two, one against",
      "another of one",
    ]);
  });

  it("stand alone where nothing weighed speaks", () => {
    expect(byPictureAlone(standing("a", 1, 0, 0, "WAITING"))).toBe(true);
    expect(byPictureAlone(standing("a", 1, 0, 0, "WEIGHED"))).toBe(false);
  });
});

describe("where a condition stands", () => {
  it("is where findings about a wider one have left it, even where nothing is weighed for itself", () => {
    expect(standsAt({ informed: true, now: 0.07, before: 0.05 })).toBe(0.07);
    expect(standsAt({ informed: false, now: 0.05, before: 0.05 })).toBe(0.05);
  });
});

describe("families", () => {
  const at = (conditionId: string, now: number, within: string | null = null) =>
    ({ conditionId, shortName: conditionId, now, within }) as unknown as Schemas["StandingJson"];

  it("gather what is narrower under what is wider, in the order of the list", () => {
    const [any, joint] = families([
      at("any", 0.93),
      at("joint", 0.9),
      at("full", 0.88, "any"),
      at("supra", 0.74, "full"),
      at("infra", 0.2, "full"),
    ]);
    expect(any?.head.conditionId).toBe("any");
    expect(joint?.inner).toEqual([]);
    expect(any && innerOf(any).map((each) => [each.standing.conditionId, each.depth])).toEqual([
      ["full", 1],
      ["supra", 2],
      ["infra", 2],
    ]);
  });

  it("leave alone what has nothing wider in the list", () => {
    expect(families([at("full", 0.5, "any"), at("supra", 0.4, "full")]).map((each) => each.head.conditionId)).toEqual([
      "full",
    ]);
  });
});
