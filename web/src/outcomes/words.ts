import type { Schemas } from "../shared/api/client";

type Result = Schemas["ReferenceResultJson"];

export const TRUTHS: [Result["truth"], string][] = [
  ["PRESENT", "It was there"],
  ["ABSENT", "It was not"],
  ["UNCLEAR", "Unclear"],
];

export const KINDS: [Result["kind"], string][] = [
  ["IMAGING", "Imaging"],
  ["NERVE_STUDY", "Nerve study"],
  ["SURGERY", "Surgery"],
  ["RESPONSE", "Response to treatment"],
  ["FOLLOW_UP", "Follow-up"],
];

export const READERS: [Result["reader"], string][] = [
  ["BLIND", "No"],
  ["KNEW", "Yes"],
  ["NOT_KNOWN", "Not known"],
];

const SAID = { PRESENT: "was there", ABSENT: "was not there", UNCLEAR: "unclear" };
const OF_KIND = Object.fromEntries(KINDS) as Record<Result["kind"], string>;

/** What a result says: "was there". */
export function saidWords(truth: Result["truth"]): string {
  return SAID[truth];
}

/** What a result comes from: "imaging, read by the radiologist, who did not know the examination". */
export function sourceWords(result: Pick<Result, "kind" | "readBy" | "reader">): string {
  const blind =
    result.reader === "BLIND" ? "did not know the examination" : result.reader === "KNEW" ? "knew the examination" : "";
  return [
    OF_KIND[result.kind].toLowerCase(),
    result.readBy && `read by ${result.readBy}`,
    blind && (result.readBy ? `who ${blind}` : `whoever read it ${blind}`),
  ]
    .filter(Boolean)
    .join(", ");
}

/** How well a mean score compares with saying the start every time; lower is better. */
export function scoreWords(score: number, ofStart: number): string {
  if (Math.abs(score - ofStart) < 0.005) {
    return "no better than saying the start every time";
  }
  return score < ofStart ? "better than saying the start every time" : "worse than saying the start every time";
}

/** What a slope with its limits says of the claims. */
export function slopeWords(slope: { lower: number; upper: number }): string {
  if (slope.upper < 1) {
    return "Too bold: chances lie too far from the middle.";
  }
  return slope.lower > 1
    ? "Too timid: chances could lie further from the middle."
    : "Neither too bold nor too timid, as far as these can tell.";
}
