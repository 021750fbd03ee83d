import { describe, expect, it } from "vitest";
import {
  attempt,
  LEFT_OUT,
  leftOut,
  nothing,
  record,
  undo,
  withChoice,
  withMeasure,
  withWhole,
  type Test,
} from "./commands";

const options = (...values: string[]) => values.map((value) => ({ value, label: value }));

const test: Test = {
  id: "sh-test",
  name: "Test",
  shortName: "Test",
  aliases: [],
  misspelt: [],
  region: "shoulder",
  stage: "special",
  usual: [],
  follows: false,
  ways: [],
  stops: [],
  angles: [],
  equipment: [],
  position: "Sitting",
  seconds: 10,
  provocation: 1,
  review: "DRAFTED",
  card: { patient: "", you: "", movement: "", ask: "", watch: [], stop: "" },
  parts: [
    {
      key: "pain",
      label: "Pain",
      many: false,
      options: options("none", "familiar", "other"),
      byEye: [],
      windows: [],
      positions: [],
      repeats: 1,
      andBack: false,
      onDemand: false,
    },
    {
      key: "strength",
      label: "Strength",
      many: false,
      options: options("full", "weak"),
      byEye: [],
      windows: [],
      positions: [],
      repeats: 1,
      andBack: false,
      onDemand: false,
    },
    {
      key: "site",
      label: "Where",
      many: false,
      options: options("top"),
      byEye: [],
      windows: [],
      positions: [],
      repeats: 1,
      andBack: false,
      onDemand: false,
    },
    {
      key: "angle",
      label: "Worst",
      many: false,
      options: [],
      unit: "°",
      byEye: [],
      windows: [],
      positions: [],
      repeats: 1,
      andBack: false,
      onDemand: false,
    },
    {
      key: "quality",
      label: "How",
      many: true,
      options: options("shrug", "guarded", "skipped"),
      byEye: [],
      windows: [],
      positions: [],
      repeats: 1,
      andBack: false,
      onDemand: false,
    },
  ],
  wellSideParts: ["pain", "strength"],
  nothing: [
    { key: "pain", choice: "none" },
    { key: "strength", choice: "full" },
  ],
};

describe("a response", () => {
  it("takes one answer a part, and the same answer again takes it away", () => {
    const once = withChoice(test, [], "pain", "familiar");
    expect(once).toEqual([{ key: "pain", choice: "familiar" }]);
    expect(withChoice(test, once, "pain", "other")).toEqual([{ key: "pain", choice: "other" }]);
    expect(withChoice(test, once, "pain", "familiar")).toEqual([]);
  });

  it("takes several answers where several may hold", () => {
    const both = withChoice(test, withChoice(test, [], "quality", "shrug"), "quality", "guarded");
    expect(both.map((part) => part.choice)).toEqual(["shrug", "guarded"]);
  });

  it("forgets where it hurt once it does not hurt", () => {
    const hurt = withMeasure(
      withChoice(test, withChoice(test, [], "pain", "familiar"), "site", "top"),
      "angle-worst",
      90,
      "°",
    );
    expect(withChoice(test, hurt, "pain", "none")).toEqual([{ key: "pain", choice: "none" }]);
  });

  it("keeps measures that mean something without pain", () => {
    expect(withChoice(test, withMeasure([], "external-rotation", 20, "°"), "pain", "none")).toEqual([
      { key: "external-rotation", measure: 20, unit: "°" },
      { key: "pain", choice: "none" },
    ]);
  });

  it("is no longer left out once anything is recorded", () => {
    expect(withChoice(test, [LEFT_OUT], "pain", "none")).toEqual([{ key: "pain", choice: "none" }]);
    expect(withMeasure([LEFT_OUT], "angle", 90, "°")).toEqual([{ key: "angle", measure: 90, unit: "°" }]);
  });

  it("keeps what was recorded in one position apart from another, and one go from the next", () => {
    const neutral = withMeasure([], "shift", 3, "mm", { position: "neutral" });
    const both = withMeasure(neutral, "shift", 5, "mm", { position: "pronation" });
    expect(both).toEqual([
      { key: "shift", measure: 3, unit: "mm", position: "neutral" },
      { key: "shift", measure: 5, unit: "mm", position: "pronation" },
    ]);
    expect(withMeasure(both, "shift", 4, "mm", { position: "neutral" })).toHaveLength(2);
    expect(withMeasure(withMeasure([], "force", 80, "N"), "force", 90, "N", { repeat: 2 })).toHaveLength(2);
  });

  it("keeps what was seen when a whole answer is given, and drops why it was left out", () => {
    const seen = withChoice(test, withChoice(test, [], "pain", "other"), "quality", "shrug");
    expect(withWhole(seen, [{ key: "pain", choice: "none" }])).toEqual([
      { key: "quality", choice: "shrug" },
      { key: "pain", choice: "none" },
    ]);
    const angle = { key: "angle", measure: 95, unit: "°" };
    expect(withWhole([...seen, angle], [{ key: "pain", choice: "none" }])).toContainEqual(angle);
    expect(withWhole([{ key: "angle-worst", measure: 95, unit: "°" }], [{ key: "pain", choice: "none" }])).toEqual([
      { key: "pain", choice: "none" },
    ]);
    expect(
      withWhole([{ key: "onset", measure: 12, unit: "s" }], [{ key: "ulnar-tingling", choice: "present" }]),
    ).toContainEqual({ key: "onset", measure: 12, unit: "s" });
    expect(withWhole([{ key: "onset", measure: 12, unit: "s" }], [{ key: "ulnar-tingling", choice: "none" }])).toEqual([
      { key: "ulnar-tingling", choice: "none" },
    ]);
    expect(withWhole([{ key: "angle", measure: 95, unit: "°" }], [{ key: "angle", measure: 90, unit: "°" }])).toEqual([
      { key: "angle", measure: 90, unit: "°" },
    ]);
    expect(
      withWhole(
        [
          { key: "pain", choice: "familiar" },
          { key: "site", choice: "top" },
        ],
        [{ key: "pain", choice: "none" }],
      ),
    ).toEqual([{ key: "pain", choice: "none" }]);
    expect(withWhole(leftOut("no time"), [{ key: "pain", choice: "none" }])).toEqual([{ key: "pain", choice: "none" }]);
  });

  it("knows what nothing stands for", () => {
    expect(nothing(test, "well")).toEqual([
      { key: "pain", choice: "none" },
      { key: "strength", choice: "full" },
    ]);
  });
});

describe("a command", () => {
  it("counts up, supersedes what it corrects, and is undone at its own test", () => {
    const first = attempt(test, "RIGHT", [], undefined);
    const second = attempt(test, "RIGHT", [], first);
    expect(second.supersedes).toEqual([first.id]);
    const one = record([first], "next-test");
    const two = record([second], "next-test");
    expect(two.order).toBe(one.order + 1);
    expect(undo(two)).toMatchObject({ kind: "UNDO", undoes: two.id, standAt: "sh-test" });
  });
});
