import { describe, expect, it } from "vitest";
import { numbersIn } from "./OutcomeCalculators";

describe("numbers in a text", () => {
  it("are read with spaces, commas or semicolons between them", () => {
    expect(numbersIn("0 14, 28;42")).toEqual([0, 14, 28, 42]);
    expect(numbersIn("  40.5  ")).toEqual([40.5]);
  });

  it("are none where something else stands there", () => {
    expect(numbersIn("0 fourteen 28")).toBeUndefined();
    expect(numbersIn(" ")).toBeUndefined();
  });
});
