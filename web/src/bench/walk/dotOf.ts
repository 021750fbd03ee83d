import { type Attempt, choices, type Test } from "../../record";
import { askedOnSheet, normalOf } from "../sheet";

/** How a landmark stands: not felt yet, quiet, the patient's own pain, or another finding. */
export type DotLook = "open" | "quiet" | "own" | "found" | "closed";

/** What was felt at a landmark, as its dot shows it. */
export function dotOf(test: Test, attempt: Attempt | undefined): DotLook {
  if (!attempt) {
    return "open";
  }
  const felt = askedOnSheet(test).flatMap((part) =>
    choices(attempt, part.key).filter((value) => value !== normalOf(test, part.key)),
  );
  return felt.includes("familiar") ? "own" : felt.length > 0 ? "found" : "quiet";
}
