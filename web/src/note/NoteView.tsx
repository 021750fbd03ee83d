import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { useLive } from "../examination";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { NoteText } from "./NoteText";
import { ReportPages } from "./ReportPages";

type Form = "short" | "full" | "letter" | "patient" | "report";

const FORMS: readonly [Form, string][] = [
  ["short", "Short"],
  ["full", "Full"],
  ["letter", "Letter"],
  ["patient", "For the patient"],
  ["report", "Report"],
];
/** Where the form chosen last is kept in this browser. */
const KEPT = "lexicor.note-length";

/** The examination on paper: in words of three lengths to copy, or as a report to print. */
export function NoteView() {
  const live = useLive();
  const [search] = useSearchParams();
  const [form, setForm] = useState<Form>(
    () => FORMS.find(([value]) => value === window.localStorage.getItem(KEPT))?.[0] ?? "full",
  );
  const { signing } = live.examination;
  const asked = Number(search.get("version"));
  const version = signing.versions.find((each) => each.version === asked)?.version;
  const old = version !== undefined && (version !== signing.versions.at(-1)?.version || !signing.closed);
  const choose = (value: Form) => {
    window.localStorage.setItem(KEPT, value);
    setForm(value);
  };
  const forms = (
    <Strip label="Form">
      {FORMS.map(([value, name]) => (
        <Button
          key={value}
          look="choice"
          chosen={form === value}
          onClick={() => {
            choose(value);
          }}
        >
          {name}
        </Button>
      ))}
    </Strip>
  );
  return (
    <main className="mx-auto flex w-full max-w-4xl flex-1 flex-col px-5 py-6 lg:overflow-y-auto">
      {live.queue.pending.length > 0 && (
        <p className="mb-3 border-l-4 border-ink pl-3 text-read">The last entries are not in here yet.</p>
      )}
      {old && (
        <p className="no-print mb-3 border-l-4 border-ink pl-3 text-read">
          This is version {version}, as it was signed.{" "}
          <Link to="." className="underline">
            {signing.closed ? "The last version" : "The draft"}
          </Link>
        </p>
      )}
      {form === "report" ? (
        <ReportPages key={version} live={live} version={version} forms={forms} />
      ) : (
        <NoteText key={`${form}${String(version)}`} live={live} length={form} version={version} forms={forms} />
      )}
    </main>
  );
}
