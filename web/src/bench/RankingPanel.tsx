import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { ClusterLadder, clusterWords } from "../shared/drawings/ClusterLadder";
import { OddsRail } from "../shared/drawings/OddsRail";
import { inHundred, rangeInHundred, sentence, tenths } from "../shared/format";
import { families, innerOf, type Family } from "../shared/standing";
import { Button } from "../shared/ui/Button";
import { NextTest } from "./NextTest";
import { OpenRow, PictureRow } from "./RankedRows";
import { RankingMore } from "./RankingMore";
import { countOf, inLines, ranked } from "./ranked";
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
  /** Whether the drawer of a small screen is out; a large one shows it always. */
  out: boolean;
  onIn: () => void;
}

/** Narrower conditions of one family that are named. */
const MOST_INNER = 6;

/** Where each condition stands, the set in count, and what is worth doing next: what a glance takes in, the rest on demand. */
export function RankingPanel({ weighing, out, ...rest }: RankingPanelProps) {
  const place = out
    ? "fixed inset-x-0 bottom-0 z-20 max-h-[85dvh] overflow-y-auto border-t-2 border-ink"
    : "hidden border-line";
  return (
    <aside
      aria-label="Where it stands"
      aria-busy={!rest.upToDate}
      className={`${place} flex-col gap-1.5 bg-sheet px-4 py-2 lg:static lg:z-auto lg:flex lg:max-h-none lg:overflow-y-auto lg:border-t-0 lg:border-l lg:border-line ${out ? "flex" : ""}`}
    >
      {weighing ? <Stand weighing={weighing} {...rest} /> : <p className="text-read text-soft">Weighing …</p>}
    </aside>
  );
}

function Stand({
  weighing,
  waiting,
  ended,
  current,
  ordered,
  proposed,
  testName,
  onGo,
  onIn,
}: Omit<RankingPanelProps, "weighing" | "out" | "upToDate"> & { weighing: Schemas["WeighingJson"] }) {
  const [all, setAll] = useState(false);
  const weighed = useStableOrder(inLines(weighing.standings));
  const list = useGliding<HTMLOListElement>(weighed.map((standing) => standing.conditionId).join());
  const said = ranked(weighing.standings, weighed);
  const behind = countOf(said.more);
  const set = weighing.clusters.find((cluster) => cluster.positives.length + cluster.negatives.length > 1);
  return (
    <>
      <div className="flex items-baseline justify-between gap-3 text-note text-soft">
        <h2 className="font-semibold">Where it stands</h2>
        <span className="ml-auto">{waiting ? "without the last entries" : "in 100, could be"}</span>
        <Button className="lg:hidden" onClick={onIn}>
          Close
        </Button>
      </div>
      <ol ref={list} className="flex flex-col gap-0.5">
        {said.families.map((family) => (
          <FamilyRow key={family.head.conditionId} family={family} />
        ))}
      </ol>
      {said.pictured.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">By picture, not weighed</h3>
          <ul>
            {said.pictured.map((standing) => (
              <PictureRow key={standing.conditionId} standing={standing} />
            ))}
          </ul>
        </section>
      )}
      {said.open.length > 0 && (
        <section>
          <h3 className="text-note font-semibold text-soft">
            {said.families.length + said.pictured.length > 0 ? "Not weighed yet" : "Before any test"}
          </h3>
          <ol>
            {said.open.map((standing) => (
              <OpenRow key={standing.conditionId} standing={standing} />
            ))}
          </ol>
        </section>
      )}
      {behind > 0 && (
        <section>
          <button
            type="button"
            aria-expanded={all}
            onClick={() => {
              setAll(!all);
            }}
            className="flex min-h-10 w-full items-center justify-between gap-2 text-left text-note font-semibold text-soft hover:bg-tan"
          >
            {all ? "Fewer" : `${String(behind)} more`}
            <span aria-hidden="true">{all ? "▴" : "▾"}</span>
          </button>
          {all && <RankingMore more={said.more} first={said.families[0]?.head} both={weighing.contest?.both ?? []} />}
        </section>
      )}
      <div className="mt-auto flex flex-col gap-1.5 border-t-2 border-ink pt-1.5">
        {weighing.contest && <ContestLines contest={weighing.contest} onGo={onGo} />}
        {set && (
          <p className="flex items-center justify-between gap-2 text-note leading-snug">
            <span>
              <strong>{set.name}</strong>: {clusterWords(set)}
            </span>
            <ClusterLadder cluster={set} />
          </p>
        )}
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
    </>
  );
}

/** On a small screen: who leads, in one line, to be tapped for the rest. */
export function RankingLine({ weighing, onOut }: { weighing: Schemas["WeighingJson"] | undefined; onOut: () => void }) {
  const [first, second] = families(inLines(weighing?.standings ?? [])).map((family) => family.head);
  return (
    <button
      type="button"
      aria-haspopup="true"
      onClick={onOut}
      className="mb-1 flex min-h-11 w-full items-center justify-between gap-3 border-t-2 border-ink bg-sheet px-2 text-left text-read leading-tight lg:hidden"
    >
      {first ? (
        <span>
          <strong>
            {first.shortName} {inHundred(first.now)}
          </strong>
          {second && (
            <span className="text-soft">
              {" "}
              · {second.shortName} {inHundred(second.now)}
            </span>
          )}
        </span>
      ) : (
        <span>Where it stands</span>
      )}
      <span aria-hidden="true">▴</span>
    </button>
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
    </section>
  );
}

/** A condition, and below it what is narrower: one line of words, which opens to a rail each. */
function FamilyRow({ family }: { family: Family }) {
  const [open, setOpen] = useState(false);
  const inner = innerOf(family).slice(0, MOST_INNER);
  return (
    <>
      <WeighedRow standing={family.head} />
      {inner.length > 0 && (
        <li aria-label={`Within ${family.head.name}`}>
          <button
            type="button"
            aria-expanded={open}
            onClick={() => {
              setOpen(!open);
            }}
            className="flex min-h-7 w-full items-baseline gap-1.5 border-l-4 border-line pl-2 text-left text-note leading-tight hover:bg-tan"
          >
            <span aria-hidden="true">{open ? "▾" : "▸"}</span>
            <span>
              {open
                ? "of which"
                : inner.map(({ standing }) => <Narrower key={standing.conditionId} standing={standing} />)}
            </span>
          </button>
          {open && (
            <ol>
              {inner.map(({ standing, depth }) => (
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
          )}
        </li>
      )}
    </>
  );
}

/** A narrower condition in words: "full tear 88". */
function Narrower({ standing }: { standing: Schemas["StandingJson"] }) {
  return (
    <span className="mr-2 inline-block">
      {sentence(standing.shortName)} <strong>{inHundred(standing.now)}</strong>
      {standing.zone === "REFER" && <strong>, image or refer</strong>}
    </span>
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
