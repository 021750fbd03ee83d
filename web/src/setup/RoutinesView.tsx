import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, REGIONS } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { Message, Waiting } from "../shared/ui/Message";
import { minuteWords } from "../plan";
import { RoutineEditor } from "./RoutineEditor";
import { SetupPart } from "./SetupPart";

/** Whether a routine is the one that was chosen; ids are unique among the clinic's own, and among those that ship. */
function keyOf(routine: Schemas["RoutineJson"]): string {
  return `${routine.own ? "own" : "ready"} ${routine.id}`;
}

/** The routines of each region: those that ship, to be copied, and the clinic's own, to be changed. */
export function RoutinesView() {
  const [region, setRegion] = useState("shoulder");
  const [chosen, setChosen] = useState<string>();
  const routines = useQuery({
    queryKey: keys.routines(region),
    queryFn: () => dataOf(api.GET("/api/routines", { params: { query: { region } } })),
  });
  const tests = useQuery({
    queryKey: keys.region(region),
    queryFn: () => dataOf(api.GET("/api/library/regions/{region}", { params: { path: { region } } })),
  });
  const routine = routines.data?.find((each) => keyOf(each) === chosen) ?? routines.data?.[0];
  return (
    <SetupPart
      title="Routines"
      about="Orders of work to start a plan from. Copy one that ships and make it yours, or change your own."
    >
      <Strip label="Region">
        {REGIONS.map((each) => (
          <Button
            key={each}
            look="choice"
            chosen={each === region}
            onClick={() => {
              setRegion(each);
              setChosen(undefined);
            }}
          >
            {capital(each)}
          </Button>
        ))}
      </Strip>
      {routines.isError || tests.isError ? (
        <Message
          title="The routines could not be read"
          action={
            <Button
              onClick={() => {
                void routines.refetch();
                void tests.refetch();
              }}
            >
              Try again
            </Button>
          }
        >
          Those you have are kept on the server.
        </Message>
      ) : !routines.data || !tests.data || !routine ? (
        <Waiting what="the routines" />
      ) : (
        <>
          <ul aria-label="Routines" className="mt-4 flex flex-wrap gap-1.5">
            {routines.data.map((each) => (
              <li key={keyOf(each)}>
                <Button
                  look="choice"
                  chosen={each === routine}
                  onClick={() => {
                    setChosen(keyOf(each));
                  }}
                >
                  {each.name}{" "}
                  <span className="text-note">
                    {each.own ? "ours" : "ships"} · {each.steps.length} tests · {minuteWords(each.minutes)}
                  </span>
                </Button>
              </li>
            ))}
          </ul>
          <RoutineEditor
            key={region + keyOf(routine) + routine.text}
            routine={routine}
            tests={tests.data.tests}
            shared={tests.data.sharedNames}
            taken={routines.data.filter((each) => each.own).map((each) => each.id)}
            onKept={(id) => {
              setChosen(id === undefined ? undefined : `own ${id}`);
            }}
          />
        </>
      )}
    </SetupPart>
  );
}
