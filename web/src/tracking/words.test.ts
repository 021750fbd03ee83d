import { describe, expect, it } from "vitest";
import type { Change } from "./useAgain";
import { measure, together, verdictWords } from "./words";

function change(verdict: Change["verdict"], because = ""): Change {
  return { label: "Force", unit: "N", before: 80, now: 120, least: 24, verdict, because };
}

describe("measures at two visits", () => {
  it("are written with their unit", () => {
    expect(measure(120, "°")).toBe("120°");
    expect(measure(80.04, "N")).toBe("80 N");
    expect(measure(null, "N")).toBe("–");
  });

  it("say why they cannot be compared", () => {
    expect(verdictWords(change("NOT_COMPARABLE", "not done yet"))).toBe("not done yet");
    expect(verdictWords(change("WITHIN_NOISE"))).toBe("within noise");
    expect(verdictWords(change("BETTER", "nothing came on within 60 s this time"))).toBe(
      "better: nothing came on within 60 s this time",
    );
  });

  it("come to one word, and never hide that something is worse", () => {
    expect(together([change("WITHIN_NOISE"), change("BETTER")])).toBe("better");
    expect(together([change("BETTER"), change("WORSE")])).toBe("better and worse");
    expect(together([change("WITHIN_NOISE"), change("NO_NOISE_KNOWN")])).toBe("within noise");
    expect(together([change("NOT_COMPARABLE", "not done yet")])).toBe("not done yet");
    expect(together([])).toBe("nothing measured");
  });
});
