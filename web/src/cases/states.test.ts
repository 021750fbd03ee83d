import { describe, expect, it } from "vitest";
import { byDay, handsOn, waitsFor, type VisitState } from "./states";

describe("what a case waits for", () => {
  it("is said in words", () => {
    expect(waitsFor("BEGUN", 0, 26)).toBe("Intake to finish");
    expect(waitsFor("SUSPENDED", 0, 26)).toBe("Red flag to look into");
    expect(waitsFor("TESTING", 3, 27)).toBe("24 tests to do");
    expect(waitsFor("TESTING", 26, 27)).toBe("1 test to do");
    expect(waitsFor("DONE", 27, 27)).toBe("To conclude and sign");
    expect(waitsFor("SIGNED", 27, 27)).toBe("");
  });

  it("shows no chance before hands were on the patient", () => {
    expect((["BEGUN", "SUSPENDED", "SCREENED", "TESTING", "DONE", "SIGNED"] as const).filter(handsOn)).toEqual([
      "TESTING",
      "DONE",
      "SIGNED",
    ]);
  });
});

describe("the list by day", () => {
  const now = new Date(2026, 10, 30, 15);
  const at = (id: string, day: number, state: VisitState = "TESTING") => ({
    id,
    lastAt: new Date(2026, 10, day, 9).toISOString(),
    state,
  });

  it("begins with today, and there with what is not signed", () => {
    const parts = byDay([at("signed", 30, "SIGNED"), at("open", 30), at("before", 29), at("older", 2, "SIGNED")], now);
    expect(parts.map((part) => [part.name, part.lines.map((line) => line.id)])).toEqual([
      ["Today", ["open", "signed"]],
      ["Earlier", ["before", "older"]],
    ]);
  });

  it("leaves out what is empty", () => {
    expect(byDay([at("older", 2)], now).map((part) => part.name)).toEqual(["Earlier"]);
    expect(byDay([], now)).toEqual([]);
  });
});
