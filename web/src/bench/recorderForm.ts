import type { Test } from "../record";

/** Plain measures from which a table of both sides is the better form. */
const MANY = 3;

/** Whether several plain measures are recorded as a table of both sides. */
export function isTable(test: Test): boolean {
  return (
    test.parts.filter(
      (part) => part.unit && !part.onDemand && part.positions.length === 0 && !part.key.startsWith("angle-"),
    ).length > MANY && !test.parts.some((part) => part.key === "force")
  );
}

/** Whether there is nothing to record but what the gauge shows. */
export function isGaugeOnly(test: Test): boolean {
  return test.parts.some((part) => part.key === "force") && test.nothing.length === 0 && test.usual.length === 0;
}

/** How a go can have gone, as it is seen. */
export function qualities(test: Test) {
  return (
    test.parts.find((part) => part.key === "quality")?.options.filter((option) => option.value !== "skipped") ?? []
  );
}
