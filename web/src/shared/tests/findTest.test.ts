import { describe, expect, it } from "vitest";
import { sharedName, TestFinder } from "./findTest";

const tests = [
  {
    id: "lower",
    name: "Slow lowering",
    shortName: "Slow lowering",
    usualName: "Drop arm",
    aliases: ["drop-arm test"],
    misspelt: ["droparm"],
    region: "shoulder",
  },
  { id: "range", name: "Range of motion", shortName: "Range", aliases: ["ROM"], misspelt: [], region: "shoulder" },
  {
    id: "can",
    name: "Resisted scapular-plane abduction, thumb up",
    shortName: "Full can",
    aliases: ["full can test"],
    region: "shoulder",
  },
  {
    id: "turn",
    name: "Flexed internal-rotation impingement",
    shortName: "Flexed int. rotation",
    usualName: "Hawkins-Kennedy",
    aliases: ["Hawkins sign", "provocation manoeuvre"],
    misspelt: ["Hawkings"],
    region: "shoulder",
  },
  { id: "wrist", name: "Wrist range", shortName: "Wrist range", aliases: [], region: "wrist" },
];
const finder = new TestFinder(tests, "shoulder");
const found = (typed: string) => finder.find(typed).map((test) => test.id);

describe("finding another test", () => {
  it("goes by the beginnings of words, of names and of other names", () => {
    expect(found("lo")).toEqual(["lower"]);
    expect(found("drop arm")).toEqual(["lower"]);
    expect(found("thumb up")).toEqual(["can"]);
    expect(found("hawkins kennedy")).toEqual(["turn"]);
  });

  it("forgives misspelling, other spelling and plurals", () => {
    expect(found("hawkings")[0]).toBe("turn");
    expect(found("kenedy")[0]).toBe("turn");
    expect(found("hawkins's")[0]).toBe("turn");
    expect(found("maneuver")[0]).toBe("turn");
    expect(found("full cans")[0]).toBe("can");
  });

  it("puts the region's own before those of another, and a test's own name before another's alias", () => {
    expect(found("range")).toEqual(["range", "wrist"]);
    expect(
      new TestFinder([
        { id: "a", name: "Crank", shortName: "A", aliases: ["range test"] },
        { id: "b", name: "Range", shortName: "B", aliases: [] },
      ])
        .find("ra")
        .map((test) => test.id),
    ).toEqual(["b", "a"]);
  });

  it("waits for two letters, and says that there is none", () => {
    expect(found("r")).toEqual([]);
    expect(found("zzzz")).toEqual([]);
  });
});

describe("a name that several tests go by", () => {
  const names = [
    {
      name: "Jobe test",
      meant: [
        { value: "can", label: "strength" },
        { value: "push", label: "relief" },
      ],
    },
    { name: "crank test", meant: [] },
  ];

  it("is asked about, with or without the word test", () => {
    expect(sharedName(names, "jobe")?.name).toBe("Jobe test");
    expect(sharedName(names, "Jobe test")?.name).toBe("Jobe test");
    expect(sharedName(names, "cran")?.name).toBe("crank test");
  });

  it("is not asked about by a beginning that could be anything", () => {
    expect(sharedName(names, "jo")).toBeUndefined();
    expect(sharedName(names, "job strain")).toBeUndefined();
  });
});
