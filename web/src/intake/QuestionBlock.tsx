import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { Strip } from "../shared/ui/Strip";
import { options, type Intake } from "./useIntake";

type Question = Schemas["QuestionJson"];
const NONE = "none";

/** One question with its answers; most are one tap. A second tap on an answer opens the question again. */
export function QuestionBlock({ question, intake }: { question: Question; intake: Intake }) {
  const values = intake.values(question.id);
  const fault = intake.fault(question.id);
  const toggle = (value: string) => {
    const had = values.includes(value);
    const others = question.many && value !== NONE ? values.filter((each) => each !== value && each !== NONE) : [];
    intake.tell(options(question.id, had ? others : [...others, value]));
  };
  const shown = question.options.filter(
    (option) =>
      values.includes(option.value) || (makesSense(option.where, intake) && !contradicted(option.notWith, intake)),
  );
  const answers = [
    ...shown.map((option) => [option.value, option.label] as const),
    ...(question.none ? [[NONE, question.none] as const] : []),
  ];
  const assumed = (value: string) =>
    values.length === 0 && (intake.state?.assumed ?? []).includes(`${question.id}:${value}`);
  return (
    <div role="group" aria-labelledby={`ask-${question.id}`} className="min-w-0">
      <p id={`ask-${question.id}`} className="text-read font-semibold">
        {question.ask}
      </p>
      {question.words ? (
        <Words question={question} intake={intake} />
      ) : question.from != null && question.to != null ? (
        <Scale question={question} intake={intake} from={question.from} to={question.to} />
      ) : (
        <Strip className="mt-1">
          {answers.map(([value, label]) => (
            <Chip
              key={value}
              chosen={values.includes(value)}
              assumed={assumed(value)}
              onClick={() => {
                toggle(value);
              }}
            >
              {label}
            </Chip>
          ))}
        </Strip>
      )}
      {answers.some(([value]) => assumed(value)) && (
        <p className="mt-1 text-note text-soft">Dashed: taken from the occupation until you tap.</p>
      )}
      {fault && (
        <p role="alert" className="mt-1 border-l-4 border-for pl-2 text-note">
          {fault}
        </p>
      )}
    </div>
  );
}

/** Whether a question or an answer makes sense with what was told: one of the answers it waits for holds. */
export function makesSense(where: Schemas["WhereJson"][], intake: Intake): boolean {
  return (
    where.length === 0 ||
    where.some((each) => each.values.some((value) => intake.values(each.question).includes(value)))
  );
}

/** Whether what was told already excludes an answer. */
function contradicted(notWith: Schemas["WhereJson"][], intake: Intake): boolean {
  return notWith.some((each) => each.values.some((value) => intake.values(each.question).includes(value)));
}

/** Free words, kept when the field is left. */
function Words({ question, intake }: { question: Question; intake: Intake }) {
  const told = intake.answer(question.id)?.words ?? "";
  const [draft, setDraft] = useState<string>();
  const keep = () => {
    if (draft !== undefined && draft.trim() !== told) {
      intake.tell(draft.trim() ? { question: question.id, values: [], words: draft.trim() } : options(question.id, []));
    }
    setDraft(undefined);
  };
  return (
    <textarea
      rows={2}
      aria-labelledby={`ask-${question.id}`}
      value={draft ?? told}
      maxLength={2000}
      onChange={(event) => {
        setDraft(event.target.value);
      }}
      onBlur={keep}
      className="mt-1 block w-full max-w-xl rounded border border-edge bg-sheet px-3 py-2 text-read"
    />
  );
}

function Scale({ question, intake, from, to }: { question: Question; intake: Intake; from: number; to: number }) {
  const now = intake.answer(question.id)?.number ?? undefined;
  return (
    <Strip className="mt-1 w-full max-w-md flex-nowrap">
      {Array.from({ length: to - from + 1 }, (_, index) => from + index).map((value) => (
        <button
          key={value}
          type="button"
          aria-pressed={now === value}
          aria-label={`${String(value)} of ${String(to)}`}
          onClick={() => {
            intake.tell(
              now === value ? options(question.id, []) : { question: question.id, values: [], number: value },
            );
          }}
          className={`min-h-12 min-w-7 flex-1 border text-read ${now === value ? "border-ink bg-ink text-white" : "border-edge bg-sheet hover:bg-tan"}`}
        >
          {value}
        </button>
      ))}
    </Strip>
  );
}

/** An answer of one tap. */
export function Chip({
  chosen,
  assumed = false,
  onClick,
  children,
}: {
  chosen: boolean;
  assumed?: boolean;
  onClick: () => void;
  children: string;
}) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onClick}
      className={`min-h-12 rounded border px-3 text-left text-read leading-tight ${chosen ? "border-ink bg-ink text-white" : assumed ? "border-edge bg-tan outline-2 -outline-offset-4 outline-dashed" : "border-edge bg-sheet hover:bg-tan"}`}
    >
      {children}
    </button>
  );
}
