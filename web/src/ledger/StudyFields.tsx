import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { api, dataOf } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital } from "../shared/format";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { TextField } from "../shared/ui/TextField";
import { SelectField } from "../shared/ui/SelectField";
import type { Entry, StudyDraft } from "./studyDraft";
import { ReferenceFile } from "./ReferenceFile";
import { DESIGNS, SERIES } from "./words";

type Faults = Record<string, string | undefined>;

interface FieldsProps {
  draft: StudyDraft;
  faults: Faults;
  put: (part: Partial<StudyDraft>) => void;
}

/** A step of the form under a small heading. */
function Step({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="mt-6 border-t border-line pt-3">
      <legend className="pr-3 font-serif text-xl font-semibold">{title}</legend>
      <div className="flex flex-col gap-4">{children}</div>
    </fieldset>
  );
}

/** What a study is about: a test, a condition that it is read for, and the answer that was counted. */
export function AboutFields({ draft, faults, put, fixed }: FieldsProps & { fixed: boolean }) {
  const library = useQuery({
    queryKey: keys.library,
    queryFn: () => dataOf(api.GET("/api/library")),
    staleTime: Infinity,
  });
  const sheet = useQuery({
    queryKey: keys.testSheet(draft.test),
    queryFn: () => dataOf(api.GET("/api/library/tests/{id}", { params: { path: { id: draft.test } } })),
    enabled: draft.test !== "",
  });
  const tests = library.data?.tests ?? [];
  const regions = [...new Set(tests.map((test) => test.region))];
  const reads = draft.test === "" ? [] : (sheet.data?.reads ?? []);
  const reading = reads.find((each) => each.conditionId === draft.condition);
  const criteria = (reading?.criteria ?? []).map((id): [string, string] => [
    id,
    capital(sheet.data?.criteria.find((criterion) => criterion.id === id)?.counts ?? id),
  ]);
  return (
    <Step title="What it is about">
      {!fixed && (
        <>
          <SelectField
            id="study-test"
            label="Test"
            value={draft.test}
            fault={faults.test}
            options={regions.map((region) => ({
              group: capital(region),
              options: tests
                .filter((test) => test.region === region)
                .map((test): [string, string] => [
                  test.id,
                  test.usualName ? `${test.shortName} (${test.usualName})` : test.shortName,
                ]),
            }))}
            onChoose={(test) => {
              put({ test, condition: "", criterion: "" });
            }}
          />
          <SelectField
            id="study-condition"
            label="Condition"
            hint="Those that this test is read for."
            value={draft.condition}
            fault={faults.condition}
            options={[{ options: reads.map((each): [string, string] => [each.conditionId, each.conditionName]) }]}
            onChoose={(condition) => {
              const by = reads.find((each) => each.conditionId === condition)?.criteria ?? [];
              put({ condition, criterion: by.length === 1 ? (by[0] ?? "") : "" });
            }}
          />
        </>
      )}
      {(criteria.length > 0 || faults.criterion) && (
        <ChoiceGroup
          id="study-criterion"
          label="Which of our answers the study counted as positive"
          hint="Figures of one kind of answer are never used for another."
          value={draft.criterion}
          options={criteria}
          fault={faults.criterion}
          onChoose={(criterion) => {
            put({ criterion });
          }}
        />
      )}
      <TextField
        id="study-positive"
        label="In the study’s own words"
        hint="When it counted an answer as positive."
        value={draft.positiveMeant}
        fault={faults.positiveMeant}
        onChange={(positiveMeant) => {
          put({ positiveMeant });
        }}
      />
      <TextField
        id="study-target"
        label="What it looked for"
        hint="Its own words; leave empty if it is our condition."
        value={draft.target}
        fault={faults.target}
        onChange={(target) => {
          put({ target });
        }}
      />
    </Step>
  );
}

const ENTRIES: [Entry, string][] = [
  ["counts", "Four counts"],
  ["proportions", "Proportions"],
  ["ratios", "Only likelihood ratios"],
];

