import type { ReactNode } from "react";
import { Link } from "react-router";
import { useLive } from "../examination/ExaminationFrame";
import type { Schemas } from "../shared/api/client";
import { inHundred, rangeInHundred, sentence } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Waiting } from "../shared/ui/Message";
import { TextField } from "../shared/ui/TextField";
import { SaidField } from "./SaidField";
import { useConclusion } from "./useConclusion";

type Standing = Schemas["StandingJson"];

/** How sure, in words, each with the chance it stands for. */
const SURE: readonly [string, number][] = [["A guess", 0.15], ["Possible", 0.35], ["Likely", 0.6], ["Very likely", 0.85], ["Almost certain", 0.97]];
/** So many conditions stand to be tapped; the others are in the list. */
const NAMED = 6;

/** The therapist's own word: what it is, what it could be, how sure, what next. The ranking stands beside it and decides nothing. */
export function ConcludeView() {
  const live = useLive();
  const conclusion = useConclusion(live);
  const { weighing } = live;
  if (!weighing) {
    return <Waiting page what="the ranking" />;
  }
  const { beside } = conclusion;
  const byId = new Map(weighing.standings.map((standing) => [standing.conditionId, standing]));
  const ordered = beside ? beside.candidates.flatMap((id) => byId.get(id) ?? []) : weighing.standings;
  const working = conclusion.values("working")[0];
  const rivals = conclusion.values("rivals").filter((each) => each !== working);
  const named = ordered.filter((standing, index) => index < NAMED || standing.conditionId === working || rivals.includes(standing.conditionId));
  const others = ordered.filter((standing) => !named.includes(standing));
  const sure = conclusion.number("confidence");
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="flex flex-col gap-5 px-5 py-5 lg:overflow-y-auto lg:px-8">
        <h1 className="font-serif text-head font-semibold">Conclusion</h1>
        {weighing.safety.state === "SUSPENDED" && <p className="border-l-4 border-ink pl-3 text-read"><strong>Testing is suspended</strong> by a red flag. Conclude once it is released, or refer.</p>}
        <Block title="Working diagnosis" hint="Yours. Nothing is concluded for you.">
          {named.map((standing) => <Button key={standing.conditionId} look="choice" chosen={working === standing.conditionId} onClick={() => { conclusion.tell({ question: "working", values: working === standing.conditionId ? [] : [standing.conditionId] }); }}>{standing.shortName}</Button>)}
          <Another label="Another condition" others={others} onPick={(id) => { conclusion.tell({ question: "working", values: [id] }); }} />
          <Button look="choice" chosen={working === "open"} onClick={() => { conclusion.tell({ question: "working", values: working === "open" ? [] : ["open"] }); }}>Still open</Button>
        </Block>
        <Block title="It could also be" hint="In the order in which you tap.">
          {named.filter((standing) => standing.conditionId !== working).map((standing) => {
            const place = rivals.indexOf(standing.conditionId);
            return <Button key={standing.conditionId} look="choice" chosen={place >= 0} onClick={() => { conclusion.toggle("rivals", standing.conditionId); }}>{place >= 0 && `${String(place + 1)}. `}{standing.shortName}</Button>;
          })}
          <Another label="Another rival" others={others} onPick={(id) => { conclusion.toggle("rivals", id); }} />
        </Block>
        <Block title="How sure are you?" hint={sure === undefined ? "A word, or any number from 1 to 99." : `${beside?.sureness ?? ""}: ${inHundred(sure)} in 100`}>
          {SURE.map(([word, chance]) => <Button key={word} look="choice" chosen={sure === chance} onClick={() => { conclusion.tell(sure === chance ? { question: "confidence", values: [] } : { question: "confidence", values: [], number: chance }); }}>{word}</Button>)}
          <label className="flex items-center gap-2 text-read">
            <input type="number" min={1} max={99} step={1} aria-label="How sure, in 100" value={sure === undefined ? "" : Math.round(100 * sure)}
              onChange={(event) => { const typed = Number(event.target.value); if (typed >= 1 && typed <= 99) { conclusion.tell({ question: "confidence", values: [], number: typed / 100 }); } }}
              className="min-h-12 w-20 rounded border border-edge bg-sheet px-2 text-center" /> in 100
          </label>
        </Block>
        {beside?.differs && (
          <div className="border-l-4 border-ink pl-3">
            <p className="text-read">The ranking puts <strong>{sentence(beside.differs.name)}</strong> first, {inHundred(beside.differs.now)} in 100.</p>
            <SaidField label="Why do you see it otherwise?" hint="One line, if you like. It stands in the note." value={conclusion.words("why-different")} onSay={(words) => { conclusion.tell({ question: "why-different", values: [], words }); }} />
          </div>
        )}
        <Block title="Next" hint="To consider, per local pathway.">
          {beside?.toSettle.map((step) => (
            <Button key={step.conditionId} look="choice" chosen={conclusion.values("next-steps").includes(step.conditionId)} onClick={() => { conclusion.toggle("next-steps", step.conditionId); }}>
              <span>{step.by}<span className="block text-note">{step.name}, {step.soon}</span></span>
            </Button>
          ))}
          <div className="w-full"><SaidField label="Further steps" value={conclusion.words("own-steps")} onSay={(words) => { conclusion.tell({ question: "own-steps", values: [], words }); }} /></div>
        </Block>
        <SaidField label="Advice given" rows={2} value={conclusion.words("advice")} onSay={(words) => { conclusion.tell({ question: "advice", values: [], words }); }} />
        <Block title="Test again" hint="Tests with a measure of this visit. They show whether it gets better.">
          {beside?.suggested.map((marker) => <Button key={marker.testId} look="choice" chosen={conclusion.values("markers").includes(marker.testId)} onClick={() => { conclusion.toggle("markers", marker.testId); }}>{marker.name}</Button>)}
          {beside?.suggested.length === 0 && <p className="text-note text-soft">Nothing was measured on the involved side.</p>}
          <TextField id="again-on" label="On" type="date" value={conclusion.day("again-on")} onChange={(on) => { conclusion.tell(on === "" ? { question: "again-on", values: [] } : { question: "again-on", values: [], on }); }} className="flex items-center gap-2" />
        </Block>
        <p className="text-read"><Link to="../note" relative="path" className="underline">To the note</Link></p>
      </div>
      <aside aria-label="The ranking" className="flex flex-col gap-2 border-t border-line bg-sheet px-4 py-4 lg:overflow-y-auto lg:border-t-0 lg:border-l">
        <h2 className="text-note font-semibold text-soft">The ranking, beside yours</h2>
        <ol className="flex flex-col gap-1">
          {ordered.filter((standing) => standing.informed || standing.pattern.present.length > 0).slice(0, 8).map((standing) => (
            <li key={standing.conditionId} className={`flex items-baseline justify-between gap-2 text-read leading-tight ${standing.conditionId === working ? "font-semibold" : ""}`}>
              <span>{standing.shortName}</span>
              <span className="text-right whitespace-nowrap">{standing.informed ? <>{inHundred(standing.now)} <span className="text-note font-normal">{rangeInHundred(standing.lower, standing.upper)}</span></> : <span className="text-note font-normal">fits {standing.pattern.present.length} of {standing.pattern.present.length + standing.pattern.missing.length}</span>}</span>
            </li>
          ))}
        </ol>
        <p className="text-note text-soft">Decision support. The conclusion is yours; a label alone says little about treatment.</p>
      </aside>
    </main>
  );
}

function Block({ title, hint, children }: { title: string; hint?: string; children: ReactNode }) {
  return (
    <section role="group" aria-label={title}>
      <h2 className="text-read font-semibold">{title}</h2>
      {hint && <p className="text-note text-soft">{hint}</p>}
      <div className="mt-1 flex flex-wrap items-center gap-1.5">{children}</div>
    </section>
  );
}

function Another({ label, others, onPick }: { label: string; others: Standing[]; onPick: (id: string) => void }) {
  return (
    <select aria-label={label} value="" onChange={(event) => { onPick(event.target.value); }} className="min-h-12 rounded border border-edge bg-sheet px-2 text-read">
      <option value="">{label} …</option>
      {others.map((standing) => <option key={standing.conditionId} value={standing.conditionId}>{standing.name}</option>)}
    </select>
  );
}
