import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { showWords } from "./showWords";

type Standing = Schemas["StandingJson"];

function standing(parts: [string, number][], informed = true): Standing {
  return {
    name: "Subacromial pain",
    informed,
    before: 0.4,
    now: 0.72,
    lower: 0.5,
    upper: 0.86,
    loads: parts.map(([test, part]) => ({ testIds: test ? [test] : [], phrase: `${test || "age"} said so`, part })),
  } as unknown as Standing;
}

const names: Record<string, string> = { arc: "Painful arc", neer: "Raised with the blade held" };
const words = (of: Standing) => showWords(of, (id) => names[id] ?? id);

describe("three sentences for showing", () => {
  it("say where it began, where it stands and what spoke most for and against", () => {
    expect(
      words(
        standing([
          ["arc", 4],
          ["neer", -2],
          ["", 1],
        ]),
      ),
    ).toEqual([
      "Of 1000 people who come like this, about 400 have subacromial pain.",
      "Of 1000 who also answered like this, about 720 have it; by what is known of these tests it could be 500 to 860.",
      "Most for it speaks painful arc (arc said so); most against it raised with the blade held (neer said so).",
    ]);
  });

  it("leave out the side that nothing speaks for", () => {
    expect(words(standing([["", 3]])).at(-1)).toBe("Most for it speaks age said so.");
    expect(words(standing([["neer", -3]])).at(-1)).toBe("Most against it raised with the blade held (neer said so).");
    expect(words(standing([]))).toHaveLength(2);
  });

  it("say so where nothing was weighed", () => {
    expect(words(standing([], false)).at(-1)).toBe("Nothing that was found speaks about it yet.");
  });
});
