import { describe, expect, it } from "vitest";
import { draggedSince, unwritten } from "./usePracticeCase";

describe("what was dragged while chances were on their way", () => {
  it("is kept, and what arrived is not", () => {
    expect(
      draggedSince({ acj: 0.4, slap: 0.2, frozen: null, other: null }, { acj: 0.3, slap: 0.2, other: 0.5 }),
    ).toEqual({
      acj: 0.4,
      other: null,
    });
  });
});

describe("what was written down while a step was on its way", () => {
  it("is kept where it changed since, and what arrived is not", () => {
    const none = { here: [{ key: "pain", choice: "none" }], well: [] };
    const familiar = { here: [{ key: "pain", choice: "familiar" }], well: [] };
    expect(unwritten({ hawkins: none, neer: familiar }, { hawkins: none, neer: none })).toEqual({ neer: familiar });
  });
});
