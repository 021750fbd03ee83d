import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { onDay } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { TextField } from "../shared/ui/TextField";
import { ResultForm } from "./ResultForm";
import { saidWords, sourceWords } from "./words";

type Results = Schemas["ResultsJson"];
type Result = Schemas["ReferenceResultJson"];

interface Complaint {
  caseId: string;
  complaint: string;
}

/** What pictures, studies, operations and time have said of a complaint, and a form for the next. */
export function WhatTurnedOut({ caseId, complaint }: Complaint) {
  const results = useQuery({
    queryKey: keys.results(caseId, complaint),
    queryFn: () =>
      dataOf(
        api.GET("/api/cases/{id}/complaints/{complaint}/results", { params: { path: { id: caseId, complaint } } }),
      ),
    staleTime: 0,
  });
  const asked = useSearchParams()[0].get("result") === complaint;
  const [adding, setAdding] = useState(asked);
  if (!results.data) {
    return results.isError ? (
      <p role="alert" className="mt-2 text-note text-for">
        What turned out could not be fetched: {results.error.message}
      </p>
    ) : (
      <p className="mt-2 min-h-10 text-note text-soft">Fetching what turned out …</p>
    );
  }
  return (
    <section aria-label="What turned out" className="border-t border-line py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <h4 className="text-read font-semibold">What turned out</h4>
        {!adding && (
          <Button
            onClick={() => {
              setAdding(true);
            }}
          >
            Add a result
          </Button>
        )}
      </div>
      {results.data.results.length === 0 && !adding && (
        <p className="text-note text-soft">
          Nothing yet. Once a picture, an operation or time has answered, enter it here: it shows which tests hold in
          your clinic.
        </p>
      )}
      {results.data.contradicted.length > 0 && (
        <p role="status" className="mt-1 border-l-4 border-for pl-3 text-read">
          Results contradict each other about {results.data.contradicted.join(", ")}. It counts for neither until one is
          withdrawn.
        </p>
      )}
      <ul>
        {results.data.results.map((result) => (
          <ResultLine key={result.id} result={result} caseId={caseId} complaint={complaint} />
        ))}
      </ul>
      {adding && (
        <ResultForm
          caseId={caseId}
          complaint={complaint}
          results={results.data}
          toView={asked}
          onDone={() => {
            setAdding(false);
          }}
        />
      )}
    </section>
  );
}

function ResultLine({ result, caseId, complaint }: { result: Result } & Complaint) {
  const [asking, setAsking] = useState(false);
  const gone = result.withdrawn != null;
  return (
    <li className="flex flex-wrap items-start justify-between gap-x-4 border-t border-line py-2 first:border-t-0">
      <div className={`min-w-0 flex-1 text-read ${gone ? "text-soft" : ""}`}>
        <p className={gone ? "line-through" : ""}>
          {result.name} <strong>{saidWords(result.truth)}</strong>
        </p>
        <p className="text-note text-soft">
          {onDay(result.day)}, {sourceWords(result)}
          {result.words && `: ${result.words}`}. Entered by {result.author}.
        </p>
        {result.withdrawn && (
          <p className="text-note">
            Withdrawn by {result.withdrawn.by} on {onDay(result.withdrawn.at)}: {result.withdrawn.why}
          </p>
        )}
        {asking && (
          <Withdrawal
            id={result.id}
            caseId={caseId}
            complaint={complaint}
            onDone={() => {
              setAsking(false);
            }}
          />
        )}
      </div>
      {!gone && !asking && (
        <button
          type="button"
          aria-label={`Withdraw: ${result.name} ${saidWords(result.truth)}`}
          className="min-h-10 text-note underline"
          onClick={() => {
            setAsking(true);
          }}
        >
          Withdraw
        </button>
      )}
    </li>
  );
}

function Withdrawal({ id, caseId, complaint, onDone }: { id: string; onDone: () => void } & Complaint) {
  const cache = useQueryClient();
  const [why, setWhy] = useState("");
  const withdraw = useMutation({
    mutationFn: () =>
      dataOf(
        api.POST("/api/cases/{id}/complaints/{complaint}/results/{result}/withdrawal", {
          params: { path: { id: caseId, complaint, result: id } },
          body: { why },
        }),
      ),
    onSuccess: (results: Results) => {
      cache.setQueryData(keys.results(caseId, complaint), results);
      void cache.invalidateQueries({ queryKey: keys.outcomes });
      onDone();
    },
  });
  const faults = faultsOf(withdraw.error);
  return (
    <form
      noValidate
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        withdraw.mutate();
      }}
    >
      <TextField
        id={`why-${id}`}
        label="Why is it withdrawn?"
        className="min-w-60 flex-1"
        autoFocus
        value={why}
        fault={faults.why ?? faults.other}
        onChange={setWhy}
      />
      <Button type="submit" disabled={withdraw.isPending}>
        Withdraw
      </Button>
      <Button onClick={onDone}>Keep it</Button>
    </form>
  );
}
