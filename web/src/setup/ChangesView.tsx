import { useQuery } from "@tanstack/react-query";
import { api, dataOf } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { when } from "../shared/format";
import { Waiting } from "../shared/ui/Message";
import { SetupPart } from "./SetupPart";

/** Every change of a setting, newest first. */
export function ChangesView() {
  const changes = useQuery({
    queryKey: keys.settingHistory,
    queryFn: () => dataOf(api.GET("/api/settings/history")),
    staleTime: 0,
  });
  return (
    <SetupPart
      title="Who changed what"
      about="Every change of a school, threshold, estimate or unit. An examination keeps the settings it began with."
      shared={false}
    >
      {changes.isPending && <Waiting what="the changes" />}
      {changes.data?.length === 0 && <p className="text-read">Nothing was changed yet: everything is as it ships.</p>}
      {changes.data && changes.data.length > 0 && (
        <table className="w-full">
          <thead>
            <tr className="text-left text-note text-soft">
              <th scope="col" className="font-normal">
                When
              </th>
              <th scope="col" className="font-normal">
                Who
              </th>
              <th scope="col" className="font-normal">
                What
              </th>
              <th scope="col" className="font-normal">
                From
              </th>
              <th scope="col" className="font-normal">
                To
              </th>
            </tr>
          </thead>
          <tbody>
            {changes.data.map((change, index) => (
              <tr key={index} className="border-t border-line align-top text-read">
                <td className="py-2 pr-4 whitespace-nowrap">{when(change.at)}</td>
                <td className="py-2 pr-4">{change.author}</td>
                <td className="py-2 pr-4">{change.label}</td>
                <td className="py-2 pr-4">{change.before ?? "as it ships"}</td>
                <td className="py-2">{change.after ?? "as it ships"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </SetupPart>
  );
}
