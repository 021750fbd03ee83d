import type { ReactNode } from "react";
import { isArcAngle, nothing, withChoice, withMeasure, type Test } from "../examination/commands";
import { choices, measure, type Attempt, type Part } from "../examination/history";
import { capital, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ArcDial } from "./ArcDial";
import { ChoiceRow } from "./ChoiceRow";
import { MeasureField } from "./MeasureField";

/** Keys of each part's answers. */
export const PART_KEYS: Record<string, string[]> = { pain: ["4", "5", "6"], strength: ["7", "8", "9"], site: ["a", "s", "d", "f", "g"] };

interface PanelProps {
  test: Test;
  side: "LEFT" | "RIGHT";
  attempt: Attempt | undefined;
  onRecord: (parts: Part[]) => void;
}

interface QuickAnswer {
  label: string;
  parts: Part[];
  chosen: boolean;
}

/** The quick answers of the uninvolved side, with what each records; none where a test asks nothing of it. */
export function wellAnswers(test: Test, attempt: Attempt | undefined): QuickAnswer[] {
  const has = (key: string, choice: string) => choices(attempt, key).includes(choice);
  const all = nothing(test, "well");
  if (all.length === 0) {
    return [];
  }
  const answers: QuickAnswer[] = [{ label: "Nothing", parts: all, chosen: all.every((part) => has(part.key, part.choice ?? "")) }];
  const other = (key: string, choice: string, label: string) => {
    const kept = (attempt?.parts ?? []).filter((part) => part.key !== key);
    answers.push({ label, parts: [...(kept.length > 0 ? kept : all.filter((part) => part.key !== key)), { key, choice }], chosen: has(key, choice) });
  };
  if (test.wellSideParts.includes("pain")) {
    other("pain", "other", "Pain");
  }
  if (test.wellSideParts.includes("strength")) {
    other("strength", "weak", "Weak");
  }
  if (answers.length === 1) {
    const part = test.parts.find((each) => test.wellSideParts.includes(each.key) && each.options.length > 0);
    part?.options.filter((option) => option.value !== test.nothing[part.key]).slice(0, 2).forEach((option) => { other(part.key, option.value, option.label); });
  }
  return answers;
}

/** The uninvolved side: narrow and first, since it is examined first and is usually normal. */
export function WellPanel({ test, side, attempt, onRecord }: PanelProps) {
  const answers = wellAnswers(test, attempt);
  const measures = test.parts.filter((part) => part.unit && !isArcAngle(part.key) && test.wellSideParts.includes(part.key));
  return answers.length + measures.length === 0 ? null : (
    <section aria-label={`${capital(sideWord(side))}, uninvolved side`} className="border border-line bg-sheet p-2.5 md:w-38">
      <h2 className="mb-2 flex items-baseline justify-between text-read font-semibold">{capital(sideWord(side))} <span className="text-note font-normal text-soft">uninvolved</span></h2>
      <div className="flex gap-1.5 md:flex-col">
        {answers.map((answer, index) => (
          <Button key={answer.label} look="choice" chosen={answer.chosen} keycap={String(index + 1)} className="flex-1" onClick={() => { onRecord(answer.parts); }}>
            {answer.label}
          </Button>
        ))}
      </div>
      {measures.map((part) => (
        <div key={part.key} className="mt-1.5">
          <MeasureField key={test.id} part={part} side={sideWord(side)} narrow value={measure(attempt, part.key)} onSet={(value) => { onRecord(withMeasure(attempt?.parts ?? [], part.key, value, part.unit ?? "")); }} />
        </div>
      ))}
    </section>
  );
}

function InvolvedHeading({ side }: { side: "LEFT" | "RIGHT" }) {
  return <h2 className="w-15 shrink-0 text-read leading-tight font-semibold">{capital(sideWord(side))} <span className="block text-note font-normal text-soft">involved</span></h2>;
}

/** The involved side: the response in its parts, only those that the test has. */
export function InvolvedPanel({ test, side, attempt, onRecord }: PanelProps) {
  const parts = attempt?.parts ?? [];
  const measures = test.parts.filter((part) => part.unit);
  const lists = test.parts.filter((part) => !part.unit && part.key !== "quality");
  const row = (part: Test["parts"][number], heading?: ReactNode) => (
    <ChoiceRow key={part.key} label={part.label} heading={heading} options={part.options} chosen={choices(attempt, part.key)} keycaps={PART_KEYS[part.key] ?? []}
      onChoose={(value) => { onRecord(withChoice(test, parts, part.key, value)); }} />
  );
  const sites = lists.filter((part) => part.key === "site").map((part) => row(part));
  const hurts = choices(attempt, "pain").some((choice) => choice !== "none");
  return (
    <section aria-label={`${capital(sideWord(side))}, involved side`} className="min-w-0 flex-1 border-2 border-ink bg-sheet p-2.5">
      <div className="flex flex-col gap-1.5">
        {lists.filter((part) => part.key !== "site").map((part, index) => row(part, index === 0 ? <InvolvedHeading side={side} /> : undefined))}
        {measures.some((part) => isArcAngle(part.key)) ? (
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <ArcDial disabled={!hurts} measures={measures} values={measures.map((part) => measure(attempt, part.key))} side={side}
              onSet={(key, value) => { onRecord(withMeasure(parts, key, value, measures.find((part) => part.key === key)?.unit ?? "")); }} />
            <div className="[&>div]:sm:max-w-30">{sites}</div>
          </div>
        ) : (
          <>
            {sites}
            {measures.length > 0 && (
              <div className={`grid gap-x-4 gap-y-1.5 ${measures.length > 2 ? "xl:grid-cols-2" : ""}`}>
                {measures.map((part) => (
                  <MeasureField key={`${test.id} ${part.key}`} part={part} side={sideWord(side)} value={measure(attempt, part.key)}
                    onSet={(value) => { onRecord(withMeasure(parts, part.key, value, part.unit ?? "")); }} />
                ))}
              </div>
            )}
          </>
        )}
      </div>
    </section>
  );
}
