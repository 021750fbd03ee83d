import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { usePerson } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { FormFault } from "../shared/ui/FormFault";
import { TextField } from "../shared/ui/TextField";
import { Part } from "./Sheet";

type Review = Schemas["CardReviewRequest"];

const VERDICTS: [Review["verdict"], string][] = [
  ["AGREED", "As we teach it"],
  ["DOUBTFUL", "Doubtful"],
  ["WRONG", "Wrong"],
];

const STATES: Record<Schemas["CardReviewJson"]["state"], string> = {
  DRAFTED: "Drafted, not yet reviewed by a clinician.",
  AGREED: "Reviewed here, as we teach it.",
  DOUBTFUL: "Doubted here.",
  WRONG: "Found wrong here.",
  CHANGED_SINCE: "Reviewed here, and shipped otherwise since.",
};

/** Whether a clinician has agreed to the card and how it is read, and where one says so. */
export function CardReview({ sheet }: { sheet: Schemas["TestSheetJson"] }) {
  const steward = usePerson().roles.includes("STEWARD");
  const [open, setOpen] = useState(false);
  const last = sheet.reviewed;
  return (
    <Part title="Reviewed">
      <p className="text-read">
        {STATES[sheet.test.review]}
        {last && ` ${last.by}, ${when(last.at)}${last.words ? `: ${last.words}` : ""}`}
      </p>
      {steward && !open && (
        <Button
          className="no-print mt-2"
          onClick={() => {
            setOpen(true);
          }}
        >
          Review this card
        </Button>
      )}
      {open && (
        <CardReviewForm
          test={sheet.test.id}
          onDone={() => {
            setOpen(false);
          }}
        />
      )}
    </Part>
  );
}

function CardReviewForm({ test, onDone }: { test: string; onDone: () => void }) {
  const cache = useQueryClient();
  const [id] = useState(() => crypto.randomUUID());
  const [verdict, setVerdict] = useState<Review["verdict"]>();
  const [words, setWords] = useState("");
  const [missing, setMissing] = useState<string>();
  const keep = useMutation({
    mutationFn: (body: Review) =>
      dataOf(api.POST("/api/library/tests/{id}/review", { params: { path: { id: test } }, body })),
    onSuccess: () => {
      void cache.invalidateQueries();
      onDone();
    },
  });
  const faults = faultsOf(keep.error);
  return (
    <form
      noValidate
      aria-label="Review of the card"
      className="mt-2 flex max-w-2xl flex-col gap-3 border-l-4 border-line pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (verdict === undefined) {
          setMissing("Choose how it compares.");
        } else {
          keep.mutate({ id, verdict, words });
        }
      }}
    >
      <ChoiceGroup
        id="card-verdict"
        label="How it is done and how its answers are read is"
        value={verdict}
        options={VERDICTS}
        fault={missing}
        onChoose={(chosen) => {
          setVerdict(chosen as Review["verdict"]);
          setMissing(undefined);
          keep.reset();
        }}
      />
      <TextField
        id="card-words"
        label={verdict === undefined || verdict === "AGREED" ? "Remark (may be empty)" : "What is doubtful or wrong?"}
        value={words}
        fault={faults.words}
        onChange={(text) => {
          setWords(text);
          keep.reset();
        }}
      />
      <FormFault>{faults.other}</FormFault>
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={keep.isPending}>
          {keep.isPending ? "Keeping it …" : "Keep the review"}
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  );
}
