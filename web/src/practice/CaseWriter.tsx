import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, REGIONS } from "../shared/format";
import { AddTest } from "../shared/tests/AddTest";
import { useRegion } from "../shared/tests/useRegion";
import { Button } from "../shared/ui/Button";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { Waiting } from "../shared/ui/Message";
import { SelectField } from "../shared/ui/SelectField";
import { TextField } from "../shared/ui/TextField";
import { caseText, EMPTY, type CaseDraft } from "./caseText";

type Form = Schemas["IntakeFormJson"];
type Region = Schemas["RegionJson"];

/** A patient written by a teacher: who, what is wrong, what is told, and answers that are to be as written. */
export function CaseWriter({ onWritten }: { onWritten: (title: string, text: string) => void }) {
  const [draft, setDraft] = useState<CaseDraft>(EMPTY);
  const form = useQuery({
    queryKey: keys.intakeForm(draft.region),
    queryFn: () =>
      dataOf(api.GET("/api/library/regions/{region}/intake", { params: { path: { region: draft.region } } })),
    staleTime: Infinity,
  });
  const region = useRegion(draft.region);
  const change = (part: Partial<CaseDraft>) => {
    setDraft({ ...draft, ...part });
  };
  const scales = new Set(form.data?.questions.filter((each) => each.from != null).map((each) => each.id));
  const places = form.data?.zones.filter((each) => !each.byStory) ?? [];
  const zone = draft.story["zone"] ?? (places.length === 1 ? places.map((each) => each.id) : []);
  const written = () => {
    const text = caseText({ ...draft, story: { ...draft.story, zone } }, scales);
    onWritten(draft.title.trim() || `${capital(draft.region)}, written here`, text);
  };
  return (
    <fieldset className="flex flex-col gap-4 bg-sheet px-4 py-3">
      <legend className="text-xl font-semibold">A patient of your own</legend>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          id="case-title"
          label="Title"
          value={draft.title}
          onChange={(title) => {
            change({ title });
          }}
        />
        <TextField
          id="case-work"
          label="Work"
          value={draft.occupation}
          onChange={(occupation) => {
            change({ occupation });
          }}
        />
        <TextField
          id="case-age"
          label="Age"
          inputMode="numeric"
          value={draft.age}
          onChange={(age) => {
            change({ age });
          }}
        />
        <TextField
          id="case-opening"
          label="Begins with"
          hint="What the patient says unasked"
          value={draft.opening}
          onChange={(opening) => {
            change({ opening });
          }}
        />
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <ChoiceGroup
          id="case-region"
          label="Where"
          value={draft.region}
          options={REGIONS.map((each) => [each, capital(each)])}
          onChoose={(each) => {
            setDraft({ ...draft, region: each, truth: [], story: {}, answers: {} });
          }}
        />
        <ChoiceGroup
          id="case-side"
          label="Side"
          value={draft.side}
          options={[
            ["left", "Left"],
            ["right", "Right"],
          ]}
          onChoose={(side) => {
            change({ side: side === "left" ? "left" : "right" });
          }}
        />
        <ChoiceGroup
          id="case-sex"
          label="Who"
          value={draft.sex}
          options={[
            ["woman", "Woman"],
            ["man", "Man"],
          ]}
          onChoose={(sex) => {
            change({ sex: sex === "man" ? "man" : "woman" });
          }}
        />
      </div>
      {form.data && region.data ? (
        <>
          <Truth draft={draft} form={form.data} region={region.data} change={change} />
          <Story draft={draft} form={form.data} change={change} zone={zone} />
          <Answers draft={draft} region={region.data} change={change} />
        </>
      ) : (
        <Waiting what="what can be told" />
      )}
      <div>
        <Button look="primary" onClick={written}>
          Add this patient
        </Button>
      </div>
    </fieldset>
  );
}

interface PartProps {
  draft: CaseDraft;
  change: (part: Partial<CaseDraft>) => void;
}

