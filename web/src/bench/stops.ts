import type { Schemas } from "../shared/api/client";
import { type InForce, latestAttempt, type Side } from "../record";

/**
 * Tests that answers of this page have closed, with the reason. Before the server has spoken it is the page that keeps a
 * joint in peace: the triggers come with the cards.
 */
export function stoppedHere(region: Schemas["RegionJson"], state: InForce, side: Side): Map<string, string> {
  const stopped = new Map<string, string>();
  for (const test of region.tests) {
    const attempt = latestAttempt(state, test.id, side);
    for (const stop of test.stops) {
      if (attempt?.parts.some((part) => part.key === stop.part && stop.values.includes(part.choice ?? ""))) {
        stop.closes
          .filter((id) => !latestAttempt(state, id, side))
          .forEach((id) => stopped.set(id, `Closed by ${test.shortName.toLowerCase()}: ${stop.because}`));
      }
    }
  }
  return stopped;
}

/** The stop that an answer has just met; undefined where none was. */
export function stopMet(
  test: Schemas["TestJson"],
  attempt: Schemas["AttemptJson"] | undefined,
): Schemas["StopJson"] | undefined {
  return test.stops.find((stop) =>
    attempt?.parts.some((part) => part.key === stop.part && stop.values.includes(part.choice ?? "")),
  );
}
