import { type Attempt, nothing, type Part, type Test, withChoice } from "../record";
import type { Schemas } from "../shared/api/client";

/** The parts of a test that a sheet asks for: those with a list of answers. */
export function askedOnSheet(test: Test): Test["parts"] {
  return test.parts.filter((part) => !part.unit && !part.onDemand && part.key !== "quality");
}

/** What "nothing" stands for in a part; undefined where it has no such answer. */
export function normalOf(test: Test, key: string): string | undefined {
  return test.nothing.find((part) => part.key === key)?.choice ?? undefined;
}

/** The answers of a part that are out of the ordinary. */
export function exceptions(test: Test, part: Test["parts"][number]): Schemas["OptionJson"][] {
  return part.options.filter((option) => option.value !== normalOf(test, part.key));
}

/** An attempt with an exception tapped, all its other parts being normal; tapped again, the exception goes. */
export function withException(
  test: Test,
  attempt: Attempt | undefined,
  side: "well" | "involved",
  key: string,
  value: string,
): Part[] {
  const parts = attempt?.parts ?? nothing(test, side);
  const next = withChoice(test, parts, key, value);
  const normal = normalOf(test, key);
  return next.some((each) => each.key === key) || normal === undefined ? next : [...next, { key, choice: normal }];
}
