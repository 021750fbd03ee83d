import type { Schemas } from "../shared/api/client";

type Use = Schemas["RecordJson"]["use"];
type Verdict = Schemas["ReviewDraft"]["verdict"];

/** What becomes of a record. */
export const USES: Record<Use, string> = { IN_USE: "In use", SHOWN: "Shown beside", UNUSED: "Kept, not used" };

/** What a comparison with the original came to. */
export const VERDICTS: [Verdict, string][] = [
  ["CHECKED", "As published"],
  ["DISPUTED", "Doubtful"],
  ["WRONG", "Wrong"],
];

/** What each verdict does. */
export const VERDICT_DOES: Record<Verdict, string> = {
  CHECKED: "It goes on weighing and counts as checked.",
  DISPUTED: "It goes on weighing, and everyone is told that it is doubted.",
  WRONG: "It weighs nothing until somebody corrects it.",
};

/** What can bias a study, with what to ask. */
export const DOMAINS: [string, string, string][] = [
  ["PATIENTS", "Patients", "Were they taken as they came, without leaving out the doubtful ones?"],
  ["TEST", "The test", "Was it read without knowing the answer, and as we do it?"],
  ["REFERENCE", "What it was compared with", "Does it find the condition, and was it read without knowing the test?"],
  ["FLOW", "Who got which", "Did everybody get the same comparison, soon enough, and are all in the table?"],
];

/** How likely a bias is. */
export const RISKS: [string, string][] = [
  ["LOW", "Low"],
  ["UNCLEAR", "Unclear"],
  ["HIGH", "High"],
];

/** What kind of patients were measured. */
export const SERIES: [Schemas["Draft"]["series"], string][] = [
  ["FIRST_CONTACT", "At first contact"],
  ["SPECIALIST", "In a specialist clinic"],
  ["SURGICAL", "Before surgery"],
  ["UNSTATED", "Not stated"],
];

/** Designs that the product knows; others are kept as they were written. */
export const DESIGNS: [string, string][] = [
  ["single study", "One study"],
  ["meta-analysis", "A review that pools studies"],
];

/** How far a record was compared with its original. */
export function reviewWords(state: string): string {
  return state === "unreviewed" ? "not yet compared with the original" : state;
}

/** How studies are put together. */
export const METHODS: [Schemas["LedgerPolicyJson"]["method"], string][] = [
  ["SYNTHESIS", "All studies together"],
  ["POOLED", "Each test’s studies alone"],
  ["BEST_STUDY", "The best study of each test"],
];

/** What each way of putting studies together does. */
export const METHOD_DOES: Record<Schemas["LedgerPolicyJson"]["method"], string> = {
  SYNTHESIS:
    "What an independent clinic would find: each test also learns from all others, and what inventors find too much is taken away. As the product ships.",
  POOLED:
    "The studies of a test are pooled without a look at other tests. Where few have looked, or the inventors alone, it promises too much and too surely.",
  BEST_STUDY:
    "The largest independent study speaks; the others are shown beside it. Simple to retrace; it promises too much where only inventors have published.",
};
