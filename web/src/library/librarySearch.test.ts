import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { LibrarySearch } from "./librarySearch";

function test(
  id: string,
  name: string,
  aliases: string[],
  structures: string[] = [],
  conditions: string[] = [],
): Schemas["TestLine"] {
  return {
    id,
    name,
    shortName: name,
    aliases,
    misspelt: [],
    region: "shoulder",
    stage: "Special tests",
    positions: ["Sitting"],
    structures,
    seconds: 10,
    provocation: 1,
    review: "DRAFTED",
    conditions,
    weighedFor: [],
  };
}

const library: Schemas["LibraryJson"] = {
  revision: "r",
  stages: ["Special tests"],
  tests: [
    test("flexed", "Flexed internal-rotation impingement", ["Hawkins-Kennedy test"], ["subacromial bursa"], ["sub"]),
    test("apprehension", "Anterior apprehension in abduction", ["crank test"], ["anterior capsule"]),
    test("labral", "Axial load and rotation at full elevation", ["crank test", "labral crank"], ["labrum"]),
    test("compression", "Active compression", ["O'Brien test"], ["superior labrum"]),
    test("can", "Empty can", ["Jobe test"], ["supraspinatus"], ["sub"]),
  ],
  conditions: [
    {
      id: "sub",
      name: "Subacromial pain",
      shortName: "Subacromial pain",
      region: "shoulder",
      scope: "",
      start: {},
      serious: null,
      tests: 2,
      weighed: 2,
    },
  ],
  clusters: [
    {
      id: "cl",
      name: "Subacromial set of three",
      conditionId: "sub",
      conditionName: "Subacromial pain",
      components: ["Flexed internal-rotation impingement"],
    },
  ],
  sharedNames: [
    {
      name: "crank test",
      meant: [
        { testId: "apprehension", testName: "Anterior apprehension in abduction", how: "a" },
        { testId: "labral", testName: "Axial load", how: "b" },
      ],
    },
  ],
};
const search = new LibrarySearch(library);

describe("search", () => {
  it.each([
    ["hawkins", "flexed"],
    ["hawkin kenedy", "flexed"],
    ["obrien", "compression"],
    ["o’brian", "compression"],
    ["appresension", "apprehension"],
    ["ca", "can"],
    ["supraspinatos", "can"],
  ])("%s finds %s first", (words, id) => {
    expect(search.find(words)[0]?.id).toBe(id);
  });

  it("says which other name was hit", () => {
    expect(search.find("hawkins")[0]?.by).toEqual(["Hawkins-Kennedy test"]);
    expect(search.find("flexed")[0]?.by).toEqual([]);
  });

  it("finds conditions and sets, and tests by the condition they speak about", () => {
    expect(search.find("subacromial").map((hit) => hit.id)).toEqual(
      expect.arrayContaining(["sub", "cl", "can", "flexed"]),
    );
  });

  it("asks every word to be met", () => {
    expect(search.find("hawkins labrum")).toEqual([]);
    expect(search.find("")).toEqual([]);
  });

  it("notices a name that two tests go by", () => {
    expect(search.sharedName("crank")?.meant).toHaveLength(2);
    expect(search.sharedName("Crank te")?.name).toBe("crank test");
    expect(search.sharedName("cr")).toBeUndefined();
    expect(search.sharedName("crank shoulder")).toBeUndefined();
    expect(search.sharedName("test")).toBeUndefined();
  });
});
