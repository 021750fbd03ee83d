import type { Schemas } from "../shared/api/client";
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
  const answers = [...question.options.map((option) => [option.value, option.label] as const), ...(question.none ? [[NONE, question.none] as const] : [])];
  return (
    <div role="group" aria-labelledby={`ask-${question.id}`} className="min-w-0">
      <p id={`ask-${question.id}`} className="text-read font-semibold">{question.ask}</p>
      {question.from != null && question.to != null ? <Scale question={question} intake={intake} from={question.from} to={question.to} /> : (
        <div className="mt-1 flex flex-wrap gap-1.5">
          {answers.map(([value, label]) => <Chip key={value} chosen={values.includes(value)} onClick={() => { toggle(value); }}>{label}</Chip>)}
        </div>
      )}
      {fault && <p role="alert" className="mt-1 border-l-4 border-for pl-2 text-note">{fault}</p>}
    </div>
  );
}

function Scale({ question, intake, from, to }: { question: Question; intake: Intake; from: number; to: number }) {
  const now = intake.answer(question.id)?.number ?? undefined;
  return (
    <div className="mt-1 flex max-w-md gap-0.5">
      {Array.from({ length: to - from + 1 }, (_, index) => from + index).map((value) => (
        <button key={value} type="button" aria-pressed={now === value} aria-label={`${String(value)} of ${String(to)}`}
          onClick={() => { intake.tell(now === value ? options(question.id, []) : { question: question.id, values: [], number: value }); }}
          className={`min-h-12 min-w-7 flex-1 border text-read ${now === value ? "border-ink bg-ink text-white" : "border-edge bg-sheet hover:bg-tan"}`}>{value}</button>
      ))}
    </div>
  );
}

/** An answer of one tap. */
export function Chip({ chosen, onClick, children }: { chosen: boolean; onClick: () => void; children: string }) {
  return (
    <button type="button" aria-pressed={chosen} onClick={onClick}
      className={`min-h-12 rounded border px-3 text-left text-read leading-tight ${chosen ? "border-ink bg-ink text-white" : "border-edge bg-sheet hover:bg-tan"}`}>{children}</button>
  );
}
