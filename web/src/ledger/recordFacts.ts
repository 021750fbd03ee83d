import type { Schemas } from "../shared/api/client";
import { capital } from "../shared/format";
import { reviewWords } from "./words";

/**
 * Everything a record says, labelled.
 *
 * @param counted the answer that it speaks for, in words; empty where it speaks for none
 */
export function recordFacts(record: Schemas["RecordJson"], counted: string): [string, string][] {
  const number = (value: number | null | undefined) => (value == null ? "not published" : String(value));
  return [
    ["Speaks for", [capital(counted) || "no answer of ours", record.tieNote].filter(Boolean).join("; ")],
    ["Positive meant", record.criterion],
    ["Target", record.conditionText],
    ["Sensitivity, specificity", `${number(record.sensitivity)}, ${number(record.specificity)}`],
    [
      "LR+, LR−",
      record.lrPositive == null && record.lrNegative == null
        ? "not published"
        : `${number(record.lrPositive)}, ${number(record.lrNegative)}`,
    ],
    ["With, without, all", `${number(record.with)}, ${number(record.without)}, ${number(record.total)}`],
    ["Patients", record.population],
    ["Compared with", record.referenceStandard],
    ["Design", `${record.design}${record.byInventors ? "; by those who proposed the test or derived the rule" : ""}`],
    ["Source", record.citation],
    ["Transcription", record.transcription],
    ["Review", reviewWords(record.reviewState)],
    ["Note", record.note || "none"],
  ];
}
