import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, decimal } from "../shared/format";
import { Part, Sheet, SheetHead, ToSheet } from "./Sheet";

/** A published set of findings: what is counted, what each count weighs, and where that comes from. */
export function ClusterSheetView() {
  const { id = "" } = useParams();
  const sheet = useQuery({
    queryKey: keys.clusterSheet(id),
    queryFn: () => dataOf(api.GET("/api/library/clusters/{id}", { params: { path: { id } } })),
    staleTime: 60_000,
  });
  return (
    <Sheet query={sheet} what="the set">
      {(data) => <ClusterSheet sheet={data} />}
    </Sheet>
  );
}

function ClusterSheet({ sheet }: { sheet: Schemas["ClusterSheetJson"] }) {
  const blocks = [...new Set(sheet.components.map((component) => component.block))];
  return (
    <>
      <title>{`${sheet.name} · Lexicor`}</title>
      <SheetHead kind="Set of findings" />
      <h1 className="font-serif text-head font-semibold">{sheet.name}</h1>
      <p className="text-read">
        Counts for{" "}
        <ToSheet kind="conditions" id={sheet.conditionId}>
          {sheet.conditionName}
        </ToSheet>
        . {sheet.counted ? "Counted at the bench." : "Not counted at the bench yet."}
      </p>
      {sheet.note && <p className="mt-1 text-read">{sheet.note}.</p>}
      {sheet.byInventors && (
        <p className="mt-1 text-read">
          Known only from those who derived it. No independent check is in the ledger: expect less elsewhere.
        </p>
      )}
      {sheet.fits != null && (
        <p className="mt-1 text-note text-soft">
          {sheet.fits
            ? "The published levels and the figures of its parts can be true together."
            : "The published levels contradict the figures of its parts, so “at least” is not turned into exact counts."}
        </p>
      )}
      <div className="grid gap-x-10 lg:grid-cols-2">
        <Part title="What is counted">
          {blocks.map((block) => {
            const members = sheet.components.filter((component) => component.block === block);
            return (
              <div key={block}>
                {block && (
                  <h3 className="mt-2 text-note font-semibold text-soft">
                    {capital(block)}: {members[0]?.atMost} of these count
                  </h3>
                )}
                <ol className="text-read">
                  {members.map((component) => (
                    <li key={component.name} className="flex gap-3 border-b border-line py-1.5">
                      <svg width={20} height={20} viewBox="0 0 20 20" aria-hidden="true" className="mt-1 shrink-0">
                        <rect
                          x={2}
                          y={2}
                          width={16}
                          height={16}
                          fill="var(--color-sheet)"
                          stroke="var(--color-edge)"
                          strokeWidth={2}
                        />
                      </svg>
                      <span>
                        {component.testIds.length === 1 ? (
                          <ToSheet kind="tests" id={component.testIds[0] ?? ""}>
                            {component.name}
                          </ToSheet>
                        ) : (
                          component.name
                        )}
                        {component.counts && (
                          <span className="block text-note text-soft">{capital(component.counts)}</span>
                        )}
                      </span>
                    </li>
                  ))}
                </ol>
              </div>
            );
          })}
        </Part>
        <Part title="What each count weighs">
          <table className="w-full border-collapse text-read">
            <thead>
              <tr className="border-b-2 border-ink text-left text-note">
                <th className="py-1 font-semibold">Count</th>
                <th className="text-right font-semibold">Published LR</th>
                <th className="text-right font-semibold">Of exactly this</th>
                <th className="pl-4 font-semibold">How</th>
              </tr>
            </thead>
            <tbody>
              {sheet.levels.map((level) => (
                <tr key={level.name} className="border-b border-line align-top">
                  <th scope="row" className="py-1.5 text-left font-semibold">
                    {capital(level.name)}
                  </th>
                  <td className="py-1.5 text-right">
                    {level.published == null ? "–" : decimal(level.published)}
                    {level.orMore && <span className="block text-note text-soft">for {level.from} or more</span>}
                  </td>
                  <td className="py-1.5 text-right font-semibold">
                    {level.exact == null ? "–" : decimal(level.exact)}
                  </td>
                  <td className="py-1.5 pl-4 text-note">
                    {capital(level.how)}
                    {level.record && <span className="text-soft"> · {level.record}</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Part>
      </div>
      {sheet.records.length > 0 && (
        <Part title="Where it comes from">
          <ul className="text-read">
            {sheet.records.map((record) => (
              <li key={record.id} className="border-b border-line py-1.5">
                <strong>{record.id}</strong> {record.citation}: {record.criterion}{" "}
                <span className="block text-note text-soft">
                  {record.population}; {record.referenceStandard}; {record.reviewState}.{" "}
                  {record.note && `${capital(record.note)}. `}
                  {capital(record.because)}.
                </span>
              </li>
            ))}
          </ul>
        </Part>
      )}
    </>
  );
}
