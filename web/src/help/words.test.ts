import { describe, expect, it } from "vitest";
import { QUICK_CARD, WORDS } from "./words";

describe("the words of the help", () => {
  it("come from A to Z, each once", () => {
    const words = WORDS.map((each) => each.word);
    expect(words).toEqual([...new Set(words)].sort((a, b) => a.localeCompare(b, "en-GB")));
  });

  it("are whole sentences, and at most three", () => {
    for (const { word, says } of [...WORDS, ...QUICK_CARD]) {
      expect(says, word).toMatch(/[.”]$/);
      expect(says.split(/[.;] /).length, word).toBeLessThanOrEqual(3);
    }
  });
});
