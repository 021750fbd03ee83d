import type { Schemas } from "./api/client";

/** Whether nothing weighed speaks about a condition, so that only its picture can. */
export function byPictureAlone(standing: Schemas["StandingJson"]): boolean {
  return standing.shelf === "UNMEASURED" || standing.shelf === "WAITING";
}

/** Those whose picture fits best first; what fits alike keeps its order. */
export function byFit(standings: readonly Schemas["StandingJson"][]): Schemas["StandingJson"][] {
  return [...standings].sort((a, b) => fit(b.pattern) - fit(a.pattern));
}

function fit(pattern: Schemas["PatternJson"]): number {
  return pattern.present.length - pattern.missing.length - pattern.against.length;
}
