import { Fragment } from "react";
import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { ClusterLadder, clusterWords } from "../shared/drawings/ClusterLadder";
import { OddsRail } from "../shared/drawings/OddsRail";
import { inHundred, listed, ofThousand, rangeInHundred, sentence, tenths } from "../shared/format";
import { byFit, byPictureAlone, families, innerOf, type Family } from "../shared/standing";
import { NextTest } from "./NextTest";
import { useGliding } from "./useGliding";
import { useStableOrder } from "./useStableOrder";

interface RankingPanelProps {
  weighing: Schemas["WeighingJson"] | undefined;
  upToDate: boolean;
  /** Words in place of freshness where commands wait for a connection. */
  waiting: boolean;
  /** Whether testing has ended: nothing is proposed any more. */
  ended: boolean;
  current: string;
  /** The test that is proposed for the plan already. */
  proposed: string | undefined;
  /** Tests that stand in the order, as it is now. */
  ordered: ReadonlySet<string>;
  testName: (id: string) => string;
  onGo: (testId: string) => void;
}

const MOST_WEIGHED = 5;
const MOST_OTHERS = 3;
/** So many narrower conditions of one family are named. */
const MOST_INNER = 6;
const MOST_SETS = 2;
/** A chance below which a condition that nothing speaks about is not named here: it hurts elsewhere. */
const FAR = 0.01;
/** From so many weighed conditions on the rest is a line, so that nothing has to be scrolled at the bench. */
const FULL = 4;

