import { useSearchParams } from "react-router";
import { useLive } from "../examination/ExaminationFrame";
import { inHundred, rangeInHundred, sentence, settingWords } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Waiting } from "../shared/ui/Message";
import { Beam } from "./Beam";
import { LoadList } from "./LoadList";
import { SidePanel } from "./SidePanel";

/** What was found, as weights on a beam, one condition at a time. */
export function WeighingView() {
  const live = useLive();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get("condition");
  const weighing = live.weighing;
  if (!weighing) {
    return <Waiting page what="the weighing" />;
  }
  const standing = weighing.standings.find((each) => each.conditionId === chosen) ?? weighing.standings[0];
  if (!standing) {
    return <Waiting page what="the weighing" />;
  }
  const names = new Map(live.region.tests.map((test) => [test.id, test.name]));
  const testName = (id: string) => names.get(id) ?? id;
  const cluster = weighing.clusters.find((each) => each.conditionId === standing.conditionId);
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="min-w-0 px-5 py-4 lg:overflow-y-auto">
        <div role="group" aria-label="Conditions" className="no-print mb-4 flex flex-wrap gap-1.5">
          {weighing.standings.map((each) => (
            <Button key={each.conditionId} look="choice" chosen={each === standing} onClick={() => { setSearch({ condition: each.conditionId }, { replace: true }); }} className={each.informed ? "" : "border-dashed"}>
              {each.shortName} <strong>{inHundred(each.now)}</strong>
            </Button>
          ))}
        </div>
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 className="font-serif text-head font-semibold">{standing.name}</h1>
          <p className="text-read">
            {standing.informed
              ? <>now <strong>{inHundred(standing.now)}</strong> in 100, could be {rangeInHundred(standing.lower, standing.upper)}</>
              : <>still where it began, <strong>{inHundred(standing.before)}</strong> in 100</>}
          </p>
        </div>
        {standing.scope && <p className="text-note text-soft">{standing.scope}. Began at {inHundred(standing.before)} in 100: the working estimate ({settingWords(live.examination.setting).toLowerCase()}) with what was told.</p>}
        {standing.above && <p className="mt-2 border-l-4 border-ink pl-3 text-note">Stands above {sentence(standing.above)}, of which it is a part. The figures come from different studies and contradict each other: take neither at its word.</p>}
        {!live.upToDate && <p role="status" className="mt-2 border-l-4 border-ink pl-3 text-note">The last entries are not included yet.</p>}
        <Beam standing={standing} />
        <LoadList standing={standing} testName={testName} cluster={cluster} />
        {standing.lens === "CHAIN" && standing.loads.length > 1 && <p className="mt-2 text-note text-soft">These findings are chained as if independent, which makes too sure.</p>}
        {standing.lens === "CLUSTER" && standing.loads.length === 1 && <p className="mt-2 text-note text-soft">The set stands for its tests. Findings outside it would be chained as if independent.</p>}
        {standing.unweighed.length > 0 && (
          <section className="mt-5">
            <h2 className="text-note font-semibold text-soft">On the table, seen but not weighed</h2>
            <ul className="mt-1 border-t border-dashed border-edge">
              {standing.unweighed.map((finding) => (
                <li key={finding.testId} className="flex gap-3 border-b border-line py-2 text-read leading-tight">
                  <svg width={20} height={20} aria-hidden="true" className="shrink-0"><circle cx={10} cy={10} r={7} fill="none" stroke="var(--color-soft)" strokeWidth={1.8} strokeDasharray="3 3" /></svg>
                  <span><strong>{testName(finding.testId)}</strong>: {finding.result === "NOT_INTERPRETABLE" ? finding.because : `${finding.phrase}. Not weighed: ${finding.because}`}.</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <SidePanel standing={standing} clusters={weighing.clusters} />
    </main>
  );
}
