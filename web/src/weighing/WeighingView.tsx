import { useState } from "react";
import { useSearchParams } from "react-router";
import { NewerLedger, useLive } from "../examination";
import type { Schemas } from "../shared/api/client";
import { inHundred, rangeInHundred, sentence, settingWords } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Explain } from "../shared/ui/Explain";
import { Waiting } from "../shared/ui/Message";
import { Strip } from "../shared/ui/Strip";
import { Beam } from "./Beam";
import { Closer } from "./Closer";
import { GroupDials } from "./GroupDials";
import { LoadList } from "./LoadList";
import { OnTheTable } from "./OnTheTable";
import { Showing } from "./Showing";
import { SidePanel } from "./SidePanel";
import { useInsight, type Dials } from "./useInsight";

type Standing = Schemas["StandingJson"];

/** What was found, as weights on a beam, one condition at a time. */
export function WeighingView() {
  const live = useLive();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get("condition");
  const weighing = live.weighing;
  const standing = weighing?.standings.find((each) => each.conditionId === chosen) ?? weighing?.standings[0];
  if (!weighing || !standing) {
    return <Waiting page what="the weighing" />;
  }
  return (
    <Look
      key={standing.conditionId}
      weighing={weighing}
      standing={standing}
      onChoose={(condition) => {
        setSearch({ condition }, { replace: true });
      }}
    />
  );
}

interface LookProps {
  weighing: Schemas["WeighingJson"];
  standing: Standing;
  onChoose: (condition: string) => void;
}

/** One condition. Dials moved here last as long as the look. */
function Look({ weighing, standing: recorded, onChoose }: LookProps) {
  const live = useLive();
  const [dials, setDials] = useState<Dials>({});
  const [showing, setShowing] = useState(false);
  const { insight, busy } = useInsight(live.examination.id, recorded.conditionId, weighing.knows, dials);
  const supposed = Object.keys(dials).length > 0;
  const standing = insight?.standing ?? recorded;
  const names = new Map(live.region.tests.map((test) => [test.id, test.name]));
  const testName = (id: string) => names.get(id) ?? id;
  const clusters = weighing.clusters.filter((each) => each.conditionId === standing.conditionId);
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="min-w-0 px-5 py-4 lg:overflow-y-auto" aria-busy={busy}>
        <NewerLedger />
        <ConditionChoice standings={weighing.standings} chosen={recorded} onChoose={onChoose} />
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 className="font-serif text-head font-semibold">{standing.name}</h1>
          <p className="text-read" aria-live="polite">
            {standing.informed ? (
              <>
                now <strong>{inHundred(standing.now)}</strong> in 100, could be{" "}
                {rangeInHundred(standing.lower, standing.upper)}
              </>
            ) : (
              <>
                still where it began, <strong>{inHundred(standing.before)}</strong> in 100
              </>
            )}
          </p>
        </div>
        <p className="text-note text-soft">
          {standing.scope && `${standing.scope}. `}Began at {inHundred(standing.before)} in 100: the working estimate (
          {settingWords(live.examination.setting).toLowerCase()}) with what was told.
        </p>
        <Cautions
          standing={standing}
          both={bothSentences(weighing, standing)}
          supposed={supposed}
          upToDate={live.upToDate}
        />
        <Beam standing={standing} />
        <div className="no-print flex items-start justify-between gap-4">
          <Explain what="the beam">
            The triangle is where {sentence(standing.name)} began: {inHundred(standing.before)} in 100. Each weight is
            one finding, to the right for it, to the left against it, as long as it moves the odds beside all the
            others. The disc below is where they leave it, {inHundred(standing.now)}; the band,{" "}
            {rangeInHundred(standing.lower, standing.upper)}, is where it could be, since studies are few and clinics
            differ.
          </Explain>
          <Button
            onClick={() => {
              setShowing(true);
            }}
          >
            Show it large
          </Button>
        </div>
        {showing && (
          <Showing
            standing={standing}
            testName={testName}
            onClose={() => {
              setShowing(false);
            }}
          />
        )}
        {insight ? (
          <>
            <LoadList standing={standing} testName={testName} clusters={clusters} />
            <OnTheTable unweighed={standing.unweighed} testName={testName} />
            <GroupDials dials={insight.dials} chosen={dials} onChoose={setDials} />
            <Closer insight={insight} testName={testName} />
          </>
        ) : (
          <Waiting what="a closer look" />
        )}
      </div>
      <SidePanel standing={standing} clusters={clusters} />
    </main>
  );
}

