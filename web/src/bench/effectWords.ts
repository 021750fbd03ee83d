import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";

type Standing = Schemas["StandingJson"];

/** What a test did to a condition, in words; undefined where it says nothing about it. */
export function effect(
  standing: Standing,
  testId: string,
  cluster: Schemas["ClusterJson"] | undefined,
): { name: string; what: string } | undefined {
  const name = standing.shortName;
  const about = (load: Schemas["LoadJson"]) => load.testIds.length === 1 && load.testIds[0] === testId;
  const moved =
    inHundred(standing.previous) === inHundred(standing.now)
      ? `stays ${inHundred(standing.now)}`
      : `${inHundred(standing.previous)} → ${inHundred(standing.now)}`;
  const counted = standing.loads.find(about);
  if (counted) {
    return { name, what: counted.estimate ? `${moved}, by the clinic's own estimate` : moved };
  }
  if (standing.held.some(about)) {
    const inSet = cluster
      ? [...cluster.positives, ...cluster.negatives].some((key) => key.split("/").includes(testId))
      : false;
    return { name, what: `${moved}, ${inSet ? "counted in the set" : "not added beside it"}` };
  }
  const unweighed = standing.unweighed.find((finding) => finding.testId === testId);
  if (unweighed && unweighed.result !== "NOT_INTERPRETABLE" && standing.shelf !== "UNMEASURED") {
    return { name, what: "noted, not weighed" };
  }
  return undefined;
}
