import { describe, expect, it } from "vitest";
import type { Test } from "../record";
import { answerKeys, QUALITY_KEYS, USUAL_KEYS } from "./benchKeys";

const part = (key: string, ...values: string[]): Test["parts"][number] => ({
  key,
  label: key,
  many: false,
  options: values.map((value) => ({ value, label: value })),
  byEye: [],
  windows: [],
  positions: [],
  repeats: 1,
  andBack: false,
  onDemand: false,
});
const measured = (key: string): Test["parts"][number] => ({ ...part(key), unit: "°" });
const test = (...parts: Test["parts"]): Test => ({
  id: "t",
  name: "T",
  shortName: "T",
  aliases: [],
  misspelt: [],
  region: "shoulder",
  stage: "special",
  position: "Sitting",
  seconds: 10,
  provocation: 1,
  review: "DRAFTED",
  card: { patient: "", you: "", movement: "", ask: "", watch: [], stop: "" },
  parts,
  wellSideParts: [],
  nothing: [],
  usual: [],
  follows: false,
  ways: [],
  stops: [],
  angles: [],
  equipment: [],
});

describe("the keys of the answers", () => {
  it("gives pain and strength the digits and places the home row", () => {
    const keys = answerKeys(
      test(
        part("pain", "none", "familiar", "other"),
        part("strength", "full", "limited", "weak"),
        part("site", "top", "deep"),
      ),
    );
    expect(keys.pain).toEqual(["4", "5", "6"]);
    expect(keys.strength).toEqual(["7", "8", "9"]);
    expect(keys.site?.[0]).toBe("a");
  });

  it("gives a long list a long row, and measures none", () => {
    const keys = answerKeys(
      test(
        part("change", "gone", "less", "same", "more"),
        measured("angle"),
        part("pain", "none", "familiar", "other"),
      ),
    );
    expect(keys.change).toEqual(["q", "w", "e", "r", "t"]);
    expect(keys.pain).toEqual(["4", "5", "6"]);
    expect(keys.angle).toBeUndefined();
  });

  it("gives sites and fingers of one card keys of their own", () => {
    const keys = answerKeys(
      test(
        part("pain", "none", "familiar", "other"),
        part("site", "top", "deep"),
        part("fingers", "thumb", "index", "middle"),
        part("tingling", "none", "present"),
      ),
    );
    const used = Object.values(keys).flat();
    expect(new Set(used).size).toBe(used.length);
    expect(keys.site?.[0]).toBe("a");
    expect(keys.fingers?.[0]).toBe("q");
  });

  it("gives no key two meanings", () => {
    const lists = ["one", "two", "three", "four"].map((key) => part(key, "a", "b", "c"));
    const used = [
      ...Object.values(answerKeys(test(...lists, part("site", "top")))).flat(),
      ...QUALITY_KEYS,
      ...USUAL_KEYS,
      "0",
      "1",
      "2",
      "3",
      "i",
      "j",
      "k",
      "l",
    ];
    expect(new Set(used).size).toBe(used.length);
  });
});
