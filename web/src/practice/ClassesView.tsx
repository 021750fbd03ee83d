import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { Fetched } from "../shared/ui/Fetched";
import { usePerson } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { numbered } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { TextField } from "../shared/ui/TextField";
import { SeriesForm } from "./SeriesForm";
import { distance, minutes } from "./words";

type Class = Schemas["PracticeClassJson"];

/** Classes that one teaches or has joined. */
export function ClassesView() {
  const { roles } = usePerson();
  const teaches = roles.includes("THERAPIST") || roles.includes("STEWARD");
  const classes = useQuery({
    queryKey: keys.practiceClasses,
    queryFn: () => dataOf(api.GET("/api/practice/classes")),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">Classes</h1>
      <p className="max-w-3xl text-read text-soft">
        A teacher sets patients and sees what comes of them. Whoever joins says that the teacher may.
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-6 sm:grid-cols-2">
        <Join />
        {teaches && <Make />}
      </div>
      <Fetched query={classes} what="The classes">
        {(rows) => (
          <div className="mt-8 flex flex-col gap-10">
            {rows.map((each) => (each.mine ? <Taught key={each.id} of={each} /> : <Joined key={each.id} of={each} />))}
          </div>
        )}
      </Fetched>
    </>
  );
}

function useClasses() {
  const cache = useQueryClient();
  return () => cache.invalidateQueries({ queryKey: keys.practiceClasses });
}

function Join() {
  const refresh = useClasses();
  const [code, setCode] = useState("");
  const [may, setMay] = useState(false);
  const join = useMutation({
    mutationFn: () => dataOf(api.POST("/api/practice/membership", { body: { joinCode: code, teacherMaySee: may } })),
    onSuccess: () => {
      setCode("");
      setMay(false);
      return refresh();
    },
  });
  const faults = faultsOf(join.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    join.mutate();
  };
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-3">
      <TextField
        id="join-code"
        label="Join by code"
        value={code}
        fault={faults["joinCode"]}
        onChange={(value) => {
          setCode(value);
          join.reset();
        }}
      />
      <label className="flex min-h-11 items-center gap-3 text-read">
        <input
          type="checkbox"
          checked={may}
          className="size-5 accent-ink"
          onChange={(event) => {
            setMay(event.target.checked);
            join.reset();
          }}
        />
        The teacher may see what I end from now on
      </label>
      <FormFault>{faults["teacherMaySee"] ?? faults["other"]}</FormFault>
      <div>
        <Button type="submit" disabled={join.isPending}>
          Join
        </Button>
      </div>
    </form>
  );
}

function Make() {
  const refresh = useClasses();
  const [name, setName] = useState("");
  const make = useMutation({
    mutationFn: () => dataOf(api.POST("/api/practice/classes", { body: { name } })),
    onSuccess: () => {
      setName("");
      return refresh();
    },
  });
  const faults = faultsOf(make.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    make.mutate();
  };
  return (
    <form noValidate onSubmit={submit} className="flex flex-col gap-3">
      <TextField
        id="class-name"
        label="Teach a class"
        hint="Its name; you get a code to pass on."
        value={name}
        fault={faults["name"]}
        onChange={(value) => {
          setName(value);
          make.reset();
        }}
      />
      <FormFault>{faults["other"]}</FormFault>
      <div>
        <Button type="submit" disabled={make.isPending}>
          Make the class
        </Button>
      </div>
    </form>
  );
}

function Joined({ of }: { of: Class }) {
  const refresh = useClasses();
  const leave = useMutation({
    mutationFn: () => dataOf(api.DELETE("/api/practice/membership/{id}", { params: { path: { id: of.id } } })),
    onSuccess: refresh,
  });
  const cases = of.series.flatMap((series) => series.cases);
  return (
    <section aria-label={of.name}>
      <h2 className="text-xl font-semibold">{of.name}</h2>
      <p className="text-read text-soft">
        Taught by {of.teacher}. {cases.filter((each) => each.ended).length} of {numbered(cases.length, "patient")} done.
        They wait under Patients.
      </p>
      <Button
        className="mt-2"
        disabled={leave.isPending}
        onClick={() => {
          leave.mutate();
        }}
      >
        Leave: the teacher no longer sees what I did
      </Button>
    </section>
  );
}

