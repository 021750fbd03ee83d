import { Button } from "../shared/ui/Button";
import { Chip } from "./QuestionBlock";
import { FlagOutcome } from "./StopPanel";
import { options, type Intake } from "./useIntake";

const NONE = "none";

/** The red flags of the region: readable as a list, one tap for none of them. */
export function RedFlags({ intake }: { intake: Intake }) {
  const values = intake.values("red-flags");
  const flags = intake.form?.redFlags ?? [];
  const present = values.filter((value) => value !== NONE);
  const none = values.includes(NONE);
  const toggle = (flag: string) => {
    const others = present.filter((each) => each !== flag);
    intake.tell(
      options("red-flags", [
        ...(present.includes(flag) ? others : [...others, flag]),
        ...(none && present.includes(flag) ? [NONE] : []),
      ]),
    );
  };
  const known = (id: string) =>
    present.includes(id) ? intake.state?.safety.present.find((flag) => flag.id === id) : undefined;
  return (
    <section aria-labelledby="red-flags">
      <h2 id="red-flags" className="font-serif text-2xl font-semibold">
        Red flags
      </h2>
      <p className="text-note text-soft">Any of these suspends testing.</p>
      <ul className="mt-1 grid gap-x-8 lg:grid-cols-2">
        {flags.map((flag) => {
          const outcome = known(flag.id);
          return (
            <li key={flag.id} className="border-t border-line py-1">
              <div className="flex items-center gap-3">
                <span className="min-w-0 flex-1 text-read leading-snug">{flag.sign}</span>
                <Chip
                  chosen={present.includes(flag.id)}
                  onClick={() => {
                    toggle(flag.id);
                  }}
                >
                  Yes
                </Chip>
              </div>
              {outcome && (
                <FlagOutcome
                  flag={outcome}
                  onTell={(answer) => {
                    intake.tell(answer);
                  }}
                />
              )}
            </li>
          );
        })}
      </ul>
      <Button
        look={none ? "choice" : "primary"}
        chosen={none}
        className="mt-2 w-full justify-center sm:w-auto sm:px-8"
        onClick={() => {
          intake.tell(options("red-flags", none ? present : [...present, NONE]));
        }}
      >
        {present.length > 0 ? "None of the others" : "None of these"}
      </Button>
    </section>
  );
}
