import { useState } from "react";
import { capital } from "../shared/format";
import { Waiting } from "../shared/ui/Message";
import { ChanceField } from "./ChanceField";
import { SetupPart } from "./SetupPart";
import { useSettings } from "../shared/useSettings";

/** Where each condition starts in this clinic. */
export function EstimatesView() {
  const settings = useSettings();
  const [search, setSearch] = useState("");
  if (!settings) {
    return <Waiting what="the estimates" />;
  }
  const found = settings.estimates.filter((each) =>
    `${each.condition} ${each.region}`.toLowerCase().includes(search.trim().toLowerCase()),
  );
  const regions = [...new Set(found.map((each) => each.region))];
  return (
    <SetupPart
      title="Starting estimates"
      about="Working estimates, in 100 people who come with pain of that region or zone. They are not study results: edit them for your clinic."
    >
      <label className="text-note">
        Find a condition
        <input
          type="search"
          value={search}
          onChange={(event) => {
            setSearch(event.target.value);
          }}
          className="ml-2 min-h-11 w-60 rounded border border-edge bg-sheet px-3 text-read"
        />
      </label>
      {found.length === 0 && (
        <p role="status" className="mt-4 text-read">
          No condition matches “{search.trim()}”.
        </p>
      )}
      {regions.map((region) => (
        <table key={region} className="mt-5 w-full max-w-3xl">
          <caption className="text-left font-serif text-xl font-semibold">{capital(region)}</caption>
          <thead>
            <tr className="text-left text-note text-soft">
              <th scope="col" className="font-normal">
                Condition
              </th>
              <th scope="col" className="w-44 font-normal">
                First contact
              </th>
              <th scope="col" className="w-44 font-normal">
                Specialist clinic
              </th>
            </tr>
          </thead>
          <tbody>
            {found
              .filter((each) => each.region === region)
              .map((each) => (
                <tr key={each.conditionId} className="border-t border-line align-top">
                  <th scope="row" className="py-2 pr-3 text-left text-read font-normal">
                    {each.condition}
                  </th>
                  <td className="py-1">
                    <ChanceField setting={each.firstContact} label={`${each.condition}, first contact`} />
                  </td>
                  <td className="py-1">
                    <ChanceField setting={each.specialist} label={`${each.condition}, specialist clinic`} />
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </SetupPart>
  );
}
