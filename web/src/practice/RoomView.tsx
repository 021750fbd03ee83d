import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { Fetched } from "../shared/ui/Fetched";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { capital, numbered, REGIONS, when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { FormFault } from "../shared/ui/FormFault";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { KINDS, minutes } from "./words";

type Begin = Schemas["PracticeBeginning"];

/** Begin a patient, go on with one, see what is set. */
export function RoomView() {
  return (
    <div className="grid gap-10 lg:grid-cols-[1fr_1.1fr]">
      <Beginning />
      <div>
        <SetCases />
        <OwnCases />
      </div>
    </div>
  );
}

function Beginning() {
  const go = useNavigate();
  const cache = useQueryClient();
  const [draft, setDraft] = useState<Begin>({ region: "shoulder", showing: "AS_I_GO" });
  const opened = (made: Schemas["PracticeCaseJson"]) => {
    cache.setQueryData(keys.practiceCase(made.id), made);
    void cache.invalidateQueries({ queryKey: keys.practiceCases });
    void go(`/practice/cases/${made.id}`);
  };
  const begin = useMutation({
    mutationFn: (body: Begin) => dataOf(api.POST("/api/practice/cases", { body })),
    onSuccess: opened,
  });
  const written = useMutation({
    mutationFn: (text: string) =>
      dataOf(api.POST("/api/practice/cases/written", { body: { text, showing: draft.showing } })),
    onSuccess: opened,
  });
  const faults = { ...faultsOf(begin.error), ...faultsOf(written.error) };
  return (
    <section aria-labelledby="begin">
      <h1 id="begin" className="font-serif text-head font-semibold">
        A patient, please
      </h1>
      <p className="mt-1 text-read text-soft">
        Invented from the library and its figures. You know what is wrong once you have ended.
      </p>
      <div className="mt-4 flex flex-col gap-5">
        <ChoiceGroup
          id="region"
          label="Where"
          value={draft.region}
          options={REGIONS.map((region) => [region, capital(region)])}
          onChoose={(region) => {
            setDraft({ ...draft, region });
          }}
        />
        <ChoiceGroup
          id="kind"
          label="What kind"
          value={draft.kind ?? "any"}
          options={[["any", "Surprise me"], ...KINDS.map(([kind, name]): [string, string] => [kind, name])]}
          onChoose={(chosen) => {
            const kind = KINDS.find(([each]) => each === chosen)?.[0] ?? null;
            setDraft({ ...draft, kind });
          }}
        />
        {draft.kind && <p className="-mt-3 text-note text-soft">{KINDS.find(([kind]) => kind === draft.kind)?.[2]}</p>}
        <ChoiceGroup
          id="showing"
          label="The weighing beside mine"
          value={draft.showing}
          options={[
            ["AS_I_GO", "After each answer"],
            ["AT_END", "At the end"],
          ]}
          onChoose={(showing) => {
            setDraft({ ...draft, showing: showing === "AT_END" ? "AT_END" : "AS_I_GO" });
          }}
        />
        <FormFault>{Object.values(faults)[0]}</FormFault>
        <div className="flex flex-wrap items-center gap-3">
          <Button
            look="primary"
            disabled={begin.isPending}
            onClick={() => {
              begin.mutate(draft);
            }}
          >
            {begin.isPending ? "Somebody is coming …" : "Call the patient in"}
          </Button>
          <label className={`${QUIET_LINK} cursor-pointer focus-within:outline-3 focus-within:outline-ink`}>
            Open a case file
            <input
              type="file"
              accept=".yaml,.yml"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0];
                event.target.value = "";
                if (file) {
                  void file.text().then((text) => {
                    written.mutate(text);
                  });
                }
              }}
            />
          </label>
        </div>
      </div>
    </section>
  );
}