function Taught({ of }: { of: Class }) {
  const refresh = useClasses();
  const [sure, setSure] = useState(false);
  const remove = useMutation({
    mutationFn: () => dataOf(api.DELETE("/api/practice/classes/{id}", { params: { path: { id: of.id } } })),
    onSuccess: refresh,
  });
  const removeSeries = useMutation({
    mutationFn: (series: string) =>
      dataOf(api.DELETE("/api/practice/classes/{id}/series/{series}", { params: { path: { id: of.id, series } } })),
    onSuccess: refresh,
  });
  return (
    <section aria-label={of.name}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-xl font-semibold">{of.name}</h2>
        <p className="text-read">
          Code <strong className="tracking-widest">{of.joinCode}</strong>
        </p>
        <span className="ml-auto flex flex-wrap gap-2">
          <a href={`/api/practice/classes/${of.id}/results.csv`} className={QUIET_LINK}>
            Results as a table
          </a>
          <Button
            disabled={remove.isPending}
            onClick={() => {
              if (sure) {
                remove.mutate();
              } else {
                setSure(true);
              }
            }}
          >
            {sure ? "Really remove the class" : "Remove"}
          </Button>
        </span>
      </div>
      <Members of={of} />
      <h3 className="mt-4 text-read font-semibold">Set</h3>
      {of.series.length === 0 && <p className="text-read text-soft">Nothing yet.</p>}
      <ul>
        {of.series.map((series) => (
          <li key={series.id} className="flex flex-wrap items-center gap-3 border-t border-line py-1 text-read">
            <strong>{series.name}</strong>
            <span className="text-soft">{series.cases.map((each) => `${each.title} (${each.region})`).join(", ")}</span>
            <Button
              className="ml-auto"
              aria-label={`Take ${series.name} back`}
              onClick={() => {
                removeSeries.mutate(series.id);
              }}
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
      <SeriesForm classId={of.id} />
    </section>
  );
}

function Members({ of }: { of: Class }) {
  if (of.members.length === 0) {
    return <p className="mt-2 text-read text-soft">Nobody has joined yet. Pass the code on.</p>;
  }
  return (
    <div className="mt-2 overflow-x-auto" tabIndex={0} role="group" aria-label={`Members of ${of.name}`}>
      <table className="w-full min-w-130 text-read">
        <caption className="text-left text-note text-soft">
          Since they joined. Distance of chances from the truth: 0 is perfect, 25 what a coin does
        </caption>
        <thead>
          <tr className="text-left text-note text-soft">
            <th className="py-1 font-normal">Who</th>
            <th className="font-normal">Patients</th>
            <th className="font-normal">Minutes</th>
            <th className="font-normal">Hurt for nothing</th>
            <th className="text-right font-normal">Start</th>
            <th className="text-right font-normal">Own</th>
            <th className="text-right font-normal">Weighing</th>
            <th className="pl-6 font-normal">Answers move them</th>
          </tr>
        </thead>
        <tbody>
          {of.members.map((member) => (
            <tr key={member.name} className="border-t border-line">
              <th scope="row" className="py-1.5 text-left font-normal">
                {member.name}
              </th>
              <td>{member.cases}</td>
              <td>{member.cases > 0 ? minutes(member.minutes) : "–"}</td>
              <td>{member.hurtCases}</td>
              {[member.start, member.own, member.weighed].map((score, place) => (
                <td key={place} className="text-right">
                  {score == null ? "–" : distance(score)}
                </td>
              ))}
              <td className="pl-6">
                {member.reaction
                  ? `× ${member.reaction.estimate.toFixed(1)} (${member.reaction.lower.toFixed(1)} to ${member.reaction.upper.toFixed(1)})`
                  : "too few moves"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
