import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { TextField } from "../shared/ui/TextField";

type Details = Schemas["CaseDetails"];

/** Details as they are typed. */
export interface DetailDraft {
  name: string;
  birthYear: string;
  dominance: string;
  occupation: string;
  sex: string;
}

export const EMPTY_DETAILS: DetailDraft = { name: "", birthYear: "", dominance: "", occupation: "", sex: "" };

/** The details to send, or what is wrong with them by field. */
export function detailsOf(draft: DetailDraft): { details: Details } | { fault: Record<string, string> } {
  const year = draft.birthYear.trim();
  if (year !== "" && !/^\d{4}$/.test(year)) {
    return { fault: { birthYear: "Four digits, such as 1974." } };
  }
  return {
    details: {
      ...(draft.name.trim() ? { name: draft.name } : {}),
      ...(year ? { birthYear: Number(year) } : {}),
      ...(draft.dominance ? { dominance: draft.dominance as NonNullable<Details["dominance"]> } : {}),
      occupation: draft.occupation,
      ...(draft.sex ? { sex: draft.sex as NonNullable<Details["sex"]> } : {}),
    },
  };
}

/** Year of birth, leading hand, occupation, sex; a name only where the clinic wants one. */
export function DetailFields({
  draft,
  faults,
  onChange,
}: {
  draft: DetailDraft;
  faults: Record<string, string>;
  onChange: (draft: DetailDraft) => void;
}) {
  const [named, setNamed] = useState(draft.name !== "");
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-[8rem_1fr]">
        <TextField
          id="birthYear"
          label="Year of birth"
          inputMode="numeric"
          value={draft.birthYear}
          fault={faults.birthYear}
          onChange={(birthYear) => {
            onChange({ ...draft, birthYear });
          }}
        />
        <TextField
          id="occupation"
          label="Occupation or sport"
          value={draft.occupation}
          fault={faults.occupation}
          onChange={(occupation) => {
            onChange({ ...draft, occupation });
          }}
        />
      </div>
      <ChoiceGroup
        id="dominance"
        label="Leading hand"
        value={draft.dominance}
        options={[
          ["RIGHT", "Right"],
          ["LEFT", "Left"],
          ["BOTH", "Both"],
        ]}
        onChoose={(dominance) => {
          onChange({ ...draft, dominance: dominance === draft.dominance ? "" : dominance });
        }}
      />
      <ChoiceGroup
        id="sex"
        label="Sex, where it changes how common things are"
        value={draft.sex}
        options={[
          ["WOMAN", "Woman"],
          ["MAN", "Man"],
        ]}
        onChoose={(sex) => {
          onChange({ ...draft, sex: sex === draft.sex ? "" : sex });
        }}
      />
      {named ? (
        <TextField
          id="name"
          label="Name"
          hint="Kept only if your clinic's rules allow it."
          value={draft.name}
          fault={faults.name}
          onChange={(name) => {
            onChange({ ...draft, name });
          }}
        />
      ) : (
        <button
          type="button"
          onClick={() => {
            setNamed(true);
          }}
          className="min-h-10 self-start text-note underline"
        >
          Add a name
        </button>
      )}
    </>
  );
}
