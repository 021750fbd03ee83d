import { useEffect, useRef, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { faultsOf } from "../shared/api/faults";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Message, Waiting } from "../shared/ui/Message";
import { TextField } from "../shared/ui/TextField";
import { Effect } from "./Effect";
import { AboutFields, FoundFields, HowFields } from "./StudyFields";
import { draftOf, emptyDraft, keepDraft, keptDraft, toSend, unreadable, type StudyDraft } from "./studyDraft";
import { changeOf, useChange, useKeepsLedger, usePreview, useRecord, type Change, type RecordSheet } from "./useLedger";

/** A new study for the ledger, or a correction of one that is there. */
export function StudyFormView() {
  const { id } = useParams();
  return id === undefined ? <NewStudy /> : <Correction id={id} />;
}

function NewStudy() {
  const [params] = useSearchParams();
  return <StudyForm first={emptyDraft(params.get("test") ?? "", params.get("condition") ?? "")} />;
}

function Correction({ id }: { id: string }) {
  const record = useRecord(id);
  if (record.isPending) {
    return <Waiting what="the record" page />;
  }
  if (record.isError) {
    return (
      <Message title="The record could not be fetched" page>
        {record.error.message}
      </Message>
    );
  }
  return <StudyForm first={draftOf(record.data.standing.draft)} sheet={record.data} />;
}

function StudyForm({ first, sheet }: { first: StudyDraft; sheet?: RecordSheet }) {
  const record = sheet?.record.id ?? "new";
  const keeps = useKeepsLedger();
  const navigate = useNavigate();
  const [kept] = useState(() => keptDraft(record));
  const [draft, setDraft] = useState(kept ?? first);
  const [why, setWhy] = useState("");
  const [shown, setShown] = useState<Change>();
  const [local, setLocal] = useState<Record<string, string>>({});
  const preview = usePreview(shown);
  const change = useChange((made) => {
    keepDraft(record, undefined);
    void navigate(`/library/ledger/${made}`);
  });
  useEffect(() => {
    if (draft !== first) {
      keepDraft(record, draft);
    }
  }, [draft, first, record]);
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    // the first field that cannot be kept comes into view once the server or the form itself has found one
    if (Object.keys(local).length > 0 || (preview.data?.faults.length ?? 0) > 0) {
      form.current?.querySelector<HTMLElement>("[aria-invalid=true]")?.focus();
    }
  }, [local, preview.data]);
  const put = (part: Partial<StudyDraft>) => {
    setDraft((before) => ({ ...before, ...part }));
    setShown(undefined);
    setLocal({});
    change.reset();
  };
  const proposed = Object.fromEntries(
    (preview.data?.faults ?? []).map((fault) => [
      fault.field.split(".").at(-1) ?? "",
      `It ${fault.message}.`.replace(/^It record/, "Record"),
    ]),
  );
  const faults: Record<string, string | undefined> = {
    ...proposed,
    ...faultsOf(preview.error),
    ...faultsOf(change.error),
    ...local,
  };
  const sound = preview.data !== undefined && preview.data.faults.length === 0;
  const show = () => {
    const bad = unreadable(draft);
    setLocal(bad);
    if (Object.keys(bad).length === 0) {
      setShown(
        changeOf(sheet ? "CORRECT" : "ADD", {
          draft: toSend(draft),
          record: sheet?.record.id ?? null,
          knows: sheet?.standing.knows ?? 0,
          why: why || (sheet ? "to be said" : ""),
        }),
      );
    }
  };
  if (!keeps) {
    return (
      <Message title="Only a steward changes the ledger" page>
        Ask a steward to add or correct a study. Reading it is open to everybody.
      </Message>
    );
  }
  const anyFault = Object.values(faults).some((fault) => fault !== undefined);
  return (
    <main className="max-w-4xl">
      <title>{sheet ? `Correct ${sheet.record.id} · Lexicor` : "Add a study · Lexicor"}</title>
      <h1 className="mt-5 font-serif text-head font-semibold">
        {sheet ? `Correct ${sheet.record.id}` : "Add a study"}
      </h1>
      <p className="mt-1 text-read text-soft">
        {sheet
          ? `${sheet.record.subjectText}, for ${sheet.record.conditionText}. What is corrected stays on record beside what it said before.`
          : "A published study of a test. What it would change is shown before it is kept."}
      </p>
      {kept && (
        <p role="status" className="mt-3 border-l-4 border-ink pl-3 text-read">
          What you had typed is here again.{" "}
          <button
            type="button"
            className="min-h-10 underline"
            onClick={() => {
              put(first);
              keepDraft(record, undefined);
            }}
          >
            Begin anew
          </button>
        </p>
      )}
      <form
        ref={form}
        noValidate
        aria-label="Study"
        onSubmit={(event) => {
          event.preventDefault();
          show();
        }}
      >
        <AboutFields draft={draft} faults={faults} put={put} fixed={sheet !== undefined} />
        <FoundFields draft={draft} faults={faults} put={put} />
        <HowFields draft={draft} faults={faults} put={put} />
        <div className="mt-6 border-t-2 border-ink pt-4">
          {!sound && (
            <>
              <FormFault className="mb-3">
                {faults.other ??
                  faults.clue ??
                  (anyFault ? "Something above cannot be kept as it is. It is marked there." : undefined)}
              </FormFault>
              <div className="flex flex-wrap gap-2">
                <Button type="submit" look="primary" disabled={preview.isFetching}>
                  {preview.isFetching ? "Working it out …" : "Show what it would change"}
                </Button>
                <GiveUp to={sheet ? `/library/ledger/${sheet.record.id}` : "/library/ledger"} record={record} />
              </div>
            </>
          )}
        </div>
      </form>
      {sound && shown && (
        <section aria-label="What it would change">
          <h2 className="font-serif text-xl font-semibold">What it would change</h2>
          <Effect preview={preview.data} />
          <form
            noValidate
            aria-label="Keep it"
            className="mt-4 flex flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              change.mutate({ ...shown, why });
            }}
          >
            <TextField
              id="study-why"
              label={sheet ? "Why is it corrected?" : "Remark (may be empty)"}
              value={why}
              fault={faults.why}
              onChange={(text) => {
                setWhy(text);
                change.reset();
              }}
            />
            <FormFault>{faults.other}</FormFault>
            <div className="flex flex-wrap gap-2">
              <Button type="submit" look="primary" disabled={change.isPending}>
                {change.isPending ? "Keeping it …" : sheet ? "Keep the correction" : "Add it to the ledger"}
              </Button>
              <GiveUp to={sheet ? `/library/ledger/${sheet.record.id}` : "/library/ledger"} record={record} />
            </div>
          </form>
        </section>
      )}
    </main>
  );
}

function GiveUp({ to, record }: { to: string; record: string }) {
  return (
    <Link
      to={to}
      className={QUIET_LINK}
      onClick={() => {
        keepDraft(record, undefined);
      }}
    >
      Cancel
    </Link>
  );
}
