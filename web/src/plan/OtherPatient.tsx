import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { affected, whoIs } from "../shared/format";
import { Fetched } from "../shared/ui/Fetched";

/** Patients that are offered at once. */
const SHOWN = 8;

interface OtherPatientProps {
  region: string;
  /** The examination that another one is to be set beside. */
  besides: string;
  onChoose: (examination: string) => void;
}

/** Finds another patient with a complaint of the same region. */
export function OtherPatient({ region, besides, onChoose }: OtherPatientProps) {
  const [typed, setTyped] = useState(""); // a name has no place in an address
  const find = useDeferredValue(typed);
  const list = useQuery({
    queryKey: keys.cases(find, "", region, 0),
    queryFn: () => dataOf(api.GET("/api/cases", { params: { query: { find, page: 0, region } } })),
    placeholderData: keepPreviousData,
  });
  return (
    <section aria-label="Another patient">
      <label className="text-read">
        Another patient with a {region}
        <input
          type="search"
          value={typed}
          placeholder="code, name or occupation"
          onChange={(event) => {
            setTyped(event.target.value);
          }}
          className="mt-1 block min-h-12 w-full max-w-md rounded border border-edge bg-sheet px-3 text-read placeholder:text-soft"
        />
      </label>
      <Fetched query={list} what="The cases">
        {(cases) => {
          const others = cases.lines.filter((line) => line.examinationId !== besides).slice(0, SHOWN);
          return others.length === 0 ? (
            <p role="status" className="mt-3 text-read">
              {typed === "" ? `No other ${region} is on record yet.` : "No case matches."}
            </p>
          ) : (
            <ul className="mt-2 border-t border-line">
              {others.map((line) => (
                <Offered key={line.examinationId} line={line} onChoose={onChoose} />
              ))}
            </ul>
          );
        }}
      </Fetched>
    </section>
  );
}

function Offered({ line, onChoose }: { line: Schemas["CaseLine"]; onChoose: (examination: string) => void }) {
  return (
    <li className="border-b border-line">
      <button
        type="button"
        onClick={() => {
          onChoose(line.examinationId);
        }}
        className="min-h-12 w-full px-2 py-1 text-left text-read hover:bg-sheet"
      >
        <strong>{line.person.code}</strong> {whoIs(line.person)}{" "}
        <span className="text-note text-soft">· {affected(line.side, line.otherSideInvolved, line.region)}</span>
      </button>
    </li>
  );
}
