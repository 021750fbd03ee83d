import type { Schemas } from "../shared/api/client";

/** A case as a teacher writes it. */
export interface CaseDraft {
  title: string;
  region: string;
  setting: "first-contact" | "specialist";
  side: "left" | "right";
  age: string;
  sex: "woman" | "man";
  occupation: string;
  opening: string;
  truth: string[];
  /** Chosen options by question. */
  story: Record<string, string[]>;
  /** Whole answers that are fixed, by test. */
  answers: Record<string, Schemas["UsualJson"]>;
}

export const EMPTY: CaseDraft = {
  title: "",
  region: "shoulder",
  setting: "first-contact",
  side: "right",
  age: "45",
  sex: "woman",
  occupation: "",
  opening: "",
  truth: [],
  story: {},
  answers: {},
};

/** The file of a case: JSON, which every reader of YAML reads; a field a line, so that a fault can be found by its line. */
export function caseText(draft: CaseDraft, scales: ReadonlySet<string>): string {
  const story: Record<string, string[] | number> = {};
  for (const [question, values] of Object.entries(draft.story)) {
    const [first] = values;
    if (first !== undefined) {
      story[question] = scales.has(question) ? Number(first) : values;
    }
  }
  const answers: Record<string, Record<string, string | number>> = {};
  for (const [test, answer] of Object.entries(draft.answers)) {
    answers[test] = Object.fromEntries(answer.parts.map((part) => [part.key, part.choice ?? part.measure ?? ""]));
  }
  return JSON.stringify(
    {
      "lexicor-practice": 1,
      ...(draft.title.trim() ? { title: draft.title.trim() } : {}),
      region: draft.region,
      setting: draft.setting,
      side: draft.side,
      age: Number(draft.age) || draft.age,
      sex: draft.sex,
      ...(draft.occupation.trim() ? { occupation: draft.occupation.trim() } : {}),
      ...(draft.opening.trim() ? { opening: draft.opening.trim() } : {}),
      truth: draft.truth,
      story,
      ...(Object.keys(answers).length > 0 ? { answers } : {}),
    },
    null,
    2,
  );
}
