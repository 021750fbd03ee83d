import { describe, expect, it } from "vitest";

const SOURCES = import.meta.glob<string>("./*/**/*.{ts,tsx}", { query: "?raw", import: "default", eager: true });

/** The features that each feature imports. */
function uses(): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>();
  for (const [file, text] of Object.entries(SOURCES)) {
    const feature = file.split("/")[1] ?? "";
    const others = found.get(feature) ?? new Set<string>();
    for (const [, other = ""] of text.matchAll(/from "(?:\.\.\/)+([a-z]+)["/]/g)) {
      others.add(other);
    }
    found.set(feature, others);
  }
  for (const [feature, others] of found) {
    found.set(feature, new Set([...others].filter((other) => found.has(other) && other !== feature)));
  }
  return found;
}

/** Takes away every feature that uses none of those left, until nothing more can go: what is left stands in a circle. */
function circle(graph: Map<string, Set<string>>): string[] {
  const left = new Map(graph);
  for (let gone = true; gone;) {
    gone = false;
    for (const [feature, others] of left) {
      if (![...others].some((other) => left.has(other))) {
        left.delete(feature);
        gone = true;
      }
    }
  }
  return [...left.keys()];
}

describe("the features of the page", () => {
  it("are found with what they use", () => {
    expect(uses().get("bench")).toContain("record");
  });

  it("use each other in one direction only", () => {
    expect(circle(uses())).toEqual([]);
  });

  it("would be told apart from a circle", () => {
    const graph = new Map([
      ["a", new Set(["b"])],
      ["b", new Set(["c"])],
      ["c", new Set(["b"])],
    ]);
    expect(circle(graph)).toEqual(["a", "b", "c"]);
  });
});
