import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Fetched } from "../shared/ui/Fetched";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { capital, REGIONS } from "../shared/format";
import { useAddress } from "../shared/useAddress";
import { Button } from "../shared/ui/Button";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { FormFault } from "../shared/ui/FormFault";
import { Waiting } from "../shared/ui/Message";
import { DrillCard } from "./DrillCard";

type Kind = Schemas["DrillJson"]["kind"];
type Drill = Schemas["DrillJson"];

const KINDS: Record<Kind, [string, string]> = {
  READ: ["Read it", "What does this answer say?"],
  SEPARATE: ["Which test", "Tell two conditions apart."],
  MOVE: ["Move the chance", "How far does one finding go?"],
  NAME: ["Name it", "Figures and names."],
  ORDER: ["Put in order", "Six tests."],
  SET: ["The set", "Is its level decided?"],
};

/** Exercises of two minutes; what was missed comes back. */
export function DrillsView() {
  const [address, setAddress] = useAddress({ region: "shoulder", drill: "" });
  const region = REGIONS.includes(address.region) ? address.region : "shoulder";
  const kind = (Object.keys(KINDS) as Kind[]).find((each) => each === address.drill);
  const stand = useQuery({
    queryKey: keys.drillStand(region),
    queryFn: () => dataOf(api.GET("/api/practice/drills", { params: { query: { region } } })),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">Drills</h1>
      <p className="text-read text-soft">A question at a time. What you miss comes again soon, what you know later.</p>
      <div className="mt-4">
        <ChoiceGroup
          id="drill-region"
          label="Where"
          value={region}
          options={REGIONS.map((each) => [each, capital(each)])}
          onChoose={(each) => {
            setAddress({ region: each });
          }}
        />
      </div>
      <div className="mt-4 grid gap-8 lg:grid-cols-[18rem_minmax(0,1fr)]">
        <Fetched query={stand} what="The drills">
          {(rows) => (
            <ul aria-label="Kinds of drill" className="flex gap-2 overflow-x-auto lg:flex-col lg:gap-0">
              {rows.map((row) => (
                <li key={row.kind} className="shrink-0 lg:border-t lg:border-line lg:py-1">
                  <Button
                    look="choice"
                    chosen={row.kind === kind}
                    className="w-full"
                    onClick={() => {
                      setAddress({ drill: row.kind });
                    }}
                  >
                    <strong>{KINDS[row.kind][0]}</strong>
                    <span className={`block text-note ${row.kind === kind ? "" : "text-soft"}`}>
                      {row.due > 0 ? `${String(row.due)} due · ` : ""}
                      {row.known} of {row.items} known
                    </span>
                  </Button>
                </li>
              ))}
            </ul>
          )}
        </Fetched>
        {kind ? (
          <Drilling key={`${region} ${kind}`} region={region} kind={kind} />
        ) : (
          <p className="text-read text-soft">Choose a kind to begin.</p>
        )}
      </div>
    </>
  );
}

function Drilling({ region, kind }: { region: string; kind: Kind }) {
  const cache = useQueryClient();
  const [number, setNumber] = useState(0);
  const [right, setRight] = useState(0);
  const [done, setDone] = useState(0);
  const next = useQuery({
    queryKey: [...keys.drillStand(region), kind, number],
    queryFn: () => dataOf(api.GET("/api/practice/drills/next", { params: { query: { region, kind } } })),
    staleTime: Infinity,
    gcTime: 0,
  });
  const answer = useMutation({
    mutationFn: ({ drill, values, chance }: { drill: Drill; values: string[]; chance: number | null }) =>
      dataOf(
        api.POST("/api/practice/drills/answers", {
          body: { kind: drill.kind, region: drill.region, about: drill.about, seed: drill.seed, values, chance },
        }),
      ),
    onSuccess: (marked) => {
      setDone(done + 1);
      setRight(right + (marked.right ? 1 : 0));
      void cache.invalidateQueries({ queryKey: keys.drillStand(region), exact: true });
    },
  });
  const faults = Object.values(faultsOf(answer.error));
  return (
    <section aria-label={KINDS[kind][0]}>
      <p className="text-note text-soft" role="status">
        {KINDS[kind][1]} {done > 0 && `${String(right)} of ${String(done)} right.`}
      </p>
      <FormFault>{faults[0] ?? next.error?.message}</FormFault>
      {next.data ? (
        <DrillCard
          key={number}
          drill={next.data}
          marked={answer.data}
          busy={answer.isPending}
          onAnswer={(values, chance) => {
            answer.mutate({ drill: next.data, values, chance });
          }}
          onNext={() => {
            answer.reset();
            setNumber(number + 1);
          }}
        />
      ) : (
        !next.error && <Waiting what="a question" />
      )}
    </section>
  );
}
