import { Waiting } from "../shared/ui/Message";
import { NumberField } from "./NumberField";
import { SetupPart } from "./SetupPart";
import { useSettings } from "../shared/useSettings";

/** From which difference on a measure at the next visit counts as a change. */
export function NoiseView() {
  const settings = useSettings();
  if (!settings) {
    return <Waiting what="the measurement noise" />;
  }
  return (
    <SetupPart
      title="Measurement noise"
      about="How far two measures of one person may part though nothing has changed. Working estimates; put in your own once you have them. With both an amount and a share, the larger counts."
    >
      <table className="w-full max-w-3xl text-read">
        <thead>
          <tr className="text-left text-note text-soft">
            <th className="py-1 font-normal">Measure</th>
            <th className="font-normal">Amount</th>
            <th className="font-normal">Share of the reading, %</th>
            <th className="font-normal">Better is</th>
          </tr>
        </thead>
        <tbody>
          {settings.noise.map((each) => (
            <tr key={each.label} className="border-t border-line">
              <th scope="row" className="py-2 pr-3 text-left font-normal">
                {each.label}
              </th>
              <td>
                {each.amount && (
                  <span className="flex items-center gap-2">
                    <NumberField setting={each.amount} label={`${each.label}, ${each.unit}`} most={1000} digits={1} />
                    {each.unit}
                  </span>
                )}
              </td>
              <td>
                {each.share && (
                  <NumberField setting={each.share} label={`${each.label}, percent`} most={100} digits={1} />
                )}
              </td>
              <td>{each.better === "MORE" ? "more" : "less"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </SetupPart>
  );
}
