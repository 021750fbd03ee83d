import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { SelectField } from "../shared/ui/SelectField";
import { TextField } from "../shared/ui/TextField";
import { KINDS, READERS, TRUTHS } from "./words";

type Results = Schemas["ResultsJson"];
type Add = Schemas["AddResult"];

interface Draft {
  /** Made once, so that a result that is sent again after a lost answer is kept once. */
  id: string;
  conditionId: string;
  truth: string;
  kind: string;
  day: string;
  reader: string;
  readBy: string;
  words: string;
}

/** A result of a picture, a study, an operation or time. */
export function ResultForm({
  caseId,
  complaint,
  results,
  toView,
  onDone,
}: {
  caseId: string;
  complaint: string;
  results: Results;
  /** Whether it was asked for from elsewhere, so that the page comes to it. */
  toView: boolean;
  onDone: () => void;
}) {
  const cache = useQueryClient();
  const [draft, setDraft] = useState<Draft>(() => ({
    id: crypto.randomUUID(),
    conditionId: results.choices.find((choice) => choice.working)?.conditionId ?? "",
    truth: "",
    kind: "",
    day: "",
    reader: "NOT_KNOWN",
    readBy: "",
    words: "",
  }));
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (toView) {
      form.current?.scrollIntoView({ block: "nearest" });
    }
  }, [toView]);
  const [missing, setMissing] = useState<Record<string, string>>({});
  const add = useMutation({
    mutationFn: (body: Add) =>
      dataOf(
        api.POST("/api/cases/{id}/complaints/{complaint}/results", {
          params: { path: { id: caseId, complaint } },
          body,
        }),
      ),
    onSuccess: (after: Results) => {
      cache.setQueryData(keys.results(caseId, complaint), after);
      void cache.invalidateQueries({ queryKey: keys.outcomes });
      onDone();
    },
  });
  const faults: Record<string, string | undefined> = { ...faultsOf(add.error), ...missing };
  const put = (part: Partial<Draft>) => {
    setDraft({ ...draft, ...part });
    setMissing({});
    add.reset();
  };
  return (
    <form
      noValidate
      aria-label="A result"
      ref={form}
      className="mt-2 flex flex-col gap-4 border-l-4 border-line pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        const lacking = lacks(draft);
        setMissing(lacking);
        if (Object.keys(lacking).length === 0) {
          add.mutate(draft as Add);
        }
      }}
    >
      <SelectField
        id="result-condition"
        label="Of what"
        value={draft.conditionId}
        fault={faults.conditionId}
        none="Choose a condition"
        options={[
          {
            options: results.choices.map((choice) => [
              choice.conditionId,
              `${choice.name}${choice.working ? " (working diagnosis)" : ""}`,
            ]),
          },
        ]}
        onChoose={(conditionId) => {
          put({ conditionId });
        }}
      />
      <ChoiceGroup
        id="result-truth"
        label="What it says"
        value={draft.truth}
        options={TRUTHS}
        fault={faults.truth}
        onChoose={(truth) => {
          put({ truth });
        }}
      />
      <ChoiceGroup
        id="result-kind"
        label="From"
        value={draft.kind}
        options={KINDS}
        fault={faults.kind}
        onChoose={(kind) => {
          put({ kind });
        }}
      />
      <TextField
        id="result-day"
        label="Day"
        type="date"
        className="max-w-60"
        value={draft.day}
        fault={faults.day}
        onChange={(day) => {
          put({ day });
        }}
      />
      <ChoiceGroup
        id="result-reader"
        label="Did whoever read it know your examination?"
        value={draft.reader}
        options={READERS}
        onChoose={(reader) => {
          put({ reader });
        }}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          id="result-read-by"
          label="Read by"
          value={draft.readBy}
          fault={faults.readBy}
          onChange={(readBy) => {
            put({ readBy });
          }}
        />
        <TextField
          id="result-words"
          label="In words"
          value={draft.words}
          fault={faults.words}
          onChange={(words) => {
            put({ words });
          }}
        />
      </div>
      <FormFault>{faults.other}</FormFault>
      <div className="flex gap-2">
        <Button type="submit" look="primary" disabled={add.isPending}>
          Keep the result
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </form>
  );
}

/** What has to be chosen before a result can be kept, by field. */
function lacks(draft: Draft): Record<string, string> {
  return {
    ...(draft.conditionId === "" ? { conditionId: "Choose what the result is about." } : {}),
    ...(draft.truth === "" ? { truth: "Choose what it says." } : {}),
    ...(draft.kind === "" ? { kind: "Choose what it comes from." } : {}),
    ...(draft.day === "" ? { day: "Enter the day of the result." } : {}),
  };
}
