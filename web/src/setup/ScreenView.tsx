import { ListedAnswers } from "../shared/ui/ListedAnswers";
import { Strip } from "../shared/ui/Strip";
import { Waiting } from "../shared/ui/Message";
import { SetupPart } from "./SetupPart";
import { useChoose, useMayChange } from "./useChoose";
import { useSettings } from "../shared/useSettings";

/** How the screen is held, in which units is measured, when it locks. */
export function ScreenView() {
  const settings = useSettings();
  const choose = useChoose();
  const may = useMayChange();
  if (!settings) {
    return <Waiting what="the settings" />;
  }
  return (
    <SetupPart title="Screen and units" about="For every device of the clinic.">
      {settings.listed
        .filter((listed) => listed.name !== "own-estimates")
        .map((listed) => (
          <div key={listed.name} role="group" aria-labelledby={listed.name} className="border-t border-line py-3">
            <p id={listed.name} className="text-read font-semibold">
              {listed.label}
            </p>
            <Strip className="mt-1">
              <ListedAnswers
                listed={listed}
                value={listed.value}
                disabled={!may}
                onChoose={(value) => {
                  choose.mutate(value === listed.shipped ? { name: listed.name } : { name: listed.name, value });
                }}
              />
            </Strip>
          </div>
        ))}
    </SetupPart>
  );
}
