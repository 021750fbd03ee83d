import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { ClusterLadder, clusterWords } from "../shared/drawings/ClusterLadder";
import { OddsRail } from "../shared/drawings/OddsRail";
import { inHundred, ofThousand, rangeInHundred, sentence, tenths } from "../shared/format";
import { NextTest } from "./NextTest";
import { useGliding } from "./useGliding";
import { useStableOrder } from "./useStableOrder";

interface RankingPanelProps {
  weighing: Schemas["WeighingJson"] | undefined;
  upToDate: boolean;
  /** Words in place of freshness where commands wait for a connection. */
  waiting: boolean;
  current: string;
  testName: (id: string) => string;
  onGo: (testId: string) => void;
}

const MOST_WEIGHED = 5;
const MOST_OTHERS = 3;
const MOST_SETS = 2;
/** From so many weighed conditions on the rest is a line, so that nothing has to be scrolled at the bench. */
const FULL = 4;

/** Where each condition stands, the sets in count, and what is worth doing next. */
export function RankingPanel({ weighing, upToDate, waiting, current, testName, onGo }: RankingPanelProps) {
  const weighed = useStableOrder(weighing?.standings.filter((standing) => standing.shelf === "WEIGHED") ?? []);
  const list = useGliding<HTMLOListElement>(weighed.map((standing) => standing.conditionId).join());
  if (!weighing) {
    return <aside aria-label="Where it stands" className="border-l border-line bg-sheet p-4 text-read text-soft">Weighing …</aside>;
  }
  const unmeasured = weighing.standings.filter((standing) => standing.shelf === "UNMEASURED" && begun(standing.pattern));
  const unlikely = weighing.standings.filter((standing) => standing.shelf === "UNLIKELY");
  const open = weighing.standings.filter((standing) => standing.shelf === "WAITING" || (standing.shelf === "UNMEASURED" && !begun(standing.pattern))).sort((a, b) => b.now - a.now);
  const full = weighed.length >= FULL;
  const shownOpen = open.slice(0, full ? 0 : weighed.length > 0 ? MOST_OTHERS : MOST_WEIGHED + MOST_OTHERS);
  const more = open.length - shownOpen.length + Math.max(0, weighed.length - MOST_WEIGHED);
  const first = weighed[0];
  const sets = weighing.clusters.filter((cluster) => cluster.positives.length + cluster.negatives.length > 1).slice(0, full ? 1 : MOST_SETS);
  return (
    <aside aria-label="Where it stands" aria-busy={!upToDate} className="flex flex-col gap-1.5 border-t border-line bg-sheet px-4 py-2 lg:overflow-y-auto lg:border-t-0 lg:border-l">
      <h2 className="flex items-baseline justify-between text-note font-semibold text-soft">
        Where it stands <span className="font-normal">{waiting ? "without the last entries" : "in 100, could be"}</span>
      </h2>
      <ol ref={list} className="flex flex-col gap-0.5">
        {weighed.slice(0, MOST_WEIGHED).map((standing) => <WeighedRow key={standing.conditionId} standing={standing} />)}
      </ol>
      {first && (
        <p className="text-note">Of 1000 people who answered like this, about <strong>{ofThousand(first.now)}</strong> would have {sentence(first.name)}.</p>
      )}
      {unmeasured.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">Not measured, by pattern</h3>
          <ul>
            {unmeasured.slice(0, full ? 1 : MOST_OTHERS).map((standing) => (
              <li key={standing.conditionId} className="flex justify-between gap-2 text-note"><span>{standing.shortName}</span><span>{patternWords(standing.pattern)}</span></li>
            ))}
          </ul>
        </section>
      )}
      {shownOpen.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">{first ? "Nothing weighed yet" : "Before any test"}</h3>
          <ol>
            {shownOpen.map((standing) => (
              <li key={standing.conditionId} className="grid grid-cols-[1fr_5.5rem_1.8rem] items-center gap-2 text-note">
                <span>{standing.shortName}{standing.unweighed.length > 0 && <span className="text-soft"> · noted</span>}</span>
                <OddsRail {...standing} width={88} />
                <strong className="text-right">{inHundred(standing.before)}</strong>
              </li>
            ))}
          </ol>
        </section>
      )}
      {unlikely.map((standing) => (
        <p key={standing.conditionId} className="text-note"><strong>{standing.shortName}</strong>: unlikely by definition, recheck. Not found: {standing.pattern.defining.map((each) => sentence(each.says)).join(", ")}.</p>
      ))}
      {more > 0 && <Link to="weighing" className="flex min-h-8 items-center text-note underline">{more} more conditions</Link>}
      <div className="mt-auto flex flex-col gap-1.5 border-t-2 border-ink pt-1.5">
        {sets.map((cluster) => (
          <p key={cluster.id} className="flex items-center justify-between gap-2 text-note leading-snug">
            <span><strong>{cluster.name}</strong>: {clusterWords(cluster)}</span>
            <ClusterLadder cluster={cluster} />
          </p>
        ))}
        <NextTest weighing={weighing} current={current} testName={testName} onGo={onGo} />
      </div>
    </aside>
  );
}

function begun(pattern: Schemas["PatternJson"]): boolean {
  return pattern.present.length + pattern.missing.length + pattern.against.length > 0;
}

function patternWords(pattern: Schemas["PatternJson"]): string {
  const against = pattern.against.length > 0 ? `, ${String(pattern.against.length)} against` : "";
  return `fits ${String(pattern.present.length)} of ${String(pattern.present.length + pattern.missing.length)}${against}`;
}

function WeighedRow({ standing }: { standing: Schemas["StandingJson"] }) {
  const leads = standing.leads >= 0.05 ? `${tenths(standing.leads)} of 10` : "";
  return (
    <li data-glide={standing.conditionId}>
      <Link to={`weighing?condition=${standing.conditionId}`} className="block hover:bg-paper"
        aria-label={`${standing.name}, ${inHundred(standing.now)} in 100, could be ${rangeInHundred(standing.lower, standing.upper)}${leads && `, ranks first in ${leads} plausible readings of the evidence`}; see its weights`}>
        <div className="flex items-baseline justify-between gap-2 leading-tight">
          <span className="text-read font-semibold">{standing.shortName}</span>
          <span className="whitespace-nowrap">
            <strong className="mr-1 text-2xl">{inHundred(standing.now)}</strong>{" "}
            <span className="text-read">{rangeInHundred(standing.lower, standing.upper)}</span>
          </span>
        </div>
        <div className="grid grid-cols-[1fr_6.5rem] items-start gap-2">
          <OddsRail {...standing} width={196} />
          <span className="text-right text-note leading-tight text-soft">{standing.zone === "REFER" ? <strong className="text-ink">image or refer</strong> : leads && `first ${leads}`}</span>
        </div>
      </Link>
    </li>
  );
}
