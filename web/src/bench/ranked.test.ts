import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { countOf, inLines, ranked } from "./ranked";

type Standing = Schemas["StandingJson"];

const EXPECTED = { testId: "t", test: "T", says: "s" };

function standing(conditionId: string, of: Partial<Standing> & { found?: number; sought?: number } = {}): Standing {
  const { found = 0, sought = 0, ...rest } = of;
  const findings = (count: number) => Array.from({ length: count }, () => EXPECTED);
  return {
    conditionId,
    shelf: "WEIGHED",
    zone: "TEST",
    now: 0.3,
    before: 0.1,
    pattern: { present: findings(found), missing: findings(sought), against: [], notExamined: [], defining: [] },
    ...rest,
  } as unknown as Standing;
}

const ids = (standings: Standing[]) => standings.map((each) => each.conditionId);

describe("what the bench says of the ranking", () => {
  it("is five lines: weighed families first, then pictures, then what nothing speaks about", () => {
    const all = [
      standing("a"),
      standing("b", { within: "a" }),
      standing("c"),
      standing("aside", { zone: "SET_ASIDE" }),
      standing("fits little", { shelf: "UNMEASURED", found: 1, sought: 1 }),
      standing("fits", { shelf: "UNMEASURED", found: 2 }),
      standing("looked for", { shelf: "UNMEASURED", sought: 1 }),
      standing("open", { shelf: "WAITING", now: 0.2 }),
      standing("likelier", { shelf: "WAITING", now: 0.4 }),
      standing("elsewhere", { shelf: "WAITING", now: 0.005, before: 0.005 }),
      standing("not that", { shelf: "UNLIKELY" }),
    ];
    expect(ids(inLines(all))).toEqual(["a", "b", "c"]);
    const said = ranked(all, inLines(all));
    expect(said.families.map((each) => each.head.conditionId)).toEqual(["a", "c"]);
    expect(ids(said.pictured)).toEqual(["fits", "fits little"]);
    expect(ids(said.open)).toEqual(["likelier"]);
    expect(ids(said.more.aside)).toEqual(["aside"]);
    expect(ids(said.more.notFound)).toEqual(["looked for"]);
    expect(ids(said.more.unlikely)).toEqual(["not that"]);
    expect(ids(said.more.open)).toEqual(["open", "elsewhere"]);
    expect(countOf(said.more)).toBe(5);
  });

  it("never leaves out what calls for imaging or referral, wherever in its family it stands", () => {
    const all = [
      ...["a", "b", "c", "d", "e", "f"].map((id) => standing(id)),
      standing("wide"),
      standing("narrow", { within: "wide", zone: "REFER" }),
    ];
    const said = ranked(all, inLines(all));
    expect(said.families.map((each) => each.head.conditionId)).toEqual(["a", "b", "c", "d", "e", "wide"]);
    expect(said.more.families.map((each) => each.head.conditionId)).toEqual(["f"]);
  });
});
