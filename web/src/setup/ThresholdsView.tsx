import { Waiting } from "../shared/ui/Message";
import { ChanceField } from "./ChanceField";
import { SetupPart } from "./SetupPart";
import { useSettings } from "../shared/useSettings";

/** From which chance something is done. */
export function ThresholdsView() {
  const settings = useSettings();
  if (!settings) {
    return <Waiting what="the thresholds" />;
  }
  return (
    <SetupPart
      title="Thresholds"
      about="From which chance, in 100, a condition is set aside, tested further or acted on. Working defaults."
    >
      <dl className="grid max-w-2xl grid-cols-[1fr_auto] items-center gap-x-6">
        {settings.thresholds.map((each) => (
          <div key={each.name} className="contents">
            <dt className="border-t border-line py-2 text-read">{each.label}</dt>
            <dd className="border-t border-line py-2">
              <ChanceField setting={each} label={each.label} />
            </dd>
          </div>
        ))}
      </dl>
    </SetupPart>
  );
}
