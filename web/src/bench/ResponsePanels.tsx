import { useState, type ReactNode } from "react";
import {
  type Attempt,
  choices,
  type Context,
  isArcAngle,
  measure,
  nothing,
  type Part,
  type Test,
  withChoice,
  withMeasure,
} from "../record";
import type { Schemas } from "../shared/api/client";
import { capital, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { ArcPart, ArcWay } from "./ArcPart";
import { answerKeys, USUAL_KEYS } from "./benchKeys";
import { ChoiceRow } from "./ChoiceRow";
import { FingerMap, GapDrawing, SpineDrawing } from "./drawings";
import { MeasureField } from "./MeasureField";
import { spineLevel } from "./spine";
import type { AsBefore } from "./useBench";

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

/** Measures that have a place of their own beside the answers. */
const ELSEWHERE = ["force", "onset", "held-for"];

/** The quick answers of the uninvolved side, with what each records; none where a test asks nothing of it. */
export function wellAnswers(test: Test, attempt: Attempt | undefined): QuickAnswer[] {
  const has = (key: string, choice: string) => choices(attempt, key).includes(choice);
  const all = nothing(test, "well").filter((part) => !part.position);
  if (all.length === 0) {
    return [];
  }
  const answers: QuickAnswer[] = [
    {
      label: "Nothing",
      parts: all,
      chosen: all.every((part) =>
        part.choice ? has(part.key, part.choice) : measure(attempt, part.key) === part.measure,
      ),
    },
  ];
  const other = (key: string, choice: string, label: string) => {
    const kept = (attempt?.parts ?? []).filter((part) => part.key !== key);
    answers.push({
      label,
      parts: [...(kept.length > 0 ? kept : all.filter((part) => part.key !== key)), { key, choice }],
      chosen: has(key, choice),
    });
  };
  const asked = test.parts.filter((part) => test.wellSideParts.includes(part.key) && part.positions.length === 0);
  if (asked.some((part) => part.key === "pain")) {
    other("pain", "other", "Pain");
  }
  if (asked.some((part) => part.key === "strength")) {
    other("strength", "weak", "Weak");
  }
  if (answers.length === 1) {
    const part = asked.find((each) => each.options.length > 0);
    const normal = test.nothing.find((each) => each.key === part?.key)?.choice;
    part?.options
      .filter((option) => option.value !== normal)
      .slice(0, 2)
      .forEach((option) => {
        other(part.key, option.value, option.label);
      });
  }
  return answers;
}

/** The uninvolved side: narrow and first, since it is examined first and is usually normal. */
export function WellPanel({ test, side, attempt, onRecord }: PanelProps) {
  const answers = wellAnswers(test, attempt);
  const measures = test.parts.filter(
    (part) =>
      part.unit &&
      !isArcAngle(part.key) &&
      part.positions.length === 0 &&
      !ELSEWHERE.includes(part.key) &&
      test.wellSideParts.includes(part.key),
  );
  return answers.length + measures.length === 0 ? null : (
    <section
      aria-label={`${capital(sideWord(side))}, uninvolved side`}
      className="border border-line bg-sheet p-2 @xl:w-37"
    >
      <h2 className="mb-2 flex items-baseline justify-between text-read font-semibold">
        {capital(sideWord(side))} <span className="text-note font-normal text-soft">uninvolved</span>
      </h2>
      <Strip className="w-full @xl:flex-col">
        {answers.map((answer, index) => (
          <Button
            key={answer.label}
            look="choice"
            chosen={answer.chosen}
            keycap={String(index + 1)}
            className="flex-1"
            onClick={() => {
              onRecord(answer.parts);
            }}
          >
            {answer.label}
          </Button>
        ))}
      </Strip>
      {measures.map((part) => (
        <div key={part.key} className="mt-1.5">
          <MeasureField
            key={test.id}
            part={part}
            side={sideWord(side)}
            narrow
            value={measure(attempt, part.key)}
            onSet={(value) => {
              onRecord(withMeasure(attempt?.parts ?? [], part.key, value, part.unit ?? ""));
            }}
          />
        </div>
      ))}
    </section>
  );
}

function InvolvedHeading({ side }: { side: "LEFT" | "RIGHT" }) {
  return (
    <h2 className="w-15 shrink-0 text-read leading-tight font-semibold">
      {capital(sideWord(side))} <span className="block text-note font-normal text-soft">involved</span>
    </h2>
  );
}

interface InvolvedPanelProps extends PanelProps {
  /** The other side, where a measure is drawn beside it. */
  other: Attempt | undefined;
  asBefore: AsBefore | undefined;
  onWhole: (parts: Part[]) => void;
  children?: ReactNode;
}

/** The involved side: answers given whole, then the response in its parts, only those that the test has. */
export function InvolvedPanel({
  test,
  side,
  attempt,
  other,
  asBefore,
  onRecord,
  onWhole,
  children,
}: InvolvedPanelProps) {
  const [down, setDown] = useState(false);
  const parts = attempt?.parts ?? [];
  const here = test.parts.filter((part) => part.positions.length === 0);
  const measures = here.filter((part) => part.unit && !ELSEWHERE.includes(part.key) && part.key !== "gave-way");
  const lists = here.filter((part) => !part.unit && !["quality", "grade", "site", "fingers"].includes(part.key));
  const keys = answerKeys(test);
  const beside = ["strength", "press"].find((key) => lists.some((part) => part.key === key));
  const arc = measures.filter((part) => isArcAngle(part.key));
  const row = (part: Test["parts"][number], heading?: ReactNode) => (
    <ChoiceRow
      key={part.key}
      label={part.label}
      heading={heading}
      options={part.options}
      chosen={choices(attempt, part.key)}
      keycaps={keys[part.key] ?? []}
      onChoose={(value) => {
        onRecord(withChoice(test, parts, part.key, value));
      }}
    >
      {part.key === beside && children}
    </ChoiceRow>
  );
  const sites = here
    .filter((part) => part.key === "site")
    .map((part) => row(part, arc.length > 0 ? <span className="sr-only">{part.label}</span> : undefined));
  const fingers = here.find((part) => part.key === "fingers");
  const set = (key: string, value: number, unit: string, context: Context = {}) => {
    onRecord(withMeasure(parts, key, value, unit, context));
  };
  const others = measures.filter((part) => !isArcAngle(part.key));
  const headed = test.usual.length > 0 || asBefore !== undefined;
  return (
    <section
      aria-label={`${capital(sideWord(side))}, involved side`}
      className="min-w-0 flex-1 border-2 border-ink bg-sheet p-2"
    >
      <div className="flex flex-col gap-1">
        {headed && (
          <div role="group" aria-label="At once" className="flex flex-wrap items-center gap-1 sm:flex-nowrap">
            <InvolvedHeading side={side} />
            <Strip className="min-w-0">
              {asBefore && (
                <Button look="choice" keycap="=" onClick={asBefore.act}>
                  As before: {asBefore.phrase}
                </Button>
              )}
              {test.usual.map((answer, index) =>
                asBefore && holds(asBefore.parts, answer) ? null : (
                  <Button
                    key={answer.label}
                    look="choice"
                    chosen={holds(parts, answer)}
                    keycap={USUAL_KEYS[index]}
                    onClick={() => {
                      onWhole(answer.parts);
                    }}
                  >
                    {lowerAfterFirst(answer.label)}
                  </Button>
                ),
              )}
            </Strip>
            {arc.some((part) => part.andBack) && <ArcWay down={down} onDown={setDown} />}
          </div>
        )}
        {lists.map((part, index) => row(part, index === 0 && !headed ? <InvolvedHeading side={side} /> : undefined))}
        {arc.length > 0 ? (
          <ArcPart measures={arc} attempt={attempt} side={side} down={down} onSet={set}>
            {sites}
          </ArcPart>
        ) : (
          sites
        )}
        {fingers && (
          <div className="flex flex-wrap items-center gap-3">
            <FingerMap
              options={fingers.options}
              chosen={choices(attempt, "fingers")}
              side={side}
              onChoose={(value) => {
                onRecord(withChoice(test, parts, "fingers", value));
              }}
            />
            <div className="max-w-72 flex-1">{row(fingers)}</div>
          </div>
        )}
        {others.map((part) => (
          <div key={`${test.id} ${part.key}`} className="flex flex-wrap items-center gap-x-3 gap-y-1">
            {lists.length === 0 && !headed && part === others[0] && <InvolvedHeading side={side} />}
            <MeasureField
              part={part}
              side={sideWord(side)}
              start={measure(other, part.key)}
              value={measure(attempt, part.key)}
              onSet={(value) => {
                set(part.key, value, part.unit ?? "");
              }}
            />
            {part.byEye
              .filter((option) => option.value !== "full")
              .map((option) => (
                <Button
                  key={option.value}
                  look="choice"
                  chosen={choices(attempt, part.key).includes(option.value)}
                  onClick={() => {
                    onRecord(withChoice(test, parts, part.key, option.value));
                  }}
                >
                  {option.label}
                </Button>
              ))}
            {part.key === "level" && (
              <>
                {measure(attempt, part.key) !== undefined && (
                  <strong className="text-read">{spineLevel(measure(attempt, part.key) ?? 0)}</strong>
                )}
                <SpineDrawing
                  part={part}
                  value={measure(attempt, part.key)}
                  other={measure(other, part.key)}
                  onSet={(value) => {
                    set(part.key, value, part.unit ?? "");
                  }}
                />
              </>
            )}
            {part.key === "gap" && (
              <GapDrawing
                part={part}
                value={measure(attempt, part.key)}
                other={measure(other, part.key)}
                onSet={(value) => {
                  set(part.key, value, part.unit ?? "");
                }}
              />
            )}
          </div>
        ))}
        {!beside && children}
      </div>
    </section>
  );
}

/** Whether a whole answer is what was recorded. */
function holds(parts: readonly Part[], answer: Schemas["UsualJson"]): boolean {
  return answer.parts.every((wanted) =>
    parts.some(
      (part) =>
        part.key === wanted.key &&
        (part.choice ?? undefined) === (wanted.choice ?? undefined) &&
        (part.measure ?? undefined) === (wanted.measure ?? undefined),
    ),
  );
}

/** "Familiar pain, Outer arm" as "Familiar pain, outer arm". */
function lowerAfterFirst(label: string): string {
  return label
    .split(", ")
    .map((word, index) => (index === 0 ? word : word.charAt(0).toLowerCase() + word.slice(1)))
    .join(", ");
}
