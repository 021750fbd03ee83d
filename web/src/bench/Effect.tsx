import type { Schemas } from "../shared/api/client";
import { effect } from "./effectWords";

/** What the test recorded last did to each condition that it speaks about: from, to, by what factor, or why nothing. */
export function Effect({ weighing, testId }: { weighing: Schemas["WeighingJson"]; testId: string }) {
  const lines = weighing.standings
    .map((standing) =>
      effect(
        standing,
        testId,
        weighing.clusters.find((each) => each.conditionId === standing.conditionId),
      ),
    )
    .filter((line) => line !== undefined);
  return (
    <ul aria-label="What it did" className="flex flex-wrap gap-x-4 text-note leading-snug">
      {lines.map((line) => (
        <li key={line.name}>
          <strong>{line.name}</strong> {line.what}
        </li>
      ))}
    </ul>
  );
}
