import type { ReactNode } from "react";
import type { Schemas } from "../shared/api/client";
import { inHundred, sentence } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { TextField } from "../shared/ui/TextField";
import { SaidField } from "./SaidField";
import type { ConclusionState } from "./useConclusion";

type Standing = Schemas["StandingJson"];

/** How sure, in words, each with the chance it stands for. */
const SURE: readonly [string, number][] = [
  ["A guess", 0.15],
  ["Possible", 0.35],
  ["Likely", 0.6],
  ["Very likely", 0.85],
  ["Almost certain", 0.97],
];
/** So many conditions stand to be tapped; the others are in the list. */
const NAMED = 6;

interface ConcludeFormProps {
  conclusion: ConclusionState;
  /** Conditions in the order in which they are looked for. */
  ordered: Standing[];
  /** Every condition that can be named. */
  all: readonly { value: string; label: string }[];
  working: string | undefined;
}

/** Where the therapist concludes: what it is, what it could be, how sure, what next. */
export function ConcludeForm({ conclusion, ordered, all, working }: ConcludeFormProps) {
  const { beside } = conclusion;
  const rivals = conclusion.values("rivals").filter((each) => each !== working);
  const named = ordered.filter(
    (standing, index) => index < NAMED || standing.conditionId === working || rivals.includes(standing.conditionId),
  );
  const shown = new Set(named.map((standing) => standing.conditionId));
  const ranked = ordered
    .filter((standing) => !shown.has(standing.conditionId))
    .map((standing) => ({ value: standing.conditionId, label: standing.name }));
  const beyond = all.filter((each) => !ordered.some((standing) => standing.conditionId === each.value));
  const unranked = (ids: readonly string[]) => beyond.filter((each) => ids.includes(each.value));
  const sure = conclusion.number("confidence");
  return (
    <>
      <Block title="Working diagnosis" hint="Yours. Nothing is concluded for you.">
        {named.map((standing) => (
          <Button
            key={standing.conditionId}
            look="choice"
            chosen={working === standing.conditionId}
            onClick={() => {
              conclusion.tell({
                question: "working",
                values: working === standing.conditionId ? [] : [standing.conditionId],
              });
            }}
          >
            {standing.shortName}
          </Button>
        ))}
        {unranked(working === undefined ? [] : [working]).map((each) => (
          <Button
            key={each.value}
            look="choice"
            chosen
            onClick={() => {
              conclusion.tell({ question: "working", values: [] });
            }}
          >
            {each.label}
          </Button>
        ))}
        <Another
          label="Another condition"
          ranked={ranked}
          beyond={beyond}
          onPick={(id) => {
            conclusion.tell({ question: "working", values: [id] });
          }}
        />
        <Button
          look="choice"
          chosen={working === "open"}
          onClick={() => {
            conclusion.tell({ question: "working", values: working === "open" ? [] : ["open"] });
          }}
        >
          Still open
        </Button>
      </Block>
      <SaidField
        label="In your own words"
        hint="Beside the condition, or where none of them fits."
        value={conclusion.words("diagnosis-in-words")}
        onSay={(words) => {
          conclusion.tell({ question: "diagnosis-in-words", values: [], words });
        }}
      />
      <Block title="It could also be" hint="In the order in which you tap.">
        {named
          .filter((standing) => standing.conditionId !== working)
          .map((standing) => {
            const place = rivals.indexOf(standing.conditionId);
            return (
              <Button
                key={standing.conditionId}
                look="choice"
                chosen={place >= 0}
                onClick={() => {
                  conclusion.toggle("rivals", standing.conditionId);
                }}
              >
                {place >= 0 && `${String(place + 1)}. `}
                {standing.shortName}
              </Button>
            );
          })}
        {unranked(rivals).map((each) => (
          <Button
            key={each.value}
            look="choice"
            chosen
            onClick={() => {
              conclusion.toggle("rivals", each.value);
            }}
          >
            {rivals.indexOf(each.value) + 1}. {each.label}
          </Button>
        ))}
        <Another
          label="Another rival"
          ranked={ranked}
          beyond={beyond}
          onPick={(id) => {
            conclusion.toggle("rivals", id);
          }}
        />
      </Block>
      <Block
        title="How sure are you?"
        hint={
          sure === undefined
            ? "A word, or any number from 1 to 99."
            : `${beside?.sureness ?? ""}: ${inHundred(sure)} in 100`
        }
      >
        {SURE.map(([word, chance]) => (
          <Button
            key={word}
            look="choice"
            chosen={sure === chance}
            onClick={() => {
              conclusion.tell(
                sure === chance
                  ? { question: "confidence", values: [] }
                  : { question: "confidence", values: [], number: chance },
              );
            }}
          >
            {word}
          </Button>
        ))}
        <label className="flex items-center gap-2 text-read">
          <input
            type="number"
            min={1}
            max={99}
            step={1}
            aria-label="How sure, in 100"
            value={sure === undefined ? "" : Math.round(100 * sure)}
            onChange={(event) => {
              const typed = Number(event.target.value);
              if (typed >= 1 && typed <= 99) {
                conclusion.tell({ question: "confidence", values: [], number: typed / 100 });
              }
            }}
            className="min-h-12 w-20 rounded border border-edge bg-sheet px-2 text-center"
          />{" "}
          in 100
        </label>
      </Block>
      {beside?.differs && (
        <div className="border-l-4 border-ink pl-3">
          <p className="text-read">
            The ranking puts <strong>{sentence(beside.differs.name)}</strong> first, {inHundred(beside.differs.now)} in
            100.
          </p>
          <SaidField
            label="Why do you see it otherwise?"
            hint="One line, if you like. It stands in the note."
            value={conclusion.words("why-different")}
            onSay={(words) => {
              conclusion.tell({ question: "why-different", values: [], words });
            }}
          />
        </div>
      )}
      <Block title="Next" hint="To consider, per local pathway.">
        {beside?.toSettle.map((step) => (
          <Button
            key={step.conditionId}
            look="choice"
            chosen={conclusion.values("next-steps").includes(step.conditionId)}
            onClick={() => {
              conclusion.toggle("next-steps", step.conditionId);
            }}
          >
            <span>
              {step.by}
              <span className="block text-note">
                {step.name}, {step.soon}
              </span>
            </span>
          </Button>
        ))}
        <div className="w-full">
          <SaidField
            label="Further steps"
            value={conclusion.words("own-steps")}
            onSay={(words) => {
              conclusion.tell({ question: "own-steps", values: [], words });
            }}
          />
        </div>
      </Block>
      <SaidField
        label="Advice given"
        rows={2}
        value={conclusion.words("advice")}
        onSay={(words) => {
          conclusion.tell({ question: "advice", values: [], words });
        }}
      />
      <Block title="Test again" hint="Tests with a measure of this visit. They show whether it gets better.">
        {beside?.suggested.map((marker) => (
          <Button
            key={marker.testId}
            look="choice"
            chosen={conclusion.values("markers").includes(marker.testId)}
            onClick={() => {
              conclusion.toggle("markers", marker.testId);
            }}
          >
            {marker.name}
          </Button>
        ))}
        {beside?.suggested.length === 0 && (
          <p className="text-note text-soft">Nothing was measured on the involved side.</p>
        )}
        <TextField
          id="again-on"
          label="On"
          type="date"
          value={conclusion.day("again-on")}
          onChange={(on) => {
            conclusion.tell(
              on === "" ? { question: "again-on", values: [] } : { question: "again-on", values: [], on },
            );
          }}
          className="flex items-center gap-2"
        />
      </Block>
    </>
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

interface Condition {
  value: string;
  label: string;
}

/** Every other condition: those of the ranking, then those of other regions. */
function Another({
  label,
  ranked,
  beyond,
  onPick,
}: {
  label: string;
  ranked: readonly Condition[];
  beyond: readonly Condition[];
  onPick: (id: string) => void;
}) {
  const options = (list: readonly Condition[]) =>
    list.map((each) => (
      <option key={each.value} value={each.value}>
        {each.label}
      </option>
    ));
  return (
    <select
      aria-label={label}
      value=""
      onChange={(event) => {
        onPick(event.target.value);
      }}
      className="min-h-12 max-w-full rounded border border-edge bg-sheet px-2 text-read"
    >
      <option value="">{label} …</option>
      {options(ranked)}
      {beyond.length > 0 && <optgroup label="Not in this ranking">{options(beyond)}</optgroup>}
    </select>
  );
}
