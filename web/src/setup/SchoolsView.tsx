import { Waiting } from "../shared/ui/Message";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { SetupPart } from "./SetupPart";
import { useChoose, useMayChange } from "./useChoose";
import { useSettings } from "../shared/useSettings";

/** Questions on which practitioners differ, with the clinic's answer to each. */
export function SchoolsView() {
  const settings = useSettings();
  const choose = useChoose();
  const may = useMayChange();
  if (!settings) {
    return <Waiting what="the schools" />;
  }
  return (
    <SetupPart
      title="Schools"
      about="Where practitioners differ, the clinic chooses. It counts for examinations begun from now on; a single examination can choose otherwise."
    >
      {choose.isError && (
        <p role="alert" className="mb-3 border-l-4 border-for pl-3 text-read">
          {choose.error.message}
        </p>
      )}
      <ul>
        {settings.schools.map((school) => (
          <li key={school.name} className="border-t border-line py-3">
            <div role="group" aria-labelledby={school.name}>
              <p id={school.name} className="text-read font-semibold">
                {school.question}
              </p>
              <Strip className="mt-1">
                {school.choices.map((each) => (
                  <Button
                    key={each.value}
                    look="choice"
                    chosen={school.choice === each.value}
                    disabled={!may}
                    className="disabled:opacity-100"
                    onClick={() => {
                      choose.mutate(
                        each.value === school.usual ? { name: school.name } : { name: school.name, value: each.value },
                      );
                    }}
                  >
                    {each.label}
                    {each.value === school.usual && " (usual)"}
                  </Button>
                ))}
              </Strip>
            </div>
          </li>
        ))}
      </ul>
    </SetupPart>
  );
}
