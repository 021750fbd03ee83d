import { describe, expect, it } from "vitest";
import { distance, minutes, missedWords, moveWords, reactionWords, stopWords, type Review } from "./words";

describe("a move", () => {
  it.each([
    [3, 3, "moved about right"],
    [4, 3, "moved about right"],
    [9, 3, "moved too far, 3.0 times as far as the answer goes"],
    [1, 4, "moved too little, 25 in 100 of the way"],
    [-3, 3, "moved the wrong way"],
    [0.1, 3, "did not move"],
    [0.2, 0.1, "hardly moved, rightly"],
    [5, 0.1, "moved too far: the answer says next to nothing of it"],
    [-6, -2, "moved too far, 3.0 times as far as the answer goes"],
  ])("of %d beside %d is %s", (own, weighed, words) => {
    expect(moveWords(own, weighed)).toBe(words);
  });
});

describe("reaction", () => {
  it("is told from its limits", () => {
    expect(reactionWords({ lower: 1.2, upper: 2 })).toContain("too far");
    expect(reactionWords({ lower: 0.2, upper: 0.8 })).toContain("too little");
    expect(reactionWords({ lower: 0.8, upper: 1.4 })).toContain("about as far");
    expect(reactionWords(null)).toBe("");
  });
});

describe("what was missed", () => {
  it("names the tests", () => {
    expect(missedWords({ kind: "WELL_SIDE", tests: ["Painful arc", "Empty can"] })).toBe(
      "Without the well side first: Painful arc and empty can.",
    );
    expect(missedWords({ kind: "FLAGS_NOT_ASKED", tests: [] })).toContain("red flags");
  });
});

describe("stopping", () => {
  const review = (couldStop: number | null, done: number) =>
    ({ couldStop, turns: Array.from({ length: done }) }) as unknown as Review;
  it("is judged by when nothing was worth doing", () => {
    expect(stopWords(review(null, 3))).toBe("");
    expect(stopWords(review(2, 5))).toBe("After 2 tests nothing more was worth doing; you did 5.");
    expect(stopWords(review(5, 5))).toContain("stopped when");
    expect(stopWords(review(0, 5))).toContain("story alone");
  });
});

describe("numbers", () => {
  it("are short", () => {
    expect(distance(0.25)).toBe("25");
    expect(distance(0.034)).toBe("3.4");
    expect(minutes(0.4)).toBe("under 1 min");
    expect(minutes(7.6)).toBe("8 min");
  });
});
