import type { Test } from "../record";

/** A key of the bench: what it does, in a few words. */
export interface BenchKey {
  key: string;
  /** How the key is called; the key itself where absent. */
  name?: string;
  what: string;
  act: () => void;
}

/** Keys for the answers of the involved side: one row of keys for each part with a list of answers. */
const ROWS = [
  ["4", "5", "6"],
  ["7", "8", "9"],
  ["q", "w", "e", "r", "t"],
  ["y", "u", "o", "p"],
];
const SITES = [
  ["a", "s", "d", "f", "g", "h"],
  ["q", "w", "e", "r", "t"],
  ["y", "u", "o", "p"],
];

/** Parts that say where: the home row is theirs, and where there are two, the next has the row above. */
const SITED = ["site", "fingers"];

/** Keys for answers given whole, the commonest first. */
export const USUAL_KEYS = [".", ",", "/"];

/** What those keys are called. */
export const USUAL_NAMES = ["Full stop", "Comma", "Stroke"];

/** Keys for what was seen. */
export const QUALITY_KEYS = ["z", "x", "c", "v", "b", "n", "m"];

/** The keys of each part's answers. A list too long for its row has keys for its first answers only; what is shown on demand has none. */
export function answerKeys(test: Test): Record<string, string[]> {
  const keys: Record<string, string[]> = {};
  const shown = test.parts.filter((part) => !part.onDemand);
  const sites = shown
    .filter((part) => SITED.includes(part.key))
    .map((part, index) => [part.key, SITES[index] ?? []] as const);
  const taken = sites.map(([, row]) => row[0]);
  const rows = ROWS.filter((row) => !taken.includes(row[0]));
  for (const part of shown) {
    if (part.unit || part.key === "quality" || part.positions.length > 0) {
      continue;
    }
    if (SITED.includes(part.key)) {
      keys[part.key] = sites.find(([key]) => key === part.key)?.[1] ?? [];
    } else {
      const fits = rows.findIndex((row) => row.length >= part.options.length);
      const row = rows.splice(fits < 0 ? 0 : fits, 1)[0];
      if (row) {
        keys[part.key] = row;
      }
    }
  }
  return keys;
}
