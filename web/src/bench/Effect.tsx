import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";

type Standing = Schemas["StandingJson"];

/** What the test recorded last did to each condition that it speaks about: from, to, by what factor, or why nothing. */
export function Effect({ weighing, testId }: { weighing: Schemas["WeighingJson"]; testId: string }) {
  const lines = weighing.standings.map((standing) => effect(standing, testId, weighing.clusters.find((each) => each.conditionId === standing.conditionId))).filter((line) => line !== undefined);
  return (
    <ul aria-label="What it did" className="flex flex-wrap gap-x-4 text-note leading-snug">
      {lines.map((line) => (
        <li key={line.name}><strong>{line.name}</strong> {line.what}</li>
      ))}
    </ul>
  );
}

function effect(standing: Standing, testId: string, cluster: Schemas["ClusterJson"] | undefined): { name: string; what: string } | undefined {
  const name = standing.shortName;
  const about = (load: Schemas["LoadJson"]) => load.testIds.length === 1 && load.testIds[0] === testId;
  const moved = inHundred(standing.previous) === inHundred(standing.now) ? `stays ${inHundred(standing.now)}` : `${inHundred(standing.previous)} → ${inHundred(standing.now)}`;
  const counted = standing.loads.find(about);
  if (counted) {
    return { name, what: counted.estimate ? `${moved}, by the clinic's own estimate` : moved };
  }
  if (standing.held.some(about)) {
    const inSet = cluster ? [...cluster.positives, ...cluster.negatives].some((key) => key.split("/").includes(testId)) : false;
    return { name, what: `${moved}, ${inSet ? "counted in the set" : "not added beside it"}` };
  }
  const unweighed = standing.unweighed.find((finding) => finding.testId === testId);
  if (unweighed && unweighed.result !== "NOT_INTERPRETABLE" && standing.shelf !== "UNMEASURED") {
    return { name, what: "noted, not weighed" };
  }
  return undefined;
}
