import { PaintedAreas } from "../intake";
import { Button } from "../shared/ui/Button";
import type { Practising } from "./usePracticeCase";
import { GROUPS } from "./words";

/** What the patient says: unasked, and to what was asked. */
export function PatientPanel({ practising }: { practising: Practising }) {
  const { known } = practising;
  const told = new Map(known.told.map((each) => [each.questionId, each]));
  const areas = (question: string) => told.get(question)?.areas ?? [];
  return (
    <section aria-labelledby="patient">
      <h2 id="patient" className="text-xl font-semibold">
        The patient
      </h2>
      <p className="mt-1 font-serif text-lg">“{known.opening}”</p>
      <ul className="mt-3 flex flex-col">
        {GROUPS.map(([group, name]) => {
          const questions = known.questions.filter((question) => question.group === group);
          const open = questions.filter((question) => !told.has(question.id));
          return (
            questions.length > 0 && (
              <li key={group} className="border-t border-line py-1">
                {open.length > 0 ? (
                  <Button
                    className="w-full"
                    disabled={practising.busy}
                    onClick={() => {
                      practising.take({ ask: open.map((question) => question.id) });
                    }}
                  >
                    Ask: {name.toLowerCase()}
                  </Button>
                ) : (
                  <h3 className="pt-1 text-note font-semibold text-soft">{name}</h3>
                )}
                {questions.map((question) => {
                  const answer = told.get(question.id);
                  return (
                    answer && (
                      <p key={question.id} className="py-0.5 text-read leading-snug">
                        <span className="text-note text-soft">{question.ask.replace("?", "")}</span>
                        {answer.lines.map((line) => (
                          <span key={line} className="block font-serif">
                            “{line}”
                          </span>
                        ))}
                      </p>
                    )
                  );
                })}
                {group === "WHERE" && (
                  <PaintedAreas
                    side={known.side}
                    pain={areas("pain-areas")}
                    tingling={areas("tingling-areas").filter((area) => area !== "none")}
                  />
                )}
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}
