import { type Attempt, choices, measure, type Part, type Test } from "../record";

/**
 * Keys of the ranges of a table that need not be measured here: neither among those that matter, nor recorded on either
 * side. None where no movements are named, which means that all of them matter.
 */
export function neednt(
  test: Pick<Test, "parts">,
  matter: readonly string[],
  attempts: readonly (Attempt | undefined)[],
): ReadonlySet<string> {
  if (matter.length === 0) {
    return new Set();
  }
  return new Set(
    test.parts
      .filter(
        (part) =>
          part.unit === "°" &&
          !matter.includes(part.key) &&
          attempts.every(
            (attempt) => measure(attempt, part.key) === undefined && choices(attempt, part.key).length === 0,
          ),
      )
      .map((part) => part.key),
  );
}

/** Of what is recorded at once, what is shown: nobody says of a movement that was not asked that it is full. */
export function shown(parts: readonly Part[], hidden: ReadonlySet<string>): Part[] {
  return parts.filter((part) => !hidden.has(part.key));
}
