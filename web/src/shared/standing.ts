import type { Schemas } from "./api/client";

/** Whether nothing weighed speaks about a condition, so that only its picture can. */
export function byPictureAlone(standing: Schemas["StandingJson"]): boolean {
  return standing.shelf === "UNMEASURED" || standing.shelf === "WAITING";
}

/** Where a condition is shown to stand, 0..1: where findings have left it, and where it began while none has said anything. */
export function standsAt(standing: Pick<Schemas["StandingJson"], "informed" | "now" | "before">): number {
  return standing.informed ? standing.now : standing.before;
}

/** Those whose picture fits best first; what fits alike keeps its order. */
export function byFit(standings: readonly Schemas["StandingJson"][]): Schemas["StandingJson"][] {
  return [...standings].sort((a, b) => fit(b.pattern) - fit(a.pattern));
}

function fit(pattern: Schemas["PatternJson"]): number {
  return pattern.present.length - pattern.missing.length - pattern.against.length;
}

/** A condition with the narrower ones that are part of it. */
export interface Family {
  head: Schemas["StandingJson"];
  inner: Family[];
}

/** The standings as families, in the order in which they come: each stands within the nearest wider one of the list. */
export function families(standings: readonly Schemas["StandingJson"][]): Family[] {
  const byId = new Map<string, Family>(
    standings.map((standing) => [standing.conditionId, { head: standing, inner: [] }]),
  );
  const heads: Family[] = [];
  for (const standing of standings) {
    const own = byId.get(standing.conditionId);
    const wider = standing.within == null ? undefined : byId.get(standing.within);
    if (own) {
      (wider?.inner ?? heads).push(own);
    }
  }
  return heads;
}

/** Every condition of a family but its widest, each after what it lies within, with how deep it lies. */
export function innerOf(family: Family, depth = 1): { standing: Schemas["StandingJson"]; depth: number }[] {
  return family.inner.flatMap((each) => [{ standing: each.head, depth }, ...innerOf(each, depth + 1)]);
}
