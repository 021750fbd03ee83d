import type { Schemas } from "../shared/api/client";
import { byFit, byPictureAlone, families, innerOf, type Family } from "../shared/standing";

type Standing = Schemas["StandingJson"];

/** Lines with a rail that the bench shows; what is behind them is asked for. */
const LINES = 5;
/** A chance below which a condition that nothing speaks about is not named: it hurts elsewhere. */
const FAR = 0.01;

/** What the bench says of the ranking, in the order in which it is said. */
export interface Ranked {
  /** Weighed families, the likeliest first; one that calls for imaging or referral is never left out. */
  families: Family[];
  /** Conditions that have no figures and whose picture has begun to fit, the best fit first. */
  pictured: Standing[];
  /** Conditions that nothing speaks about yet, the likeliest first. */
  open: Standing[];
  more: RankedMore;
}

/** What stands behind the lines. */
export interface RankedMore {
  families: Family[];
  pictured: Standing[];
  /** Weighed, and below where a condition is set aside. */
  aside: Standing[];
  /** Looked for by their picture, of which nothing was found. */
  notFound: Standing[];
  /** What would define them was not found. */
  unlikely: Standing[];
  open: Standing[];
}

/**
 * Sorts the standings into lines and what stands behind them.
 *
 * @param weighed the weighed ones that are not set aside, in the order in which they are shown
 */
export function ranked(standings: readonly Standing[], weighed: readonly Standing[]): Ranked {
  const heads = families(weighed);
  const shown = heads.filter((family, index) => index < LINES || urgent(family));
  const begunOnes = standings.filter((standing) => byPictureAlone(standing) && begun(standing.pattern));
  const fits = byFit(begunOnes.filter((standing) => standing.pattern.present.length > 0));
  const pictured = fits.slice(0, Math.max(0, LINES - shown.length));
  const waiting = standings
    .filter((standing) => byPictureAlone(standing) && !begun(standing.pattern))
    .sort((a, b) => b.now - a.now);
  const near = waiting.filter((standing) => standing.before >= FAR);
  const open = (near.length > 0 ? near : waiting).slice(0, Math.max(0, LINES - shown.length - pictured.length));
  return {
    families: shown,
    pictured,
    open,
    more: {
      families: heads.filter((family) => !shown.includes(family)),
      pictured: fits.slice(pictured.length),
      aside: standings.filter((standing) => standing.shelf === "WEIGHED" && !weighed.includes(standing)),
      notFound: begunOnes.filter((standing) => standing.pattern.present.length === 0 && standing.before >= FAR),
      unlikely: standings.filter((standing) => standing.shelf === "UNLIKELY"),
      open: waiting.filter((standing) => !open.includes(standing)),
    },
  };
}

/** The weighed conditions that are shown as lines: those that are not set aside, as they come. */
export function inLines(standings: readonly Standing[]): Standing[] {
  return standings.filter((standing) => standing.shelf === "WEIGHED" && standing.zone !== "SET_ASIDE");
}

/** How many conditions stand behind the lines. */
export function countOf(more: RankedMore): number {
  return Object.values<readonly unknown[]>({ ...more }).reduce((sum, each) => sum + each.length, 0);
}

function urgent(family: Family): boolean {
  return family.head.zone === "REFER" || innerOf(family).some(({ standing }) => standing.zone === "REFER");
}

function begun(pattern: Schemas["PatternJson"]): boolean {
  return pattern.present.length + pattern.missing.length + pattern.against.length > 0;
}