/** Cases that teachers set and that are not done yet. */
function SetCases() {
  const go = useNavigate();
  const cache = useQueryClient();
  const classes = useQuery({
    queryKey: keys.practiceClasses,
    queryFn: () => dataOf(api.GET("/api/practice/classes")),
  });
  const begin = useMutation({
    mutationFn: ({ id, series, place }: { id: string; series: string; place: number }) =>
      dataOf(
        api.POST("/api/practice/membership/{id}/series/{series}/{place}", { params: { path: { id, series, place } } }),
      ),
    onSuccess: (made) => {
      cache.setQueryData(keys.practiceCase(made.id), made);
      void go(`/practice/cases/${made.id}`);
    },
  });
  const open = (classes.data ?? [])
    .filter((each) => !each.mine)
    .flatMap((each) => each.series.map((series) => ({ of: each, series })))
    .filter(({ series }) => series.cases.some((one) => !one.ended));
  if (open.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="set" className="mb-8">
      <h2 id="set" className="text-xl font-semibold">
        Set for you
      </h2>
      <FormFault>{faultsOf(begin.error)["other"]}</FormFault>
      <ul>
        {open.map(({ of, series }) => (
          <li key={series.id} className="border-t border-line py-2">
            <p className="text-read">
              <strong>{series.name}</strong> <span className="text-soft">in {of.name}</span>
            </p>
            <div className="mt-1 flex flex-wrap gap-2">
              {series.cases.map((one) => (
                <Button
                  key={one.place}
                  disabled={one.ended || begin.isPending}
                  onClick={() => {
                    begin.mutate({ id: of.id, series: series.id, place: one.place });
                  }}
                >
                  {one.title}
                  <span className="block text-note text-soft">
                    {one.ended ? "done" : one.begun ? "go on" : capital(one.region)}
                  </span>
                </Button>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Rows of the list at first. */
const SHOWN = 8;

function OwnCases() {
  const cache = useQueryClient();
  const [all, setAll] = useState(false);
  const [sure, setSure] = useState<string>();
  const cases = useQuery({
    queryKey: keys.practiceCases,
    queryFn: () => dataOf(api.GET("/api/practice/cases")),
    staleTime: 0,
  });
  const remove = useMutation({
    mutationFn: (id: string) => dataOf(api.DELETE("/api/practice/cases/{id}", { params: { path: { id } } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: keys.practice }),
  });
  return (
    <section aria-labelledby="mine">
      <h2 id="mine" className="text-xl font-semibold">
        My patients
      </h2>
      <Fetched query={cases} what="The patients">
        {(rows) =>
          rows.length === 0 ? (
            <p className="mt-2 text-read text-soft">Nobody yet. Call the first one in.</p>
          ) : (
            <>
              <ul className="mt-2">
                {(all ? rows : rows.slice(0, SHOWN)).map((row) => (
                  <li key={row.id} className="flex items-center gap-3 border-t border-line py-1">
                    <Link to={`/practice/cases/${row.id}`} className="min-h-12 flex-1 py-1.5 hover:bg-tan">
                      <span className="block text-read">
                        {row.title || row.opening}
                        {!row.ended && <strong> · running</strong>}
                      </span>
                      <span className="block text-note text-soft">
                        {row.was && `It was ${row.was} · `}
                        {when(row.begunAt)} · {numbered(row.tests, "test")} · {minutes(row.minutes)}
                      </span>
                    </Link>
                    <Button
                      aria-label={`${sure === row.id ? "Really remove" : "Remove"} the patient of ${when(row.begunAt)}`}
                      onClick={() => {
                        if (sure === row.id) {
                          remove.mutate(row.id);
                        } else {
                          setSure(row.id);
                        }
                      }}
                    >
                      {sure === row.id ? "Really, and from my progress" : "Remove"}
                    </Button>
                  </li>
                ))}
              </ul>
              {rows.length > SHOWN && !all && (
                <Button
                  className="mt-2"
                  onClick={() => {
                    setAll(true);
                  }}
                >
                  All {rows.length}
                </Button>
              )}
            </>
          )
        }
      </Fetched>
    </section>
  );
}
