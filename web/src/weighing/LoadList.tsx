import type { Schemas } from "../shared/api/client";
import { factor, inHundred } from "../shared/format";

interface LoadListProps {
  standing: Schemas["StandingJson"];
  testName: (id: string) => string;
  cluster: Schemas["ClusterJson"] | undefined;
}

/** Why findings are held back from the sum. */
function heldBecause(standing: Schemas["StandingJson"], cluster: Schemas["ClusterJson"] | undefined): string {
  if (standing.lens === "CLUSTER") {
    return "The set stands for these, not added again";
  }
  return cluster?.outOfReach ? "The set cannot be decided; these share ground with the strongest and are not added to it" : "Share ground with the strongest, not added to it; the set is not decided yet";
}

/** Every weight with its number on the beam, what it does to the odds, and where its figure comes from. */
export function LoadList({ standing, testName, cluster }: LoadListProps) {
  const title = (load: Schemas["LoadJson"]) => (load.testIds.length === 0 ? "Told" : load.testIds.length > 1 ? (cluster?.name ?? "Set") : testName(load.testIds[0] ?? ""));
  if (standing.loads.length === 0) {
    return <p className="text-read">Nothing has been weighed for this condition. It stands where it began: {inHundred(standing.before)} in 100, a working estimate.</p>;
  }
  return (
    <div>
      <ol className="border-t border-line">
        {standing.loads.map((load, index) => <Row key={title(load) + load.phrase} number={index + 1} title={title(load)} load={load} />)}
      </ol>
      {standing.held.length > 0 && (
        <>
          <h2 className="mt-4 text-note font-semibold text-soft">
            {heldBecause(standing, cluster)} (hatched)
          </h2>
          <ol className="border-t border-line">
            {standing.held.map((load, index) => <Row key={title(load) + load.phrase} number={standing.loads.length + index + 1} title={title(load)} load={load} />)}
          </ol>
        </>
      )}
    </div>
  );
}

function Row({ number, title, load }: { number: number; title: string; load: Schemas["LoadJson"] }) {
  const { people, source } = load;
  const answer = people.haveAndAnswer + people.haveNotAndAnswer;
  return (
    <li className="border-b border-line">
      <details>
        <summary className="grid min-h-12 cursor-pointer grid-cols-[2rem_1fr_auto_1.2rem] items-center gap-2 py-1.5 text-read leading-tight marker:content-['']">
          <span className="text-center font-bold">{number}</span>
          <span><strong>{title}</strong>: {load.phrase}{load.worthless && <span className="text-note text-soft"> · tells next to nothing</span>}{load.caution && <span className="text-note text-soft"> · {load.caution}</span>}</span>
          <span className="font-semibold whitespace-nowrap">odds {factor(load.likelihoodRatio)}</span>
          <span aria-hidden="true" className="text-soft">▾</span>
        </summary>
        <div className="ml-10 pb-3 text-note">
          <p>
            Of 1000 such people {people.have} have it: {people.haveAndAnswer} of them answer like this, and so do {people.haveNotAndAnswer} of the {1000 - people.have} others.
            So of {answer} who answer like this, {people.haveAndAnswer} have it.
          </p>
          <p className="mt-1 text-soft">
            {source.citation}. {source.population}; against {source.referenceStandard}.{" "}
            {source.with != null && source.without != null ? `${String(source.with)} with, ${String(source.without)} without the condition. ` : "Group sizes not published, taken as 20 and 20. "}
            {source.sensitivity != null && source.specificity != null && `Published sensitivity ${source.sensitivity.toFixed(2)}, specificity ${source.specificity.toFixed(2)}. `}
            {source.byInventors && "By those who proposed it: expect optimism. "}
            Record {source.record}, {source.reviewState}.
          </p>
        </div>
      </details>
    </li>
  );
}
