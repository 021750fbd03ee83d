import type { Schemas } from "../shared/api/client";
import { ClusterLadder, clusterWords } from "../shared/drawings/ClusterLadder";
import { People } from "../shared/drawings/People";
import { factor, inHundred, ofThousand } from "../shared/format";

const LENS_NAMES: Record<Schemas["LensJson"]["lens"], string> = {
  CLUSTER: "The set",
  STRONGEST_SINGLE: "Strongest single finding",
  CHAIN: "Chain, as if independent",
  NONE: "Nothing weighed",
};

/** What the sum means for people like this one, the set's level, and the same findings by other ways of adding up. */
export function SidePanel({ standing, clusters }: { standing: Schemas["StandingJson"]; clusters: Schemas["ClusterJson"][] }) {
  const have = ofThousand(standing.now);
  return (
    <aside aria-label="What it means" className="flex flex-col gap-5 border-t border-line bg-sheet p-5 lg:overflow-y-auto lg:border-t-0 lg:border-l">
      <section>
        <h2 className="text-note font-semibold text-soft">1000 people {standing.informed ? "who answered like this" : "who come like this"}</h2>
        <div className="my-2 max-w-96 break-inside-avoid"><People have={have} label={`${String(have)} of 1000 dots are full`} /></div>
        <p className="text-read">About <strong>{have}</strong> would have it (full dots), <strong>{1000 - have}</strong> would not.</p>
      </section>
      {clusters.filter((cluster) => cluster.conditionId === standing.conditionId).map((cluster) => (
        <section key={cluster.id}>
          <h2 className="text-note font-semibold text-soft">{cluster.name}</h2>
          <div className="my-1"><ClusterLadder cluster={cluster} /></div>
          <p className="text-read">{clusterWords(cluster)}.</p>
          <ul className="mt-1 text-note">
            {cluster.levels.map((level) => (
              <li key={level.name} className={level.name === cluster.level ? "font-semibold" : ""}>
                {level.name}: odds {factor(level.likelihoodRatio)}{level.published != null && ` (published ${factor(level.published)})`}
              </li>
            ))}
          </ul>
          {cluster.byInventors && <p className="mt-1 text-note text-soft">Known only from the study that derived it. No independent check is in the ledger.</p>}
        </section>
      ))}
      {standing.lenses.length > 0 && (
        <section>
          <h2 className="text-note font-semibold text-soft">The same findings, other ways of adding up</h2>
          <ul className="mt-1">
            {standing.lenses.map((lens) => (
              <li key={lens.lens} className={`flex items-baseline justify-between gap-3 border-b border-line py-1.5 text-read ${lens.lens === standing.lens ? "font-semibold" : ""}`}>
                <span>{LENS_NAMES[lens.lens]}{lens.lens === standing.lens && <span className="text-note font-normal text-soft"> · used here</span>}</span>
                <span>{inHundred(lens.chance)}</span>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-note text-soft">A chain treats every finding as new evidence. Tests of one tissue repeat each other, so a chain makes too sure.</p>
        </section>
      )}
    </aside>
  );
}