/** What the study found, in the form in which it was published. */
export function FoundFields({ draft, faults, put }: FieldsProps) {
  const number = (field: keyof StudyDraft, label: string) => (
    <TextField
      key={field}
      id={`study-${field}`}
      label={label}
      inputMode="decimal"
      value={draft[field]}
      fault={faults[field]}
      onChange={(value) => {
        put({ [field]: value });
      }}
    />
  );
  return (
    <Step title="What it found">
      <ChoiceGroup
        id="study-entry"
        label="It publishes"
        value={draft.entry}
        options={ENTRIES}
        fault={faults.counts}
        onChoose={(entry) => {
          put({ entry: entry as Entry });
        }}
      />
      {draft.entry === "counts" ? (
        <div className="grid max-w-2xl grid-cols-2 gap-x-4 gap-y-3">
          {number("tp", "With it, positive")}
          {number("fp", "Without it, positive")}
          {number("fn", "With it, negative")}
          {number("tn", "Without it, negative")}
        </div>
      ) : (
        <>
          {draft.entry === "proportions" && (
            <div className="grid max-w-2xl grid-cols-2 gap-x-4 gap-y-3">
              {number("sensitivity", "Sensitivity, 0 to 1")}
              {number("specificity", "Specificity, 0 to 1")}
            </div>
          )}
          <div className="grid max-w-2xl grid-cols-2 gap-x-4 gap-y-3">
            {number("lrPositive", "LR+, if published")}
            {number("lrNegative", "LR−, if published")}
          </div>
          <div className="grid max-w-2xl grid-cols-3 items-end gap-x-4 gap-y-3">
            {number("with", "Patients with it")}
            {number("without", "Without it")}
            {number("total", "In all")}
          </div>
        </>
      )}
    </Step>
  );
}

/** Whom it measured, by whom and against what. */
export function HowFields({ draft, faults, put }: FieldsProps) {
  const text = (field: keyof StudyDraft, label: string, hint?: string) => (
    <TextField
      id={`study-${field}`}
      label={label}
      {...(hint === undefined ? {} : { hint })}
      value={draft[field]}
      fault={faults[field]}
      onChange={(value) => {
        put({ [field]: value });
      }}
    />
  );
  const designs = DESIGNS.some(([known]) => known === draft.design)
    ? DESIGNS
    : [...DESIGNS, [draft.design, draft.design] as [string, string]];
  return (
    <>
      <Step title="How it was done">
        <ChoiceGroup
          id="study-design"
          label="Design"
          value={draft.design}
          options={designs}
          fault={faults.design}
          onChoose={(design) => {
            put({ design });
          }}
        />
        <ChoiceGroup
          id="study-originator"
          label="By those who proposed the test?"
          hint="They find more than others do; the synthesis allows for it."
          value={draft.originator}
          options={[
            ["no", "No"],
            ["yes", "Yes"],
          ]}
          onChoose={(originator) => {
            put({ originator });
          }}
        />
        <ChoiceGroup
          id="study-series"
          label="Patients were seen"
          value={draft.series}
          options={SERIES}
          onChoose={(series) => {
            put({ series: series as StudyDraft["series"] });
          }}
        />
        {text("population", "Which patients")}
        {text("referenceStandard", "Compared with", "Arthroscopy, ultrasound, nerve study …")}
      </Step>
      <Step title="Where it stands">
        {text("citation", "Source", "Authors, journal, year; a DOI or PMID if there is one. Nothing is fetched.")}
        <ReferenceFile
          onTake={(citation) => {
            put({ citation });
          }}
        />
        {text("note", "Note")}
      </Step>
      <Step title="Whether it is used">
        <ChoiceGroup
          id="study-used"
          label="Use it for weighing"
          value={draft.used}
          options={[
            ["yes", "Yes"],
            ["no", "No, keep it to be seen"],
          ]}
          onChoose={(used) => {
            put({ used });
          }}
        />
        {draft.used === "no" && text("unused", "Why not", "Such as: compared with healthy people only.")}
      </Step>
    </>
  );
}
