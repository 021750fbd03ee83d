import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent, type ReactNode } from "react";
import { Link, useNavigate } from "react-router";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { Wordmark } from "../shared/ui/Wordmark";

type Start = Schemas["StartRequest"];

const DRAFT = "lexicor.new-examination";
const CASE_CODE = /^[A-Za-z0-9][A-Za-z0-9./-]{0,19}$/;

interface Draft {
  id: string;
  caseCode: string;
  age: string;
  occupation: string;
  side?: Start["side"];
  setting: Start["setting"];
}

function restore(): Draft {
  const kept = window.sessionStorage.getItem(DRAFT);
  return kept ? (JSON.parse(kept) as Draft) : { id: crypto.randomUUID(), caseCode: "", age: "", occupation: "", setting: "FIRST_CONTACT" };
}

/** What is wrong with a draft, by field; empty where it can be sent. */
function faults(draft: Draft): Record<string, string> {
  const found: Record<string, string> = {};
  if (!CASE_CODE.test(draft.caseCode)) {
    found.caseCode = "Letters, digits, full stops, hyphens and strokes, at most 20. No names.";
  }
  if (!/^\d{1,3}$/.test(draft.age) || Number(draft.age) > 120) {
    found.age = "Whole years, 0 to 120.";
  }
  if (draft.occupation.trim() === "") {
    found.occupation = "A few words, such as sail mender.";
  }
  if (!draft.side) {
    found.side = "Choose the side that hurts.";
  }
  return found;
}

/** Starts an examination. What is typed survives a reload. */
export function NewExaminationView() {
  const [draft, setDraft] = useState(restore);
  const [shown, setShown] = useState<Record<string, string>>({});
  const navigate = useNavigate();
  const cache = useQueryClient();
  const start = useMutation({
    mutationFn: (request: Start) => dataOf(api.POST("/api/examinations", { body: request })),
    onSuccess: (examination) => {
      window.sessionStorage.removeItem(DRAFT);
      cache.setQueryData(keys.examination(examination.id), examination);
      void navigate(`/examinations/${examination.id}`);
    },
    onError: (fault) => {
      if (fault instanceof Refused) {
        setShown(Object.fromEntries(fault.problem.errors.map((error) => [error.field, error.message])));
      }
    },
  });
  const change = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    window.sessionStorage.setItem(DRAFT, JSON.stringify(next));
    setDraft(next);
    setShown((before) => Object.fromEntries(Object.entries(before).filter(([field]) => !(field in part))));
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const found = faults(draft);
    setShown(found);
    const first = Object.keys(found)[0];
    if (first) {
      document.getElementById(first)?.focus();
    } else if (draft.side) {
      start.mutate({ id: draft.id, caseCode: draft.caseCode, age: Number(draft.age), occupation: draft.occupation, region: "shoulder", side: draft.side, setting: draft.setting });
    }
  };
  return (
    <div className="mx-auto max-w-3xl px-5 pb-10">
      <header className="flex items-center justify-between border-b border-line py-2">
        <Wordmark />
        <Link to="/" className="flex min-h-12 items-center text-read underline">Back to the list</Link>
      </header>
      <main>
        <h1 className="mt-4 font-serif text-head font-semibold">Start a shoulder examination</h1>
        <p className="mt-1 text-read text-soft">The patient is known by a case code alone.</p>
        <form noValidate onSubmit={submit} className="mt-4 flex flex-col gap-4">
          <div className="grid gap-5 sm:grid-cols-[1fr_7rem]">
            <Field id="caseCode" label="Case code" value={draft.caseCode} fault={shown.caseCode} onChange={(caseCode) => { change({ caseCode }); }} />
            <Field id="age" label="Age" value={draft.age} fault={shown.age} numeric onChange={(age) => { change({ age }); }} />
          </div>
          <Field id="occupation" label="Occupation or sport" value={draft.occupation} fault={shown.occupation} onChange={(occupation) => { change({ occupation }); }} />
          <Choice id="side" label="Side that hurts" fault={shown.side}>
            <Button id="side" look="choice" chosen={draft.side === "RIGHT"} className="w-40" onClick={() => { change({ side: "RIGHT" }); }}>Right</Button>
            <Button look="choice" chosen={draft.side === "LEFT"} className="w-40" onClick={() => { change({ side: "LEFT" }); }}>Left</Button>
          </Choice>
          <Choice id="setting" label="Where the patient is seen" hint="Decides where the chances start. They are working estimates.">
            <Button look="choice" chosen={draft.setting === "FIRST_CONTACT"} onClick={() => { change({ setting: "FIRST_CONTACT" }); }}>First-contact clinic</Button>
            <Button look="choice" chosen={draft.setting === "SPECIALIST"} onClick={() => { change({ setting: "SPECIALIST" }); }}>Specialist clinic</Button>
          </Choice>
          <p className="border-l-4 border-ink pl-3 text-read">Red flags first: trauma with deformity, fever or hot joint, cancer history, chest tightness, spreading weakness. If any is present, refer per your local pathway before testing.</p>
          {start.isError && !(start.error instanceof Refused) && (
            <p role="alert" className="border-l-4 border-for pl-3 text-read">The server was not reached. What you typed is kept; try again.</p>
          )}
          <div><button type="submit" disabled={start.isPending} className="min-h-14 rounded border-2 border-ink bg-tan px-6 text-xl font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line">{start.isPending ? "Starting …" : "Start"}</button></div>
        </form>
      </main>
    </div>
  );
}

interface FieldProps {
  id: string;
  label: string;
  value: string;
  fault: string | undefined;
  numeric?: boolean;
  onChange: (value: string) => void;
}

function Field({ id, label, value, fault, numeric, onChange }: FieldProps) {
  return (
    <div>
      <label htmlFor={id} className="block text-read font-semibold">{label}</label>
      <input id={id} value={value} inputMode={numeric ? "numeric" : "text"} autoComplete="off" aria-invalid={fault !== undefined} aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(event) => { onChange(event.target.value); }} className="mt-1 min-h-12 w-full rounded border border-edge bg-sheet px-3 text-read aria-invalid:border-2 aria-invalid:border-for" />
      {fault && <p id={`${id}-fault`} className="mt-1 text-note text-for">{fault}</p>}
    </div>
  );
}

function Choice({ id, label, hint, fault, children }: { id: string; label: string; hint?: string; fault?: string | undefined; children: ReactNode }) {
  return (
    <div role="group" aria-labelledby={`${id}-label`}>
      <p id={`${id}-label`} className="text-read font-semibold">{label}</p>
      {hint && <p className="text-note text-soft">{hint}</p>}
      <div className="mt-1 flex flex-wrap gap-2">{children}</div>
      {fault && <p className="mt-1 text-note text-for">{fault}</p>}
    </div>
  );
}
