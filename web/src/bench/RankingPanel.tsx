import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { ClusterLadder, clusterWords } from "../shared/drawings/ClusterLadder";
import { OddsRail } from "../shared/drawings/OddsRail";
import { inHundred, ofThousand, rangeInHundred, sentence } from "../shared/format";

interface RankingPanelProps {
  weighing: Schemas["WeighingJson"] | undefined;
  upToDate: boolean;
  /** Words in place of freshness where commands wait for a connection. */
  waiting: boolean;
  current: string;
  testName: (id: string) => string;
}

/** Where each condition stands, the set's count, and what the test at hand could do. */
export function RankingPanel({ weighing, upToDate, waiting, current, testName }: RankingPanelProps) {
  if (!weighing) {
    return <aside aria-label="Where it stands" className="border-l border-line bg-sheet p-4 text-read text-soft">Weighing …</aside>;
  }
  const informed = weighing.standings.filter((standing) => standing.informed);
  const open = weighing.standings.filter((standing) => !standing.informed);
  return (
    <aside aria-label="Where it stands" aria-busy={!upToDate} className="flex flex-col gap-1.5 border-t border-line bg-sheet px-4 py-2 lg:overflow-y-auto lg:border-t-0 lg:border-l">
      <h2 className="flex items-baseline justify-between text-note font-semibold text-soft">
        Where it stands <span className="font-normal">{waiting ? "without the last entries" : "in 100, could be"}</span>
      </h2>
      <ol className="flex flex-col gap-1">
        {informed.map((standing) => <InformedRow key={standing.conditionId} standing={standing} />)}
      </ol>
      {informed[0] && (
        <>
          <Legend />
          <p className="text-note">Of 1000 people who answered like this, about <strong>{ofThousand(informed[0].now)}</strong> would have {sentence(informed[0].name)}.</p>
        </>
      )}
      {open.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">{informed.length > 0 ? "Nothing weighed yet" : "Before any test"}</h3>
          <ol>
            {open.map((standing) => (
              <li key={standing.conditionId} className="grid grid-cols-[1fr_5.5rem_1.8rem] items-center gap-2 text-note">
                <span>{standing.shortName}{standing.unweighed.length > 0 && <span className="text-soft"> · noted</span>}</span>
                <OddsRail {...standing} width={88} />
                <strong className="text-right">{inHundred(standing.before)}</strong>
              </li>
            ))}
          </ol>
        </section>
      )}
      <div className="mt-auto flex flex-col gap-2 border-t-2 border-ink pt-2">
        {weighing.clusters.map((cluster) => (
          <section key={cluster.id}>
            <div className="flex items-center justify-between gap-2">
              <h3 className="text-note font-semibold">{cluster.name}</h3>
              <ClusterLadder cluster={cluster} />
            </div>
            <p className="text-base leading-snug">{clusterWords(cluster)}</p>
          </section>
        ))}
        <Outlook weighing={weighing} current={current} testName={testName} />
        {informed.some((standing) => standing.lens === "CHAIN" && standing.loads.length > 1) && (
          <p className="text-note text-soft">Other findings are chained as if independent.</p>
        )}
      </div>
    </aside>
  );
}

function InformedRow({ standing }: { standing: Schemas["StandingJson"] }) {
  return (
    <li>
      <Link to={`weighing?condition=${standing.conditionId}`} aria-label={`${standing.name}, ${inHundred(standing.now)} in 100, could be ${rangeInHundred(standing.lower, standing.upper)}; see its weights`} className="block hover:bg-paper">
      <div className="flex items-baseline justify-between gap-2 leading-tight">
        <span className="text-read font-semibold">{standing.shortName}</span>
        <span className="whitespace-nowrap">
          <strong className="mr-1 text-2xl">{inHundred(standing.now)}</strong>{" "}
          <span className="text-read">{rangeInHundred(standing.lower, standing.upper)}</span>
        </span>
      </div>
      <OddsRail {...standing} width={304} />
      </Link>
    </li>
  );
}

function Legend() {
  return (
    <p className="-mt-1 flex items-center gap-x-1 text-note text-soft">
      <svg width={14} height={13} viewBox="0 0 14 13" aria-hidden="true"><path d="M7 1l6 11H1z" fill="none" stroke="currentColor" strokeWidth={1.6} /></svg> before,
      <svg width={14} height={14} viewBox="0 0 14 14" aria-hidden="true"><circle cx={7} cy={7} r={6} fill="currentColor" /></svg> now,
      <svg width={26} height={12} viewBox="0 0 26 12" aria-hidden="true"><rect width={26} height={12} rx={6} fill="var(--color-line)" /></svg> what it could be
    </p>
  );
}

function Outlook({ weighing, current, testName }: { weighing: Schemas["WeighingJson"]; current: string; testName: (id: string) => string }) {
  const outlook = weighing.outlooks.find((each) => each.testId === current) ?? weighing.outlooks[0];
  if (!outlook) {
    return <p className="text-read font-semibold">All tests of this order are done.</p>;
  }
  const which = outlook.testId === current ? "This test could do" : testName(outlook.testId);
  const decider = deciding(outlook.changes);
  const shown = outlook.changes.slice(0, 2);
  const short = (id: string) => weighing.standings.find((each) => each.conditionId === id)?.shortName ?? id;
  return (
    <section>
      {outlook.changes.length === 0 ? (
        <p className="text-note"><strong>{which}</strong>: nothing, either answer would leave every chance where it is.</p>
      ) : (
        <table className="w-full text-right text-read leading-snug">
          <thead className="text-note text-soft">
            <tr>
              <th scope="col" className="text-left font-semibold text-ink">{which}</th>
              <th scope="col" className="px-2 font-normal">now</th>
              <th scope="col" className="font-normal">positive</th>
              <th scope="col" className="pl-2 font-normal">negative</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((change) => (
              <tr key={change.conditionId}>
                <th scope="row" className="text-left font-normal">{short(change.conditionId)}</th>
                <td className="px-2">{inHundred(change.now)}</td>
                <td className="font-semibold">{inHundred(change.ifPositive)}</td>
                <td className="pl-2 font-semibold">{inHundred(change.ifNegative)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {decider && <p className="text-note">{decider} decides the set, whose own figure then counts.</p>}
    </section>
  );
}

/** Which answer would decide a set; undefined where none would. */
function deciding(changes: Schemas["ChangeJson"][]): string | undefined {
  const positive = changes.some((change) => change.positiveDecides);
  const negative = changes.some((change) => change.negativeDecides);
  return positive && negative ? "Either answer" : positive ? "A positive" : negative ? "A negative" : undefined;
}
