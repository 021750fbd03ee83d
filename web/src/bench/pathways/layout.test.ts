import { describe, expect, it } from "vitest";
import type { Schemas } from "../../shared/api/client";
import { gone, mapOf, way } from "./layout";

const step = (id: string, ...ways: string[]): Schemas["PathwayStepJson"] => ({
  id,
  kind: ways.length > 0 ? "EXAMINE" : "END",
  label: id,
  because: "",
  answers: [],
  ways,
});

describe("the map of a pathway", () => {
  const placed = mapOf([
    step("range", "back", "palm"),
    step("back", "end-a", "spot"),
    step("palm", "spot"),
    step("spot", "end-a", "end-b"),
    step("end-a"),
    step("end-b"),
  ]);
  const at = (id: string) => placed.find((each) => each.step.id === id);

  it("puts a step below all that lead to it", () => {
    expect(placed.map((each) => [each.step.id, each.layer])).toEqual([
      ["range", 0],
      ["back", 1],
      ["palm", 1],
      ["spot", 2],
      ["end-a", 3],
      ["end-b", 3],
    ]);
  });

  it("spreads the steps of a layer, one alone in the middle", () => {
    expect(at("range")?.place).toBe(0.5);
    expect([at("back")?.place, at("palm")?.place]).toEqual([0, 1]);
    expect(at("end-a")?.of).toBe(2);
  });

  it("has nothing to place without steps", () => {
    expect(mapOf([])).toEqual([]);
  });

  it("knows the ways that were gone", () => {
    expect([...gone([{ step: "range" }, { step: "palm" }], "spot")]).toEqual([
      way("range", "palm"),
      way("palm", "spot"),
    ]);
    expect(gone([], "range").size).toBe(0);
  });
});
