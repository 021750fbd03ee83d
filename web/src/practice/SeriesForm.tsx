import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { capital, REGIONS } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { SelectField } from "../shared/ui/SelectField";
import { TextField } from "../shared/ui/TextField";
import { CaseWriter } from "./CaseWriter";
import { KINDS } from "./words";

type SetCase = Schemas["PracticeSetCaseRequest"];

interface Wanted {
  words: string;
  request: SetCase;
}

/** Patients to be set for a class: drawn, from files, or written here. */
export function SeriesForm({ classId }: { classId: string }) {
  const cache = useQueryClient();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState("");
  const [region, setRegion] = useState("shoulder");
  const [kind, setKind] = useState("");
  const [cases, setCases] = useState<Wanted[]>([]);
  const [writing, setWriting] = useState(false);
  const set = useMutation({
    mutationFn: () =>
      dataOf(
        api.POST("/api/practice/classes/{id}/series", {
          params: { path: { id: classId } },
          body: { name, cases: cases.map((each) => each.request) },
        }),
      ),
    onSuccess: () => {
      setOpen(false);
      setName("");
      setCases([]);
      return cache.invalidateQueries({ queryKey: keys.practiceClasses });
    },
  });
  const add = (wanted: Wanted) => {
    setCases([...cases, wanted]);
    set.reset();
  };
  if (!open) {
    return (
      <Button
        className="mt-2"
        onClick={() => {
          setOpen(true);
        }}
      >
        Set patients
      </Button>
    );
  }
  const faults = faultsOf(set.error);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    set.mutate();
  };
  return (
    <form noValidate onSubmit={submit} className="mt-3 flex max-w-3xl flex-col gap-4 border-l-4 border-line pl-4">
      <TextField
        id="series-name"
        label="Name of the series"
        value={name}
        fault={faults["name"]}
        onChange={(value) => {
          setName(value);
          set.reset();
        }}
      />
      <ol className="list-decimal pl-6 text-read" aria-label="Patients of the series">
        {cases.map((each, place) => (
          <li key={place} className="py-0.5">
            {each.words}{" "}
            <button
              type="button"
              className="min-h-11 text-note underline"
              onClick={() => {
                setCases(cases.filter((_, other) => other !== place));
              }}
            >
              take out
            </button>
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          id="series-region"
          label="Drawn: where"
          value={region}
          none="Choose"
          options={[{ options: REGIONS.map((each) => [each, capital(each)]) }]}
          onChoose={setRegion}
        />
        <SelectField
          id="series-kind"
          label="What kind"
          value={kind}
          none="Any"
          options={[{ options: KINDS.map(([each, words]) => [each, words]) }]}
          onChoose={setKind}
        />
        <Button
          disabled={region === ""}
          onClick={() => {
            const chosen = KINDS.find(([each]) => each === kind);
            add({
              words: `${capital(region)}, ${chosen ? chosen[1].toLowerCase() : "any kind"}`,
              request: { region, kind: chosen?.[0] ?? null },
            });
          }}
        >
          Add
        </Button>
        <label className={`${QUIET_LINK} cursor-pointer focus-within:outline-3 focus-within:outline-ink`}>
          Add from a file
          <input
            type="file"
            accept=".yaml,.yml"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) {
                void file.text().then((text) => {
                  add({ words: file.name, request: { text } });
                });
              }
            }}
          />
        </label>
        <Button
          aria-expanded={writing}
          onClick={() => {
            setWriting(!writing);
          }}
        >
          Write one
        </Button>
      </div>
      {writing && (
        <CaseWriter
          onWritten={(title, text) => {
            add({ words: title, request: { text } });
            setWriting(false);
          }}
        />
      )}
      <FormFault>{faults["other"] ?? faults["cases"] ?? faults["text"] ?? faults["region"]}</FormFault>
      <div className="flex gap-2">
        <Button look="primary" type="submit" disabled={set.isPending || cases.length === 0}>
          Set them
        </Button>
        <Button
          onClick={() => {
            setOpen(false);
          }}
        >
          Not now
        </Button>
      </div>
    </form>
  );
}
