import { useSettings } from "../shared/useSettings";
import { Chip } from "./QuestionBlock";
import { Strip } from "../shared/ui/Strip";
import { options, type Intake } from "./useIntake";

/** Where practitioners differ: this examination may choose otherwise than the clinic. */
export function SchoolList({ intake }: { intake: Intake }) {
  const settings = useSettings();
  const chosen = (name: string) => intake.values(`school:${name.slice(name.indexOf(".") + 1)}`)[0];
  const own = settings?.schools.filter((school) => chosen(school.name) !== undefined).length ?? 0;
  return (
    <details>
      <summary className="flex min-h-12 cursor-pointer items-center font-serif text-2xl font-semibold">
        Schools of this examination{" "}
        <span className="ml-3 font-sans text-note font-normal text-soft">
          {own === 0 ? "as in the clinic" : `${String(own)} chosen here`}
        </span>
      </summary>
      <ul>
        {settings?.schools.map((school) => {
          const question = `school:${school.name.slice(school.name.indexOf(".") + 1)}`;
          const here = chosen(school.name);
          return (
            <li key={school.name} className="border-t border-line py-2">
              <p id={question} className="text-read font-semibold">
                {school.question}
              </p>
              <Strip labelledBy={question} className="mt-1">
                {school.choices.map((each) => (
                  <Chip
                    key={each.value}
                    chosen={(here ?? school.choice) === each.value}
                    onClick={() => {
                      intake.tell(options(question, each.value === school.choice ? [] : [each.value]));
                    }}
                  >
                    {each.value === school.choice ? `${each.label} (clinic)` : each.label}
                  </Chip>
                ))}
              </Strip>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
