import { describe, expect, it } from "vitest";
import { caseText, EMPTY } from "./caseText";

describe("the file of a written case", () => {
  it("holds what was said and leaves out what was not", () => {
    const text = caseText(
      {
        ...EMPTY,
        title: " The baker ",
        age: "51",
        truth: ["acj"],
        story: { zone: ["shoulder"], "pain-now": ["4"], onset: [] },
        answers: {
          "sh-arc": {
            label: "Familiar pain",
            parts: [
              { key: "pain", choice: "familiar" },
              { key: "angle-worst", measure: 90, unit: "°" },
            ],
          },
        },
      },
      new Set(["pain-now"]),
    );
    expect(JSON.parse(text)).toEqual({
      "lexicor-practice": 1,
      title: "The baker",
      region: "shoulder",
      setting: "first-contact",
      side: "right",
      age: 51,
      sex: "woman",
      truth: ["acj"],
      story: { zone: ["shoulder"], "pain-now": 4 },
      answers: { "sh-arc": { pain: "familiar", "angle-worst": 90 } },
    });
  });

  it("keeps an age that is no number, for the server to name it", () => {
    expect(JSON.parse(caseText({ ...EMPTY, age: "old" }, new Set()))).toMatchObject({ age: "old" });
  });
});
