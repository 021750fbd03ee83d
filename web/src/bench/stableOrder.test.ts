import { describe, expect, it } from "vitest";
import { stableOrder } from "./stableOrder";

const at = (conditionId: string, now: number) => ({ conditionId, now });
const ids = (standings: { conditionId: string }[]) => standings.map((each) => each.conditionId);

describe("the order of the ranking", () => {
  it("follows the shown chance", () => {
    expect(ids(stableOrder([at("a", 0.2), at("b", 0.6), at("c", 0.4)], []))).toEqual(["b", "c", "a"]);
  });

  it("does not swap two that show the same number", () => {
    expect(ids(stableOrder([at("a", 0.402), at("b", 0.404)], ["a", "b"]))).toEqual(["a", "b"]);
    expect(ids(stableOrder([at("a", 0.402), at("b", 0.404)], ["b", "a"]))).toEqual(["b", "a"]);
  });

  it("puts what is new behind what shows the same", () => {
    expect(ids(stableOrder([at("new", 0.301), at("old", 0.299)], ["old"]))).toEqual(["old", "new"]);
  });
});
