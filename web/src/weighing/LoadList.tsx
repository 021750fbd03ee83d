import type { Schemas } from "../shared/api/client";
import { factor, inHundred } from "../shared/format";

type Load = Schemas["LoadJson"];
type Standing = Schemas["StandingJson"];

interface LoadListProps {
  standing: Standing;
  testName: (id: string) => string;
  clusters: Schemas["ClusterJson"][];
}

/** The factor on the odds that a weight in decibans makes. */
function factorOf(decibans: number): string {
  return factor(10 ** (decibans / 10));
}

/** Every weight with its number on the beam, what it adds and what it would weigh alone, and where its figure comes from. */
export function LoadList({ standing, testName, clusters }: LoadListProps) {
  if (standing.loads.length === 0 && standing.byWay.length === 0) {
    return (
      <p className="text-read">
        Nothing has been weighed for this condition. It stands where it began: {inHundred(standing.before)} in 100, a
        working estimate.
      </p>
    );
  }
  const title = (load: Load) =>
    load.testIds.length === 0
      ? "Told"
      : load.testIds.length > 1
        ? (clusters.find((each) => each.level != null)?.name ?? "Set")
        : testName(load.testIds[0] ?? "");
  const numbered = standing.loads.map((load, index) => ({ load, number: index + 1 }));
  const shared = standing.groups.filter((group) => numbered.filter(({ load }) => load.group === group.id).length > 1);
  const single = numbered.filter(({ load }) => !shared.some((group) => group.id === load.group));
  const row = ({ load, number }: { load: Load; number: number }) => (
    <Row key={number} number={number} title={title(load)} load={load} />
  );
  return (
    <div>
      {shared.map((group) => (
        <section key={group.id}>
          <h2 className="mt-3 flex flex-wrap items-baseline justify-between gap-x-4 text-note font-semibold text-soft">
            <span>
              {group.name}: share ground, correlation {group.rho.toFixed(2)} ({ORIGIN[group.origin]})
            </span>
            <span className="text-ink">
              together odds {factorOf(group.decibans)}, apart they would be {factorOf(group.apart)}
            </span>
          </h2>
          <ol className="border-t border-line">{numbered.filter(({ load }) => load.group === group.id).map(row)}</ol>
        </section>
      ))}
      {single.length > 0 && (
        <section>
          {shared.length > 0 && <h2 className="mt-3 text-note font-semibold text-soft">By themselves</h2>}
          <ol className="border-t border-line">{single.map(row)}</ol>
        </section>
      )}
      {standing.byWay.length > 0 && (
        <section>
          <h2 className="mt-3 text-note font-semibold text-soft">By way of other conditions</h2>
          <ul className="border-t border-line">
            {standing.byWay.map((each) => (
              <li
                key={each.testIds.join() + each.phrase}
                className="flex items-baseline justify-between gap-3 border-b border-line py-1.5 pl-10 text-read leading-tight"
              >
                <span>
                  <strong>{each.testIds.length === 0 ? "Told" : testName(each.testIds[0] ?? "")}</strong>: {each.phrase}
                </span>
                <span className="font-semibold whitespace-nowrap">odds {factorOf(each.decibans)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {Math.abs(standing.link) >= 0.15 && (
        <p className="border-b border-line py-1.5 pl-10 text-note text-soft">
          Shared between findings, or explained by another: odds {factorOf(standing.link)} (dotted).
        </p>
      )}
      {standing.held.length > 0 && (
        <section>
          <h2 className="mt-4 text-note font-semibold text-soft">
            {standing.lens === "CLUSTER"
              ? "The set or the strongest finding stands for these, not added again (hatched)"
              : "Left out by this way of adding up (hatched)"}
          </h2>
          <ol className="border-t border-line">
            {standing.held.map((load, index) => row({ load, number: standing.loads.length + index + 1 }))}
          </ol>
        </section>
      )}
    </div>
  );
}

export const ORIGIN: Record<Schemas["SharedGroupJson"]["origin"], string> = {
  ASSUMED: "assumed",
  LEARNT: "learnt from published sets",
  CHOSEN: "set by hand",
};

function Row({ number, title, load }: { number: number; title: string; load: Load }) {
  const changed = Math.abs(load.part - load.decibans) > 0.1;
  return (
    <li className="border-b border-line">
      <details>
        <summary className="grid min-h-12 cursor-pointer grid-cols-[2rem_1fr_auto_1.2rem] items-center gap-2 py-1.5 text-read leading-tight marker:content-['']">
          <span className="text-center font-bold">{number}</span>
          <span>
            <strong>{title}</strong>: {load.phrase}
            {load.worthless && <span className="text-note text-soft"> · tells next to nothing</span>}
            {load.caution && <span className="text-note text-soft"> · {load.caution}</span>}
          </span>
          <span className="text-right whitespace-nowrap">
            <span className="font-semibold">odds {factorOf(load.part)}</span>
            {changed && <span className="block text-note text-soft">alone {factor(load.likelihoodRatio)}</span>}
          </span>
          <span aria-hidden="true" className="text-soft">
            ▾
          </span>
        </summary>
        <div className="ml-10 pb-3 text-note">
          <Meaning load={load} />
          {load.source ? (
            <Source source={load.source} />
          ) : (
            <p className="mt-1 text-soft">
              {load.borrowed
                ? "Nobody has measured it. It weighs like an average test, with an average test’s doubt; Setup can switch this off."
                : "An estimate that the clinic entered. No study is behind it; Setup can switch such estimates off."}
            </p>
          )}
        </div>
      </details>
    </li>
  );
}

/** What the answer alone means in people, and why a specific test is not yet a certain one. */
function Meaning({ load }: { load: Load }) {
  const { people, source } = load;
  if (!people) {
    return <p>Only a ratio is known: by itself it makes the odds {factor(load.likelihoodRatio)}.</p>;
  }
  const answer = people.haveAndAnswer + people.haveNotAndAnswer;
  const specific = load.positive && (source?.specificity ?? 0) >= 0.9 && people.haveNotAndAnswer > people.haveAndAnswer;
  return (
    <>
      <p>
        By itself: of 1000 such people {people.have} have it; {people.haveAndAnswer} of them answer like this, and so do{" "}
        {people.haveNotAndAnswer} of the {1000 - people.have} others. So of {answer} who answer like this,{" "}
        {people.haveAndAnswer} have it.
      </p>
      {specific && (
        <p className="mt-1 font-semibold">
          Few without it answer like this, but so many more are without it that most who do are.
        </p>
      )}
    </>
  );
}

function Source({ source }: { source: Schemas["SourceJson"] }) {
  return (
    <p className="mt-1 text-soft">
      {source.citation}. {source.population}; against {source.referenceStandard}.{" "}
      {source.with != null && source.without != null
        ? `${String(source.with)} with, ${String(source.without)} without the condition. `
        : "Group sizes not published, taken as 20 and 20. "}
      {source.sensitivity != null &&
        source.specificity != null &&
        `Published sensitivity ${source.sensitivity.toFixed(2)}, specificity ${source.specificity.toFixed(2)}. `}
      {source.byInventors && "By those who proposed it: expect optimism. "}
      Record {source.record}, {source.reviewState}.
    </p>
  );
}
