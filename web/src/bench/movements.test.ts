import { describe, expect, it } from "vitest";
import type { Attempt, Test } from "../record";
import { neednt, shown } from "./movements";

const part = (key: string, unit?: string) => ({ key, unit }) as Test["parts"][number];
const test = {
  parts: [part("flexion", "°"), part("abduction", "°"), part("turn-out", "°"), part("pain"), part("gap", "mm")],
};
const attempt = (...parts: Attempt["parts"]) => ({ parts }) as Attempt;

describe("movements of a table", () => {
  it("all matter where none are named", () => {
    expect([...neednt(test, [], [])]).toEqual([]);
  });

  it("are left aside where they neither matter nor are recorded", () => {
    expect([...neednt(test, ["turn-out"], [undefined, undefined])]).toEqual(["flexion", "abduction"]);
    expect([
      ...neednt(
        test,
        ["turn-out"],
        [attempt({ key: "flexion", measure: 90, unit: "°" }), attempt({ key: "abduction", choice: "full" })],
      ),
    ]).toEqual([]);
  });

  it("are not called full when the others are", () => {
    expect(
      shown(
        [
          { key: "flexion", choice: "full" },
          { key: "turn-out", choice: "full" },
          { key: "pain", choice: "none" },
        ],
        new Set(["flexion"]),
      ).map((each) => each.key),
    ).toEqual(["turn-out", "pain"]);
  });
});
