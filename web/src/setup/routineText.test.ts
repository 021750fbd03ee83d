// @vitest-environment node
import { describe, expect, it } from "vitest";
import { readRoutine, routineId, routineText } from "./routineText";

describe("a routine as text", () => {
  it("is its name, then a test a line with seconds of its own", () => {
    const text = "Ours, short\nsh-look\nsh-arc 45";
    expect(readRoutine(text)).toEqual({
      name: "Ours, short",
      entries: [{ testId: "sh-look" }, { testId: "sh-arc", seconds: 45 }],
    });
    expect(routineText(readRoutine(text))).toBe(text);
  });

  it("lets a name be typed letter by letter, spaces and all", () => {
    expect(readRoutine(routineText({ name: "Ours ", entries: [{ testId: "sh-look" }] })).name).toBe("Ours ");
    expect(readRoutine(routineText({ name: "", entries: [{ testId: "sh-look" }] }))).toEqual({
      name: "",
      entries: [{ testId: "sh-look" }],
    });
  });

  it("gets an id out of its name that none has yet", () => {
    expect(routineId("Ours, short!", [])).toBe("ours-short");
    expect(routineId("Ours, short!", ["ours-short", "ours-short-2"])).toBe("ours-short-3");
    expect(routineId("…", [])).toBe("routine");
  });
});
