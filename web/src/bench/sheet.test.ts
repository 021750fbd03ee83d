import { describe, expect, it } from "vitest";
import type { Attempt, Test } from "../record";
import { askedOnSheet, exceptions, withException } from "./sheet";
import { dotOf } from "./walk/dotOf";

const part = (key: string, ...values: string[]) => ({
  key,
  label: key,
  many: false,
  options: values.map((value) => ({ value, label: value })),
  windows: [],
  positions: [],
  repeats: 1,
  andBack: false,
  onDemand: false,
});
const landmark = {
  id: "lunate",
  parts: [
    part("tender", "none", "familiar", "other"),
    part("crepitus", "none", "present"),
    { ...part("force"), unit: "N" },
    part("quality", "guarded"),
  ],
  wellSideParts: ["tender"],
  nothing: [
    { key: "tender", choice: "none" },
    { key: "crepitus", choice: "none" },
  ],
} as unknown as Test;
const attempt = (...parts: { key: string; choice: string }[]) =>
  ({ id: "a", testId: "lunate", variant: "usual", side: "RIGHT", tryNumber: 1, supersedes: [], parts }) as Attempt;

describe("a sheet", () => {
  it("asks for answers, not for measures or how it went", () => {
    expect(askedOnSheet(landmark).map((each) => each.key)).toEqual(["tender", "crepitus"]);
  });

  it("offers only what is out of the ordinary", () => {
    expect(askedOnSheet(landmark).map((each) => exceptions(landmark, each).map((option) => option.value))).toEqual([
      ["familiar", "other"],
      ["present"],
    ]);
  });

  it("takes all else as normal when an exception is tapped, and back when it is tapped again", () => {
    const tapped = withException(landmark, undefined, "involved", "tender", "familiar");
    expect(tapped).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ key: "tender", choice: "familiar" }),
        expect.objectContaining({ key: "crepitus", choice: "none" }),
      ]),
    );
    const again = withException(
      landmark,
      attempt(...(tapped as { key: string; choice: string }[])),
      "involved",
      "tender",
      "familiar",
    );
    expect(again).toEqual(expect.arrayContaining([expect.objectContaining({ key: "tender", choice: "none" })]));
  });

  it("asks the other side only for what is compared", () => {
    expect(withException(landmark, undefined, "well", "tender", "other").map((each) => each.key)).toEqual(["tender"]);
  });
});

describe("the dot of a landmark", () => {
  it("tells open, quiet, another finding and the own pain apart", () => {
    expect(dotOf(landmark, undefined)).toBe("open");
    expect(dotOf(landmark, attempt({ key: "tender", choice: "none" }, { key: "crepitus", choice: "none" }))).toBe(
      "quiet",
    );
    expect(dotOf(landmark, attempt({ key: "tender", choice: "none" }, { key: "crepitus", choice: "present" }))).toBe(
      "found",
    );
    expect(dotOf(landmark, attempt({ key: "tender", choice: "familiar" }))).toBe("own");
  });
});