/** Where each condition stands, the sets in count, and what is worth doing next. */
export function RankingPanel({
  weighing,
  upToDate,
  waiting,
  ended,
  current,
  ordered,
  proposed,
  testName,
  onGo,
}: RankingPanelProps) {
  const allWeighed = weighing?.standings.filter((standing) => standing.shelf === "WEIGHED") ?? [];
  const weighed = useStableOrder(allWeighed.filter((standing) => standing.zone !== "SET_ASIDE"));
  const aside = allWeighed.filter((standing) => !weighed.includes(standing));
  const list = useGliding<HTMLOListElement>(weighed.map((standing) => standing.conditionId).join());
  if (!weighing) {
    return (
      <aside aria-label="Where it stands" className="border-l border-line bg-sheet p-4 text-read text-soft">
        Weighing …
      </aside>
    );
  }
  const begunOnes = weighing.standings.filter((standing) => byPictureAlone(standing) && begun(standing.pattern));
  const unmeasured = byFit(begunOnes.filter((standing) => standing.pattern.present.length > 0));
  const against = begunOnes.filter((standing) => standing.pattern.present.length === 0 && standing.before >= FAR);
  const unlikely = weighing.standings.filter((standing) => standing.shelf === "UNLIKELY");
  const open = weighing.standings
    .filter((standing) => byPictureAlone(standing) && !begun(standing.pattern))
    .sort((a, b) => b.now - a.now);
  const near = open.filter((standing) => standing.before >= FAR);
  const heads = families(weighed);
  const lines = heads
    .slice(0, MOST_WEIGHED)
    .reduce((sum, family) => sum + Math.min(MOST_INNER, innerOf(family).length), 0);
  const full = 2 * heads.length + lines >= 2 * FULL - 1;
  const shownOpen = (near.length > 0 ? near : open).slice(
    0,
    full ? 0 : heads.length > 0 ? MOST_OTHERS : MOST_WEIGHED + MOST_OTHERS,
  );
  const more = open.length - shownOpen.length + Math.max(0, heads.length - MOST_WEIGHED);
  const first = weighed[0];
  const sets = weighing.clusters
    .filter((cluster) => cluster.positives.length + cluster.negatives.length > 1)
    .slice(0, full ? 1 : MOST_SETS);
  return (
    <aside
      aria-label="Where it stands"
      aria-busy={!upToDate}
      className="flex flex-col gap-1.5 border-t border-line bg-sheet px-4 py-2 lg:overflow-y-auto lg:border-t-0 lg:border-l"
    >
      <h2 className="flex items-baseline justify-between text-note font-semibold text-soft">
        Where it stands <span className="font-normal">{waiting ? "without the last entries" : "in 100, could be"}</span>
      </h2>
      <ol ref={list} className="flex flex-col gap-0.5">
        {heads.slice(0, MOST_WEIGHED).map((family) => (
          <FamilyRow key={family.head.conditionId} family={family} />
        ))}
      </ol>
      {first && (
        <p className="text-note">
          Of 1000 people who answered like this, about <strong>{ofThousand(first.now)}</strong> would have{" "}
          {sentence(first.name)}.
        </p>
      )}
      {unmeasured.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">By picture, not weighed</h3>
          <ul>
            {unmeasured.slice(0, full ? 1 : MOST_OTHERS).map((standing) => (
              <li key={standing.conditionId} className="flex items-center justify-between gap-2 text-note">
                <Link to={`weighing?condition=${standing.conditionId}`} className="hover:underline">
                  {standing.shortName}
                </Link>
                <span className="flex items-center gap-1.5">
                  <FitGlyph pattern={standing.pattern} />
                  {patternWords(standing.pattern)}
                  <span className="text-soft">from {inHundred(standing.before)}</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {weighing.contest && <ContestLines contest={weighing.contest} onGo={onGo} />}
      {shownOpen.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">
            {allWeighed.length > 0 || begunOnes.length > 0 ? "Nothing weighed yet" : "Before any test"}
          </h3>
          <ol>
            {shownOpen.map((standing) => (
              <li
                key={standing.conditionId}
                className="grid grid-cols-[1fr_5.5rem_1.8rem] items-center gap-2 text-note"
              >
                <span>
                  {standing.shortName}
                  {standing.unweighed.length > 0 && <span className="text-soft"> · noted</span>}
                </span>
                <OddsRail {...standing} width={88} />
                <strong className="text-right">{inHundred(standing.before)}</strong>
              </li>
            ))}
          </ol>
        </section>
      )}
      {aside.length > 0 && (
        <p className="text-note">
          <span className="font-semibold text-soft">Set aside:</span>{" "}
          {aside.map((standing, index) => (
            <Fragment key={standing.conditionId}>
              {index > 0 && ", "}
              <Link to={`weighing?condition=${standing.conditionId}`} className="underline">
                {standing.shortName}
              </Link>{" "}
              <strong>{inHundred(standing.now)}</strong>
            </Fragment>
          ))}
          .
        </p>
      )}
      {against.length > 0 && (
        <p className="text-note">
          <span className="font-semibold text-soft">Not found what would fit:</span>{" "}
          {listed(against.map((standing) => standing.shortName))}.
        </p>
      )}
      {unlikely.map((standing) => (
        <p key={standing.conditionId} className="text-note">
          <strong>{standing.shortName}</strong>: unlikely by definition, recheck. Not found:{" "}
          {standing.pattern.defining.map((each) => sentence(each.says)).join(", ")}.
        </p>
      ))}
      {more > 0 && (
        <Link to="weighing" className="flex min-h-8 items-center text-note underline">
          {more} more conditions
        </Link>
      )}
      <div className="mt-auto flex flex-col gap-1.5 border-t-2 border-ink pt-1.5">
        {sets.map((cluster) => (
          <p key={cluster.id} className="flex items-center justify-between gap-2 text-note leading-snug">
            <span>
              <strong>{cluster.name}</strong>: {clusterWords(cluster)}
            </span>
            <ClusterLadder cluster={cluster} />
          </p>
        ))}
        {!ended && (
          <NextTest
            weighing={weighing}
            current={current}
            ordered={ordered}
            proposed={proposed}
            testName={testName}
            onGo={onGo}
          />
        )}
      </div>
    </aside>
  );
}

function begun(pattern: Schemas["PatternJson"]): boolean {
  return pattern.present.length + pattern.missing.length + pattern.against.length > 0;
}

/** Found less looked for and not found: for the order of the list alone. */
function patternWords(pattern: Schemas["PatternJson"]): string {
  const against = pattern.against.length > 0 ? `, ${String(pattern.against.length)} against` : "";
  return `fits ${String(pattern.present.length)} of ${String(pattern.present.length + pattern.missing.length)}${against}`;
}

/** How a picture fits, finding by finding: found, looked for and not found, against, still to be looked for. */
function FitGlyph({ pattern }: { pattern: Schemas["PatternJson"] }) {
  const marks = [
    ...pattern.present.map(() => "present"),
    ...pattern.missing.map(() => "missing"),
    ...pattern.against.map(() => "against"),
    ...pattern.notExamined.map(() => "open"),
  ].slice(0, 8);
  return (
    <svg width={11 * marks.length} height={12} aria-hidden="true">
      {marks.map((mark, index) => {
        const x = 11 * index + 1;
        return mark === "present" ? (
          <rect key={x} x={x} y={2} width={8} height={8} fill="var(--color-ink)" />
        ) : mark === "open" ? (
          <rect key={x} x={x} y={2} width={8} height={8} fill="none" stroke="var(--color-edge)" strokeDasharray="2 2" />
        ) : (
          <path
            key={x}
            d={`M${String(x)} 2h8v8h-8z${mark === "missing" ? `m0 8l8 -8` : `m0 0l8 8m0 -8l-8 8`}`}
            fill="none"
            stroke="var(--color-ink)"
          />
        );
      })}
    </svg>
  );
}

/** The two that fit best, and what tells them apart. */
function ContestLines({ contest, onGo }: { contest: Schemas["ContestJson"]; onGo: (testId: string) => void }) {
  return (
    <section aria-label="Between the two" className="border-l-4 border-ink pl-2 text-note leading-snug">
      <p>
        <strong>
          {contest.one} or {sentence(contest.other)}?
        </strong>
        {contest.how !== "" && ` ${contest.how}.`}
      </p>
      {contest.separate.length > 0 && (
        <p className="flex flex-wrap gap-x-2">
          To do:{" "}
          {contest.separate.map((test) => (
            <button
              key={test.testId}
              type="button"
              className="min-h-6 underline hover:bg-tan"
              onClick={() => {
                onGo(test.testId);
              }}
            >
              {sentence(test.name)}
            </button>
          ))}
        </p>
      )}
      {contest.both.length > 0 && <p className="text-soft">In both: {listed(contest.both.map(sentence))}.</p>}
    </section>
  );
}

/** A condition, and below it what is narrower, a line each. */
function FamilyRow({ family }: { family: Family }) {
  const inner = innerOf(family);
  return (
    <>
      <WeighedRow standing={family.head} />
      {inner.length > 0 && (
        <li aria-label={`Within ${family.head.name}`}>
          <ol>
            {inner.slice(0, MOST_INNER).map(({ standing, depth }) => (
              <li key={standing.conditionId}>
                <Link
                  to={`weighing?condition=${standing.conditionId}`}
                  style={{ paddingLeft: `${String(0.75 * depth)}rem` }}
                  aria-label={`${standing.name}, ${inHundred(standing.now)} in 100, could be ${rangeInHundred(standing.lower, standing.upper)}; see its weights`}
                  className="grid min-h-6 grid-cols-[1fr_5.5rem_1.8rem] items-center gap-2 border-l-4 border-line text-note leading-tight hover:bg-tan"
                >
                  <span>
                    {standing.shortName}
                    {standing.zone === "REFER" && <strong> · image or refer</strong>}
                  </span>
                  <OddsRail {...standing} width={88} />
                  <strong className="text-right text-read">{inHundred(standing.now)}</strong>
                </Link>
              </li>
            ))}
          </ol>
        </li>
      )}
    </>
  );
}

function WeighedRow({ standing }: { standing: Schemas["StandingJson"] }) {
  const leads = standing.leads >= 0.05 ? `${tenths(standing.leads)} of 10` : "";
  return (
    <li data-glide={standing.conditionId}>
      <Link
        to={`weighing?condition=${standing.conditionId}`}
        className="block hover:bg-paper"
        aria-label={`${standing.name}, ${inHundred(standing.now)} in 100, could be ${rangeInHundred(standing.lower, standing.upper)}${leads && `, ranks first in ${leads} plausible readings of the evidence`}; see its weights`}
      >
        <div className="flex items-baseline justify-between gap-2 leading-tight">
          <span className="text-read font-semibold">{standing.shortName}</span>
          <span className="whitespace-nowrap">
            <strong className="mr-1 text-2xl">{inHundred(standing.now)}</strong>{" "}
            <span className="text-read">{rangeInHundred(standing.lower, standing.upper)}</span>
          </span>
        </div>
        <div className="grid grid-cols-[1fr_6.5rem] items-start gap-2">
          <OddsRail {...standing} width={196} />
          <span className="text-right text-note leading-tight text-soft">
            {standing.zone === "REFER" ? (
              <strong className="text-ink">image or refer</strong>
            ) : (
              leads && `first ${leads}`
            )}
          </span>
        </div>
      </Link>
    </li>
  );
}
