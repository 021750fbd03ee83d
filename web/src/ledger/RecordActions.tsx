import { useState } from "react";
import { faultsOf } from "../shared/api/faults";
import { keptDraft, keepDraft } from "../shared/offline/draft";
import { Button } from "../shared/ui/Button";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { FormFault } from "../shared/ui/FormFault";
import { TextField } from "../shared/ui/TextField";
import { WorkedOut } from "./Effect";
import { changeOf, useChange, usePreview, type Change, type RecordSheet } from "./useLedger";
import { DOMAINS, RISKS, VERDICTS, VERDICT_DOES } from "./words";

type Verdict = "CHECKED" | "DISPUTED" | "WRONG";

interface ActionProps {
  sheet: RecordSheet;
  onDone: () => void;
}

const REASONED: Record<string, { title: string; keep: string; about: string }> = {
  WITHDRAW: {
    title: "Withdraw it",
    keep: "Withdraw it",
    about: "It stays in the ledger, weighs nothing any more, and can be taken back into use.",
  },
  RESTORE: { title: "Take it back into use", keep: "Take it back", about: "It weighs again as it says." },
  AS_SHIPPED: {
    title: "Put it back as shipped",
    keep: "Put it back",
    about: "The clinic’s correction no longer holds; it stays in the history.",
  },
  DECLINE: {
    title: "Do not agree",
    keep: "Do not agree",
    about: "What was proposed is dropped; it stays in the history.",
  },
};

/** A change that needs no more than a reason, with what it would do. */
export function ReasonedChange({
  what,
  sheet,
  onDone,
}: ActionProps & { what: "WITHDRAW" | "RESTORE" | "AS_SHIPPED" | "DECLINE" }) {
  const [asked] = useState<Change>(() =>
    changeOf(what, { record: sheet.record.id, knows: sheet.standing.knows, why: "to be said" }),
  );
  const [why, setWhy] = useState("");
  const preview = usePreview(asked);
  const change = useChange(onDone);
  const faults = faultsOf(change.error);
  const words = REASONED[what];
  return (
    <form
      noValidate
      aria-label={words?.title ?? ""}
      className="mt-4 flex flex-col gap-3 border-l-4 border-line pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate({ ...asked, why });
      }}
    >
      <h2 className="font-serif text-xl font-semibold">{words?.title}</h2>
      <p className="text-read">{words?.about}</p>
      <WorkedOut preview={preview} />
      <TextField
        id="change-why"
        label="Why?"
        autoFocus
        value={why}
        fault={faults.why}
        onChange={(text) => {
          setWhy(text);
          change.reset();
        }}
      />
      <FormFault>{faults.other}</FormFault>
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={change.isPending}>
          {change.isPending ? "Keeping it …" : words?.keep}
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  );
}

interface Judged {
  bias: string;
  applies: string;
  because: string;
}

interface ReviewDraft {
  verdict: string | undefined;
  words: string;
  quality: Record<string, Judged>;
}

function reviewName(record: string): string {
  return `ledger-review ${record}`;
}

/** Whether a review of a record was begun and neither kept nor given up. */
export function reviewBegun(record: string): boolean {
  return keptDraft(reviewName(record), window.sessionStorage) !== undefined;
}

/** What is being said of a record; it outlives a reload. */
function useReviewDraft(sheet: RecordSheet) {
  const name = reviewName(sheet.record.id);
  const [draft, setDraft] = useState<ReviewDraft>(
    () =>
      (keptDraft(name, window.sessionStorage) as ReviewDraft | undefined) ?? {
        verdict: undefined,
        words: "",
        quality: Object.fromEntries(
          Object.entries(sheet.standing.review?.quality ?? {}).map(([domain, judged]) => [domain, { ...judged }]),
        ),
      },
  );
  const put = (part: Partial<ReviewDraft>) => {
    const changed = { ...draft, ...part };
    setDraft(changed);
    keepDraft(name, changed, window.sessionStorage);
  };
  const forget = () => {
    keepDraft(name, undefined, window.sessionStorage);
  };
  return { draft, put, forget };
}

