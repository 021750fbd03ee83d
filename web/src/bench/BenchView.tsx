import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { attempt as newAttempt, LEFT_OUT, move, nothing, record, tell, undo, withChoice } from "../examination/commands";
import { useLive } from "../examination/ExaminationFrame";
import { choices, latestAttempt, type Answer, type Attempt, type Part } from "../examination/history";
import { LockNotice } from "../intake/LockNotice";
import type { Progress } from "../shared/drawings/ProgressGlyph";
import { useSettings } from "../setup/useSettings";
import { sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ChoiceRow } from "./ChoiceRow";
import { Effect } from "./Effect";
import { CueCard } from "./CueCard";
import { KeysSheet } from "./KeysSheet";
import { LastReading } from "./LastReading";
import { OrderRail } from "./OrderRail";
import { RankingPanel } from "./RankingPanel";
import { RivalsPanel } from "./RivalsPanel";
import { SafetyStrip } from "./SafetyStrip";
import { ReadingStrip } from "./ReadingStrip";
import { InvolvedPanel, PART_KEYS, WellPanel, wellAnswers } from "./ResponsePanels";
import { useKeys, useSingleKeys } from "./useKeys";

const QUALITY_KEYS = ["z", "x", "c", "v", "b"];

/** One test at a time: its card, both sides, what the response means, and where it leaves each condition. */
export function BenchView() {
  const live = useLive();
  const navigate = useNavigate();
  const [sheet, setSheet] = useState(false);
  const [single, setSingle] = useSingleKeys();
  const reachLeft = useSettings()?.listed.find((each) => each.name === "side-of-reach")?.value === "left";
  const { region, state, weighing } = live;
  const routine = region.steps.flatMap((step) => step.testIds);
  const added = region.tests.map((each) => each.id).filter((id) => !routine.includes(id) && (id === state.standAt || state.attempts.some((each) => each.testId === id)));
  const order = [...routine, ...added];
  const byId = useMemo(() => new Map(region.tests.map((each) => [each.id, each])), [region]);
  const test = byId.get(state.standAt ?? "") ?? region.tests[0];
  if (!test) {
    throw new Error("a region has at least one test");
  }
  const involved = live.examination.side;
  const well = involved === "LEFT" ? "RIGHT" : "LEFT";
  const here = latestAttempt(state, test.id, involved);
  const there = latestAttempt(state, test.id, well);

  const progress = (id: string): Progress => {
    const known = weighing?.tests.find((each) => each.testId === id)?.progress ?? "OPEN";
    const recorded = state.attempts.some((each) => each.testId === id);
    return live.upToDate ? known : recorded ? (known === "OPEN" ? "PARTLY" : known) : "OPEN";
  };
  const untouched = (id: string) => latestAttempt(state, id, involved) === undefined;
  const position = order.indexOf(test.id);
  const later = [...order.slice(position + 1), ...order.slice(0, position)];
  const next = later.find(untouched);
  const following = order[position + 1] ?? next;

  const known = weighing?.tests.find((each) => each.testId === test.id);
  const locked = (id: string) => {
    const lock = weighing?.tests.find((each) => each.testId === id)?.lock;
    return lock != null && lock.override == null;
  };
  const closed = weighing?.safety.state === "SUSPENDED" || locked(test.id);
  const sayBefore = (answer: Answer) => { live.add(tell([answer], test.id)); };
  const keepOne = (kept: Attempt, others: Attempt[]) => {
    live.add(record([{ ...newAttempt(test, kept.side, kept.parts, kept), tryNumber: kept.tryNumber, supersedes: others.map((each) => each.id) }], test.id));
  };

  const recordInvolved = (parts: Part[]) => { live.add(record([newAttempt(test, involved, parts, here)], test.id)); };
  const recordWell = (parts: Part[]) => { live.add(record([newAttempt(test, well, parts, there)], test.id)); };
  const nothingBoth = () => {
    const other = test.wellSideParts.length > 0 ? [newAttempt(test, well, nothing(test, "well"), there)] : [];
    live.add(record([...other, newAttempt(test, involved, nothing(test, "involved"), here)], next ?? test.id));
  };
  const leaveOut = () => { live.add(record([newAttempt(test, involved, [LEFT_OUT], here)], next ?? test.id)); };
  const go = (id: string | undefined) => {
    if (id && id !== test.id) {
      live.add(move(id));
    }
  };
  const takeBack = () => {
    if (state.lastRecording) {
      live.add(undo(state.lastRecording));
    }
  };
  const forward = () => { if (following) { go(following); } else { void navigate("weighing"); } };
  const quality = test.parts.find((part) => part.key === "quality")?.options.filter((option) => option.value !== LEFT_OUT.choice) ?? [];
  const toggle = (key: string, value: string) => { recordInvolved(withChoice(test, here?.parts ?? [], key, value)); };

  const keys: Record<string, (() => void) | undefined> = {
    PageDown: forward, PageUp: () => { go(order[position - 1]); }, Backspace: takeBack, "Ctrl+z": takeBack, "?": () => { setSheet(true); },
  };
  const hasNothing = Object.keys(test.nothing).length > 0;
  if (!closed) {
    keys["0"] = hasNothing ? nothingBoth : undefined;
    wellAnswers(test, there).forEach((answer, index) => { keys[String(index + 1)] = () => { recordWell(answer.parts); }; });
    test.parts.forEach((part) => part.options.forEach((option, index) => {
      const key = PART_KEYS[part.key]?.[index];
      if (key) { keys[key] = () => { toggle(part.key, option.value); }; }
    }));
    quality.forEach((option, index) => { keys[QUALITY_KEYS[index] ?? ""] = () => { toggle("quality", option.value); }; });
  }
  ["j", "k", "l"].forEach((key) => { keys[key] = () => document.getElementById(`arc-${key}`)?.focus(); });
  useKeys(keys, single);

  const statements = known?.statements ?? [];
  const note = closed ? "Nothing is recorded while this is closed." : live.queue.status === "waiting" ? "The reading follows once the server is reached." : here ? "More of the response is needed before it can be read." : there ? `Now the ${sideWord(involved)}, the involved side.` : test.wellSideParts.length === 0 ? "Tap the answer, and it is read at once." : "The uninvolved side first, then the involved one.";
  return (
    <main className={`grid min-h-0 flex-1 grid-cols-1 ${reachLeft ? "lg:grid-cols-[21rem_minmax(0,1fr)_13rem] lg:[&>aside]:order-first lg:[&>nav]:order-last" : "lg:grid-cols-[13rem_minmax(0,1fr)_21rem]"}`}>
      <OrderRail region={region} added={added} locked={locked} progress={progress} current={test.id} onGo={go} />
      <div className="flex min-w-0 flex-col gap-1.5 px-4 py-1 lg:overflow-y-auto lg:px-5">
        <LastReading weighing={weighing} testName={(id) => byId.get(id)?.name ?? id} current={test.id} canUndo={state.lastRecording !== undefined} onUndo={takeBack} onKeys={() => { setSheet(true); }} />
        {weighing && <SafetyStrip safety={weighing.safety} onTell={sayBefore} />}
        <CueCard test={test} />
        {known?.lock && <LockNotice key={test.id} testId={test.id} lock={known.lock} onTell={sayBefore} />}
        {closed ? null : known && known.rivals.length > 0 ? <RivalsPanel test={test} rivals={known.rivals} onKeep={keepOne} /> : (
          <>
            <div className="flex flex-col gap-2.5 md:flex-row">
              <WellPanel test={test} side={well} attempt={there} onRecord={recordWell} />
              <InvolvedPanel test={test} side={involved} attempt={here} onRecord={recordInvolved} />
            </div>
            <ChoiceRow label="If seen" options={quality} chosen={choices(here, "quality")} keycaps={QUALITY_KEYS} onChoose={(value) => { toggle("quality", value); }} />
          </>
        )}
        <ReadingStrip statements={live.queue.status === "waiting" ? [] : statements} note={note}>
          {weighing?.lastTest === test.id && live.upToDate && <Effect weighing={weighing} testId={test.id} />}
        </ReadingStrip>
        <div className="bottom-0 mt-auto [@media(min-height:600px)]:sticky flex flex-wrap gap-2 bg-paper pb-1">
          <Button look={here || closed || !hasNothing ? "quiet" : "primary"} keycap="0" className="flex-1 sm:basis-52" disabled={closed || !hasNothing} onClick={nothingBoth}>Nothing, both sides</Button>
          <Button disabled={closed} onClick={leaveOut}>Leave out</Button>
          <Button look={here || closed ? "primary" : "quiet"} keycap="PgDn" className="sm:flex-1 sm:basis-52" onClick={forward}>
            {following ? <>Next<span className="hidden sm:inline">: {byId.get(following)?.shortName}</span></> : "See the weighing"}
          </Button>
        </div>
      </div>
      <RankingPanel weighing={weighing} upToDate={live.upToDate} waiting={live.queue.status === "waiting"} current={test.id} testName={(id) => byId.get(id)?.shortName ?? id} onGo={go} />
      <KeysSheet open={sheet} onOpenChange={setSheet} single={single} onSingle={setSingle} />
    </main>
  );
}
