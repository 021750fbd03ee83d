import { describe, expect, it } from "vitest";
import { draggedSince } from "./usePracticeCase";

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
