import type { Schemas } from "../shared/api/client";
import { ClusterLadder, clusterWords } from "../shared/drawings/ClusterLadder";
import { People } from "../shared/drawings/People";
import { factor, inHundred, ofThousand, tenths } from "../shared/format";

type Standing = Schemas["StandingJson"];

const LENS_NAMES: Record<Schemas["LensJson"]["lens"], string> = {
  CHAIN: "Chained, shared evidence once",
  CLUSTER: "Validated set",
  STRONGEST_SINGLE: "Strongest finding alone",
  TALLY: "Count of positives",
};

const ZONE_WORDS: Record<Standing["zone"], string> = {
  SET_ASIDE: "set aside",
  KEEP: "keep in mind, test further if cheap",
  TEST: "test further",
  ACT: "working diagnosis",
  REFER: "arrange imaging or referral, per local pathway",
};

/** What the sum means for people like this one and for what to do, the sets, and the same findings by other ways of adding up. */
export function SidePanel({ standing, clusters }: { standing: Standing; clusters: Schemas["ClusterJson"][] }) {
  const have = ofThousand(standing.now);
  return (
    <aside
      aria-label="What it means"
      tabIndex={0}
      className="flex flex-col gap-5 border-t border-line bg-sheet p-5 lg:overflow-y-auto lg:border-t-0 lg:border-l"
    >
      <section>
        <h2 className="text-note font-semibold text-soft">
          1000 people {standing.informed ? "who answered like this" : "who come like this"}
        </h2>
        <div className="my-2 max-w-96 break-inside-avoid">
          <People have={have} label={`${String(have)} of 1000 dots are full`} />
        </div>
        <p className="text-read">
          About <strong>{have}</strong> would have it (full dots), <strong>{1000 - have}</strong> would not.
        </p>
        <p className="mt-1 text-read">
          By the thresholds of this clinic: <strong>{ZONE_WORDS[standing.zone]}</strong>.
        </p>
        {standing.leads >= 0.05 && (
          <p className="mt-1 text-note text-soft">
            Ranks first in {tenths(standing.leads)} of 10 plausible readings of the evidence. That is about the figures,
            not a chance of disease.
          </p>
        )}
      </section>
      {clusters.map((cluster) => (
        <SetLevels key={cluster.id} cluster={cluster} />
      ))}
      <Lenses standing={standing} />
    </aside>
  );
}

function Lenses({ standing }: { standing: Standing }) {
  if (standing.lenses.length === 0) {
    return null;
  }
  const chance = standing.lens === "TALLY" ? "CHAIN" : standing.lens;
  return (
    <section aria-labelledby="lenses">
      <h2 id="lenses" className="text-note font-semibold text-soft">
        The same findings, added up in other ways
      </h2>
      {standing.lensesDisagree && (
        <p className="mt-1 border-l-4 border-for pl-3 text-read font-semibold">They disagree about what to do.</p>
      )}
      <ul className="mt-1">
        {standing.lenses.map((lens) => (
          <li key={lens.lens} className="border-b border-line py-1.5">
            <p
              className={`flex items-baseline justify-between gap-3 text-read ${lens.lens === chance ? "font-semibold" : ""}`}
            >
              <span>
                {LENS_NAMES[lens.lens]}
                {lens.lens === chance && <span className="text-note font-normal text-soft"> · used here</span>}
              </span>
              <span>{inHundred(lens.chance)}</span>
            </p>
            <p className="text-note text-soft">
              {lens.by}
              {standing.lensesDisagree && (
                <>
                  : <strong className="text-ink">{ZONE_WORDS[lens.zone]}</strong>
                </>
              )}
            </p>
          </li>
        ))}
        <li className="border-b border-line py-1.5">
          <p
            className={`flex items-baseline justify-between gap-3 text-read ${standing.lens === "TALLY" ? "font-semibold" : ""}`}
          >
            <span>{LENS_NAMES.TALLY}</span>
            <span>{tallyWords(standing.tally)}</span>
          </p>
          <p className="text-note text-soft">
            {standing.tally.positives} of {standing.tally.counted} positive, {standing.tally.needed} of{" "}
            {standing.tally.battery} are called enough. A count gives no chance.
          </p>
        </li>
      </ul>
    </section>
  );
}

function tallyWords(tally: Schemas["TallyJson"]): string {
  return { MET: "met", NOT_MET: "not met", OPEN: "open", NO_BATTERY: "no tests" }[tally.verdict];
}

/** A published set: its count so far, and what each level weighs. */
function SetLevels({ cluster }: { cluster: Schemas["ClusterJson"] }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="text-note font-semibold text-soft">{cluster.name}</h2>
      <div className="my-1">
        <ClusterLadder cluster={cluster} />
      </div>
      <p className="text-read">{clusterWords(cluster)}.</p>
      {cluster.barred && <p className="text-note">Not weighed here: {cluster.barred}.</p>}
      <ul className="mt-1 text-note">
        {cluster.levels.map((level) => (
          <li key={level.name} className={level.name === cluster.level ? "font-semibold" : ""}>
            {level.name}: {level.likelihoodRatio != null ? `odds ${factor(level.likelihoodRatio)}` : level.how}
            {level.published != null &&
              level.likelihoodRatio != null &&
              factor(level.published) !== factor(level.likelihoodRatio) &&
              ` (published ${factor(level.published)})`}
          </li>
        ))}
      </ul>
      {cluster.byInventors && (
        <p className="mt-1 text-note text-soft">
          Known only from the study that derived it. No independent check is in the ledger.
        </p>
      )}
    </section>
  );
}
