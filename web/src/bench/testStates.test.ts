import { describe, expect, it } from "vitest";
import { together } from "./testStates";

describe("the progress of a row of several tests", () => {
  it("is theirs where they agree", () => {
    expect(together(["LEFT_OUT", "LEFT_OUT"])).toBe("LEFT_OUT");
    expect(together(["OPEN", "OPEN"])).toBe("OPEN");
  });

  it("is over when each is over in some way, and begun otherwise", () => {
    expect(together(["READ", "LEFT_OUT"])).toBe("READ");
    expect(together(["READ", "OPEN"])).toBe("PARTLY");
    expect(together(["READ", "PARTLY"])).toBe("PARTLY");
  });

  it("is open without tests", () => {
    expect(together([])).toBe("OPEN");
  });
});
