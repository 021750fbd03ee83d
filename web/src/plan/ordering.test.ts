// @vitest-environment node
import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { inOrderOf, moved, placeOf, placesOf, withTest } from "./ordering";

const known = [
  ["a", "Standing"],
  ["b", "Sitting"],
  ["c", "Sitting"],
  ["d", "Supine"],
].map(([id, position]) => ({ id, position })) as Schemas["TestJson"][];

describe("an order changed by hand", () => {
  it("moves a row to where it was dropped", () => {
    expect(moved(["a", "b", "c"], 0, 2)).toEqual(["b", "c", "a"]);
    expect(moved(["a", "b", "c"], 2, 0)).toEqual(["c", "a", "b"]);
  });

  it("says where a test is done and reads it back", () => {
    const tests = [...known, { id: "e", position: "Sitting at the table" }] as Schemas["TestJson"][];
    expect(placeOf("a", "Sitting at the table")).toBe("a--sitting-at-the-table");
    expect([...placesOf([placeOf("a", "Sitting at the table"), placeOf("b", "Hanging")], tests)]).toEqual([
      ["a", "Sitting at the table"],
    ]);
  });

  it("shows steps as they were put before they are weighed anew", () => {
    expect(
      inOrderOf([{ testId: "a" }, { testId: "b" }, { testId: "c" }], ["c", "a", "new"]).map((step) => step.testId),
    ).toEqual(["c", "a"]);
  });

  it("puts a test behind the last of its position, else at the end, and never twice", () => {
    expect(withTest(["a", "b", "d"], "c", known)).toEqual(["a", "b", "c", "d"]);
    expect(withTest(["a", "b"], "d", known)).toEqual(["a", "b", "d"]);
    expect(withTest(["a", "b"], "a", known)).toEqual(["a", "b"]);
  });
});
