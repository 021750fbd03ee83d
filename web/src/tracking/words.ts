import type { Change, Positive } from "./useAgain";

const VERDICTS: Record<Change["verdict"], string> = {
  BETTER: "better",
  WORSE: "worse",
  WITHIN_NOISE: "within noise",
  NO_NOISE_KNOWN: "noise not known",
  NOT_COMPARABLE: "not comparable",
};

/** What has become of a test that was positive at the visit before. */
export const POSITIVE_WORDS: Record<Positive["now"], string> = {
  OPEN: "was positive",
  STILL_POSITIVE: "still positive",
  NEGATIVE: "negative now",
  NOT_INTERPRETABLE: "not interpretable now",
};

/** What a change is, in a word or two, with what a missing number says; where both cannot be compared, why. */
export function verdictWords(change: Change): string {
  return change.verdict === "NOT_COMPARABLE"
    ? change.because
    : [VERDICTS[change.verdict], change.because].filter(Boolean).join(": ");
}

/** A measure as it is written: whole, or to a tenth. */
export function measure(value: number | null | undefined, unit: string): string {
  if (value == null) {
    return "–";
  }
  const number = String(Math.round(value * 10) / 10);
  return unit === "°" || unit === "%" ? number + unit : `${number} ${unit}`;
}

/** One word for all measures of a test; the first that says something. */
export function together(changes: readonly Change[]): string {
  const verdicts = changes.map((change) => change.verdict);
  const better = verdicts.includes("BETTER");
  const worse = verdicts.includes("WORSE");
  if (better && worse) {
    return "better and worse";
  }
  const [first] = changes;
  return better
    ? "better"
    : worse
      ? "worse"
      : verdicts.includes("WITHIN_NOISE")
        ? "within noise"
        : first
          ? verdictWords(first)
          : "nothing measured";
}