/** A record compared with its original, and how far the study can be trusted. */
export function ReviewForm({ sheet, onDone }: ActionProps) {
  const [id] = useState(() => crypto.randomUUID());
  const { draft, put, forget } = useReviewDraft(sheet);
  const { verdict, words, quality } = draft;
  const done = () => {
    forget();
    onDone();
  };
  const [missing, setMissing] = useState<string>();
  const change = useChange(done);
  const faults = faultsOf(change.error);
  const judge = (domain: string, part: Partial<Judged>) => {
    put({
      quality: {
        ...quality,
        [domain]: { ...(quality[domain] ?? { bias: "UNCLEAR", applies: "UNCLEAR", because: "" }), ...part },
      },
    });
    change.reset();
  };
  return (
    <form
      noValidate
      aria-label="Review"
      className="mt-4 flex flex-col gap-4 border-l-4 border-line pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (verdict === undefined) {
          setMissing("Choose how it compares.");
          return;
        }
        change.mutate({
          ...changeOf("REVIEW", {
            record: sheet.record.id,
            knows: sheet.standing.knows,
            review: { verdict: verdict as Verdict, words, quality: quality as never },
          }),
          id,
        });
      }}
    >
      <h2 className="font-serif text-xl font-semibold">Compare it with the original</h2>
      <ChoiceGroup
        id="review-verdict"
        label="The figures, groups and words here are"
        value={verdict}
        options={VERDICTS}
        fault={missing}
        onChoose={(chosen) => {
          put({ verdict: chosen });
          setMissing(undefined);
          change.reset();
        }}
      />
      {verdict && <p className="text-read text-soft">{VERDICT_DOES[verdict as Verdict]}</p>}
      <TextField
        id="review-words"
        label={verdict === undefined || verdict === "CHECKED" ? "Remark (may be empty)" : "What is doubtful or wrong?"}
        value={words}
        fault={faults.words}
        onChange={(text) => {
          put({ words: text });
          change.reset();
        }}
      />
      <details open={Object.keys(quality).length > 0}>
        <summary className="min-h-11 cursor-pointer py-2 text-read font-semibold">How far can it be trusted?</summary>
        <p className="text-note text-soft">
          Four questions, each answered or left. What you say is shown with the record; it changes no figure.
        </p>
        {DOMAINS.map(([domain, title, ask]) => (
          <fieldset key={domain} className="mt-3 border-t border-line pt-2">
            <legend className="pr-2 text-read font-semibold">{title}</legend>
            <p className="text-note text-soft">{ask}</p>
            <div className="mt-1 flex flex-wrap gap-x-8 gap-y-2">
              <ChoiceGroup
                id={`bias-${domain}`}
                label="Risk of bias"
                value={quality[domain]?.bias}
                options={RISKS}
                onChoose={(bias) => {
                  judge(domain, { bias });
                }}
              />
              {domain !== "FLOW" && (
                <ChoiceGroup
                  id={`applies-${domain}`}
                  label="Distance from our work"
                  value={quality[domain]?.applies}
                  options={RISKS}
                  onChoose={(applies) => {
                    judge(domain, { applies });
                  }}
                />
              )}
            </div>
            {quality[domain] && (
              <TextField
                id={`because-${domain}`}
                label="Because"
                className="mt-2"
                value={quality[domain].because}
                onChange={(because) => {
                  judge(domain, { because });
                }}
              />
            )}
          </fieldset>
        ))}
      </details>
      <FormFault>{faults.other}</FormFault>
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={change.isPending}>
          {change.isPending ? "Keeping it …" : "Keep the review"}
        </Button>
        <Button onClick={done}>Cancel</Button>
      </div>
    </form>
  );
}
