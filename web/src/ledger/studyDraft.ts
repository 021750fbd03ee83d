import type { Schemas } from "../shared/api/client";

type Draft = Schemas["Draft"];

/** How the figures of a study are entered. */
export type Entry = "counts" | "proportions" | "ratios";

/** A study as it is typed: numbers are text until they are sent. */
export interface StudyDraft {
  entry: Entry;
  test: string;
  clue: string;
  condition: string;
  criterion: string;
  positiveMeant: string;
  target: string;
  tp: string;
  fp: string;
  fn: string;
  tn: string;
  sensitivity: string;
  specificity: string;
  lrPositive: string;
  lrNegative: string;
  with: string;
  without: string;
  total: string;
  design: string;
  originator: string;
  referenceStandard: string;
  population: string;
  citation: string;
  series: Draft["series"];
  tieNote: string;
  note: string;
  used: string;
  unused: string;
}

/** An empty form, about a test and a condition where these are known. */
export function emptyDraft(test: string, condition: string): StudyDraft {
  return {
    entry: "counts",
    test,
    clue: "",
    condition,
    criterion: "",
    positiveMeant: "",
    target: "",
    tp: "",
    fp: "",
    fn: "",
    tn: "",
    sensitivity: "",
    specificity: "",
    lrPositive: "",
    lrNegative: "",
    with: "",
    without: "",
    total: "",
    design: "single study",
    originator: "no",
    referenceStandard: "",
    population: "",
    citation: "",
    series: "UNSTATED",
    tieNote: "",
    note: "",
    used: "yes",
    unused: "",
  };
}

/** What a record says, as it is typed. */
export function draftOf(said: Draft): StudyDraft {
  const text = (value: number | null | undefined) => (value == null ? "" : String(value));
  return {
    ...emptyDraft(said.test, said.condition),
    entry: said.sensitivity == null && said.specificity == null ? "ratios" : "proportions",
    clue: said.clue,
    criterion: said.criterion,
    positiveMeant: said.positiveMeant,
    target: said.target,
    sensitivity: text(said.sensitivity),
    specificity: text(said.specificity),
    lrPositive: text(said.lrPositive),
    lrNegative: text(said.lrNegative),
    with: text(said.with),
    without: text(said.without),
    total: text(said.total),
    design: said.design,
    originator: said.originator ? "yes" : "no",
    referenceStandard: said.referenceStandard,
    population: said.population,
    citation: said.citation,
    series: said.series,
    tieNote: said.tieNote,
    note: said.note,
    used: said.unused === "" ? "yes" : "no",
    unused: said.unused,
  };
}

const COUNTS = ["tp", "fp", "fn", "tn"] as const;
const NUMBERS: Record<Entry, readonly (keyof StudyDraft)[]> = {
  counts: [],
  proportions: ["sensitivity", "specificity", "lrPositive", "lrNegative", "with", "without", "total"],
  ratios: ["lrPositive", "lrNegative", "with", "without", "total"],
};
const WHOLE = new Set<keyof StudyDraft>(["with", "without", "total"]);

/** What cannot be sent as it is typed, by field; empty where everything can. */
export function unreadable(draft: StudyDraft): Record<string, string> {
  const faults: Record<string, string> = {};
  const choose = (field: keyof StudyDraft, says: string) => {
    if (draft[field].trim() === "") {
      faults[field] = says;
    }
  };
  if (draft.clue === "") {
    choose("test", "Choose the test.");
    choose("condition", "Choose the condition.");
    if (draft.used === "yes" && draft.condition !== "") {
      choose("criterion", "Choose the answer that was counted.");
    }
  }
  choose("positiveMeant", "Enter when an answer counted as positive.");
  choose("citation", "Enter where the study was published.");
  const check = (field: keyof StudyDraft, whole: boolean, needed: boolean) => {
    const typed = draft[field].trim();
    if (typed === "" ? needed : !(whole ? /^\d+$/ : /^\d*[.,]?\d+$/).test(typed)) {
      faults[field] = whole ? "Enter a whole number." : "Enter a number, such as 0.84.";
    }
  };
  if (draft.entry === "counts") {
    COUNTS.forEach((field) => {
      check(field, true, true);
    });
  }
  NUMBERS[draft.entry].forEach((field) => {
    check(field, WHOLE.has(field), false);
  });
  if (draft.used === "no") {
    choose("unused", "Say why it is kept and not used.");
  }
  return faults;
}

/** The draft as the server takes it. Call it only where nothing is {@link unreadable}. */
export function toSend(draft: StudyDraft): Draft {
  const number = (field: keyof StudyDraft) =>
    !NUMBERS[draft.entry].includes(field) || draft[field].trim() === ""
      ? null
      : Number(draft[field].trim().replace(",", "."));
  return {
    test: draft.test,
    clue: draft.clue,
    condition: draft.condition,
    criterion: draft.criterion,
    positiveMeant: draft.positiveMeant,
    target: draft.target,
    counts:
      draft.entry === "counts"
        ? { tp: Number(draft.tp), fp: Number(draft.fp), fn: Number(draft.fn), tn: Number(draft.tn) }
        : null,
    sensitivity: number("sensitivity"),
    specificity: number("specificity"),
    lrPositive: number("lrPositive"),
    lrNegative: number("lrNegative"),
    with: number("with"),
    without: number("without"),
    total: number("total"),
    design: draft.design,
    originator: draft.originator === "yes",
    referenceStandard: draft.referenceStandard,
    population: draft.population,
    citation: draft.citation,
    series: draft.series,
    tieNote: draft.tieNote,
    note: draft.note,
    unused: draft.used === "no" ? draft.unused : "",
  };
}

const KEPT = "lexicor-study-";

/** What was typed for a record before the page was reloaded, in this tab alone; undefined where there is nothing. */
export function keptDraft(record: string): StudyDraft | undefined {
  try {
    const kept = sessionStorage.getItem(KEPT + record);
    return kept === null ? undefined : { ...emptyDraft("", ""), ...(JSON.parse(kept) as StudyDraft) };
  } catch {
    return undefined;
  }
}

/** Keeps what is typed until it is sent or given up. */
export function keepDraft(record: string, draft: StudyDraft | undefined) {
  try {
    if (draft) {
      sessionStorage.setItem(KEPT + record, JSON.stringify(draft));
    } else {
      sessionStorage.removeItem(KEPT + record);
    }
  } catch {
    // without storage a reload loses what is typed, and nothing else
  }
}