/** Chance of two at once below which it is not said. */
const LEAST_BOTH = 0.05;

/** The chance that a condition and another one, which a finding speaks about too, are both there; only where it is worth a thought. */
function bothSentences(weighing: Schemas["WeighingJson"], standing: Standing): string[] {
  const nameOf = (id: string) => weighing.standings.find((each) => each.conditionId === id)?.name ?? id;
  return weighing.together
    .filter((pair) => pair.both >= LEAST_BOTH && [pair.one, pair.other].includes(standing.conditionId))
    .map(
      (pair) =>
        `Both at once, with ${sentence(nameOf(pair.one === standing.conditionId ? pair.other : pair.one))}: ${inHundred(pair.both)} in 100.`,
    );
}

function Cautions({
  standing,
  both,
  supposed,
  upToDate,
}: {
  standing: Standing;
  both: string[];
  supposed: boolean;
  upToDate: boolean;
}) {
  const lines = [
    supposed && "Supposed: a correlation was set by hand for this look. Nothing of it is recorded.",
    standing.serious && standing.zone === "REFER" && `Serious: ${sentence(standing.serious)}.`,
    standing.shelf === "UNLIKELY" &&
      `Unlikely by definition, recheck: not found: ${standing.pattern.defining.map((each) => sentence(each.says)).join(", ")}.`,
    standing.shelf === "UNMEASURED" &&
      "No accuracy study can be used for it. It goes by its typical picture, below; its chance stays where it began.",
    standing.informed &&
      standing.loads.length > 0 &&
      standing.loads.every((each) => each.borrowed) &&
      "Nobody has measured any of these findings for it: each weighs like an average test.",
    ...both,
    !upToDate && "The last entries are not included yet.",
  ].filter((line): line is string => typeof line === "string" && line !== "");
  return (
    <>
      {lines.map((line) => (
        <p key={line} role="status" className="mt-2 border-l-4 border-ink pl-3 text-note">
          {line}
        </p>
      ))}
    </>
  );
}

/** The weighed conditions as one tap, all others in a list. */
function ConditionChoice({
  standings,
  chosen,
  onChoose,
}: {
  standings: Standing[];
  chosen: Standing;
  onChoose: (condition: string) => void;
}) {
  const tapped = standings.filter((each) => each.informed);
  const others = standings.filter((each) => !each.informed);
  return (
    <div role="group" aria-label="Conditions" className="no-print mb-4 flex flex-wrap items-center gap-1.5">
      <Strip>
        {tapped.map((each) => (
          <Button
            key={each.conditionId}
            look="choice"
            chosen={each === chosen}
            onClick={() => {
              onChoose(each.conditionId);
            }}
          >
            {each.shortName} <strong>{inHundred(each.now)}</strong>
          </Button>
        ))}
      </Strip>
      {others.length > 0 && (
        <select
          aria-label="A condition that nothing has moved yet"
          value={chosen.informed ? "" : chosen.conditionId}
          onChange={(event) => {
            onChoose(event.target.value);
          }}
          className={`min-h-12 max-w-full rounded border px-2 text-read ${chosen.informed ? "border-dashed border-edge bg-sheet" : "border-ink bg-ink text-white"}`}
        >
          {chosen.informed && <option value="">{others.length} more …</option>}
          {others.map((each) => (
            <option key={each.conditionId} value={each.conditionId}>
              {each.name} ({inHundred(each.now)})
            </option>
          ))}
        </select>
      )}
    </div>
  );
}
