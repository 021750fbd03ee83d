import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { TextField } from "../shared/ui/TextField";
import { Chip } from "./QuestionBlock";
import { options, type Intake } from "./useIntake";

const NONE = "none";

/** Surgery, fracture, dislocation, medication and the like: what locks tests, and since when. */
export function FactList({ intake }: { intake: Intake }) {
  const values = intake.values("facts");
  const none = values.includes(NONE);
  const holding = values.filter((value) => value !== NONE);
  const locks = intake.form?.locks ?? [];
  const toggle = (fact: string) => {
    intake.tell(
      options("facts", holding.includes(fact) ? holding.filter((each) => each !== fact) : [...holding, fact]),
    );
  };
  return (
    <section aria-labelledby="facts">
      <h2 id="facts" className="font-serif text-2xl font-semibold">
        What locks tests
      </h2>
      <Strip className="mt-1">
        {locks
          .flatMap((lock) => lock.facts)
          .map((fact) => (
            <Chip
              key={fact.id}
              chosen={holding.includes(fact.id)}
              onClick={() => {
                toggle(fact.id);
              }}
            >
              {fact.label}
            </Chip>
          ))}
      </Strip>
      {locks
        .filter((lock) => lock.facts.some((fact) => holding.includes(fact.id)))
        .map((lock) => (
          <div key={lock.id} className="mt-2 border-l-4 border-ink bg-sheet px-4 py-2">
            <p className="text-read">
              <strong>{lock.kinds}</strong>: {lock.because}.
            </p>
            {lock.facts
              .filter((fact) => holding.includes(fact.id) && fact.weeks != null)
              .map((fact) => (
                <FactDay key={fact.id} fact={fact} intake={intake} />
              ))}
          </div>
        ))}
      <Button
        look={none ? "choice" : "primary"}
        chosen={none}
        className="mt-2 w-full justify-center sm:w-auto sm:px-8"
        onClick={() => {
          intake.tell(options("facts", none ? [] : [NONE]));
        }}
      >
        None of these
      </Button>
    </section>
  );
}

function FactDay({ fact, intake }: { fact: Schemas["FactJson"]; intake: Intake }) {
  const question = `fact-date:${fact.id}`;
  return (
    <TextField
      id={fact.id}
      label={`${fact.label}: when?`}
      hint={`Locks for ${String(fact.weeks)} weeks. Without a day it stays locked.`}
      type="date"
      className="mt-2 max-w-sm"
      value={intake.answer(question)?.on ?? ""}
      fault={intake.fault(question)}
      onChange={(day) => {
        intake.tell(day ? { question, values: [], on: day } : options(question, []));
      }}
    />
  );
}
