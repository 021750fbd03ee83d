import { describe, expect, it } from "vitest";
import { found } from "./findTest";

const tests = [
  { name: "Slow lowering", shortName: "Slow lowering", aliases: ["drop-arm test"] },
  { name: "Range of motion", shortName: "Range", aliases: ["ROM"] },
  { name: "Resisted scapular-plane abduction, thumb up", shortName: "Full can", aliases: ["full can test"] },
];
const names = (typed: string) => found(tests, typed).map((test) => test.shortName);

describe("finding another test", () => {
  it("goes by the beginnings of words, of names and of other names", () => {
    expect(names("lo")).toEqual(["Slow lowering"]);
    expect(names("drop arm")).toEqual(["Slow lowering"]);
    expect(names("thumb up")).toEqual(["Full can"]);
  });

  it("puts a test's own name before another's alias", () => {
    expect(found([{ name: "Crank", shortName: "A", aliases: ["range test"] }, { name: "Range", shortName: "B", aliases: [] }], "ra").map((test) => test.shortName)).toEqual(["B", "A"]);
  });

  it("waits for two letters and finds nothing in the middle of a word", () => {
    expect(names("r")).toEqual([]);
    expect(names("otion")).toEqual([]);
  });
});