/** What is chosen, each with a way to take it out, and a list to choose more from. */
function Several({
  id,
  label,
  chosen,
  options,
  none,
  onChange,
}: {
  id: string;
  label: string;
  chosen: string[];
  options: [string, string][];
  none: string;
  onChange: (chosen: string[]) => void;
}) {
  const names = new Map(options);
  return (
    <div>
      <SelectField
        id={id}
        label={label}
        value=""
        none={none}
        options={[{ options: options.filter(([value]) => !chosen.includes(value)) }]}
        onChoose={(value) => {
          if (value) {
            onChange([...chosen, value]);
          }
        }}
      />
      {chosen.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-2">
          {chosen.map((value) => (
            <li key={value}>
              <Button
                aria-label={`Take out ${names.get(value) ?? value}`}
                onClick={() => {
                  onChange(chosen.filter((each) => each !== value));
                }}
              >
                {names.get(value) ?? value} ×
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Truth({ draft, form, region, change }: PartProps & { form: Form; region: Region }) {
  const here = new Set(form.zones.flatMap((zone) => zone.conditions));
  return (
    <Several
      id="case-truth"
      label="What is wrong"
      none={draft.truth.length === 0 ? "Nothing; choose what is" : "And besides"}
      chosen={draft.truth}
      options={region.conditions
        .filter((condition) => here.has(condition.value))
        .map((condition) => [condition.value, condition.label])}
      onChange={(truth) => {
        change({ truth });
      }}
    />
  );
}

function Story({ draft, form, change, zone }: PartProps & { form: Form; zone: string[] }) {
  const tell = (question: string, values: string[]) => {
    change({ story: { ...draft.story, [question]: values } });
  };
  const places = form.zones.filter((each) => !each.byStory);
  const facts = form.locks.flatMap((lock) => lock.facts.map((fact): [string, string] => [fact.id, fact.label]));
  return (
    <details className="border-t border-line pt-2">
      <summary className="min-h-11 cursor-pointer text-read font-semibold">What the patient tells</summary>
      <div className="mt-2 grid gap-4 sm:grid-cols-2">
        {places.length > 1 && (
          <SelectField
            id="case-zone"
            label="Where it hurts"
            value={zone[0] ?? ""}
            options={[{ options: places.map((each) => [each.id, each.label]) }]}
            onChoose={(value) => {
              tell("zone", value ? [value] : []);
            }}
          />
        )}
        <Several
          id="case-flags"
          label="Red flags"
          none="None; choose one"
          chosen={draft.story["red-flags"] ?? []}
          options={form.redFlags.map((flag) => [flag.id, flag.sign])}
          onChange={(values) => {
            tell("red-flags", values);
          }}
        />
        <Several
          id="case-facts"
          label="Reasons not to do a test"
          none="None; choose one"
          chosen={draft.story["facts"] ?? []}
          options={facts}
          onChange={(values) => {
            tell("facts", values);
          }}
        />
        {form.questions
          .filter((question) => !question.words)
          .map((question) => {
            const id = `case-${question.id}`;
            const values = draft.story[question.id] ?? [];
            const scale =
              question.from != null && question.to != null
                ? Array.from({ length: question.to - question.from + 1 }, (_, step): [string, string] => {
                    const value = String((question.from ?? 0) + step);
                    return [value, value];
                  })
                : undefined;
            const options = question.options.map((option): [string, string] => [option.value, option.label]);
            return question.many ? (
              <Several
                key={id}
                id={id}
                label={question.ask}
                none="Not told; choose"
                chosen={values}
                options={options}
                onChange={(chosen) => {
                  tell(question.id, chosen);
                }}
              />
            ) : (
              <SelectField
                key={id}
                id={id}
                label={question.ask}
                none="Not told"
                value={values[0] ?? ""}
                options={[{ options: scale ?? options }]}
                onChoose={(value) => {
                  tell(question.id, value ? [value] : []);
                }}
              />
            );
          })}
      </div>
    </details>
  );
}

function Answers({ draft, region, change }: PartProps & { region: Region }) {
  const [chosen, setChosen] = useState<string>();
  const test = region.tests.find((each) => each.id === chosen);
  const names = new Map(region.tests.map((each) => [each.id, each.shortName]));
  const whole = test
    ? [...(test.nothing.length > 0 ? [{ label: "Nothing", parts: test.nothing }] : []), ...test.usual]
    : [];
  return (
    <details className="border-t border-line pt-2">
      <summary className="min-h-11 cursor-pointer text-read font-semibold">Answers that are to be as written</summary>
      <p className="text-note text-soft">All others are drawn from the figures for what is wrong.</p>
      <ul className="mt-1">
        {Object.entries(draft.answers).map(([id, answer]) => (
          <li key={id} className="flex items-center gap-3 text-read">
            {names.get(id)}: {answer.label.toLowerCase()}
            <button
              type="button"
              className="min-h-11 text-note underline"
              onClick={() => {
                change({
                  answers: Object.fromEntries(Object.entries(draft.answers).filter(([each]) => each !== id)),
                });
              }}
            >
              take out
            </button>
          </li>
        ))}
      </ul>
      <div className="-mx-3 mt-2">
        <AddTest tests={region.tests} shared={region.sharedNames} region={draft.region} onGo={setChosen} />
      </div>
      {test && (
        <div role="group" aria-label={`Answer to ${test.name}`} className="mt-2">
          <p className="text-read font-semibold">{test.name}</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {whole.map((answer) => (
              <Button
                key={answer.label}
                onClick={() => {
                  change({ answers: { ...draft.answers, [test.id]: answer } });
                  setChosen(undefined);
                }}
              >
                {answer.label}
              </Button>
            ))}
            {whole.length === 0 && <p className="text-read text-soft">It has no whole answers to choose from.</p>}
          </div>
        </div>
      )}
    </details>
  );
}
