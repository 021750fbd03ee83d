import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { decimal } from "../shared/format";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";

type Figure = Schemas["FigureJson"];

const SIZES: [string, string][] = [
  ["25", "25 and 25"],
  ["100", "100 and 100"],
  ["500", "500 and 500"],
];

/** What one more independent study would narrow, if it found what is expected. Asked for by size. */
export function OneMoreStudy({ testId, conditionId }: { testId: string; conditionId: string }) {
  const [patients, setPatients] = useState("");
  const more = useQuery({
    queryKey: keys.oneMore(testId, conditionId, patients),
    queryFn: () =>
      dataOf(
        api.GET("/api/library/tests/{id}/one-more", {
          params: { path: { id: testId }, query: { condition: conditionId, patients: Number(patients) } },
        }),
      ),
    enabled: patients !== "",
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  return (
    <div className="no-print">
      <ChoiceGroup
        id="one-more"
        label="What would one more study change?"
        hint="An independent one that finds what is expected, with as many patients with it and without it."
        value={patients}
        options={SIZES}
        onChoose={setPatients}
      />
      <div className="mt-2 min-h-16 text-read" role="status">
        {more.isFetching && <p className="text-soft">Working it out …</p>}
        {more.isError && <p>{more.error.message}</p>}
        {more.data && !more.isFetching && (
          <>
            <p>
              LR+ could be {range(more.data.positiveBefore)}; then <strong>{range(more.data.positiveAfter)}</strong>.
            </p>
            <p>
              LR− could be {range(more.data.negativeBefore)}; then <strong>{range(more.data.negativeAfter)}</strong>.
            </p>
            <p className="text-note text-soft">What is left is how clinics differ: no single study takes that away.</p>
          </>
        )}
      </div>
    </div>
  );
}

function range(figure: Figure): string {
  return `${decimal(figure.lower ?? figure.value)} to ${decimal(figure.upper ?? figure.value)}`;
}
