import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { useChoose, useMayChange } from "./useChoose";

/** The clinic's own likelihood ratios where no study can be used: called estimates everywhere, off as a whole with one tap. */
export function OwnEstimates({ settings }: { settings: Schemas["SettingsJson"] }) {
  const may = useMayChange();
  const choose = useChoose();
  const weighed = settings.listed.find((each) => each.name === "own-estimates")?.value === "yes";
  return (
    <section aria-labelledby="own">
      <h2 id="own" className="mt-6 font-serif text-2xl font-semibold">
        Own estimates
      </h2>
      <p className="text-note text-soft">
        Where no study can be used, a clinic may weigh by its own estimate. None ships. It is drawn hatched and called
        an estimate wherever it shows.
      </p>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <Button
          look="choice"
          chosen={!weighed}
          disabled={!may}
          onClick={() => {
            choose.mutate({ name: "own-estimates" });
          }}
        >
          Not weighed
        </Button>
        <Button
          look="choice"
          chosen={weighed}
          disabled={!may}
          onClick={() => {
            choose.mutate({ name: "own-estimates", value: "yes" });
          }}
        >
          Weighed, as estimates
        </Button>
      </div>
      <ul className="mt-2">
        {settings.assumptions.estimates.map((each) => (
          <li key={each.name} className="flex flex-wrap items-center gap-x-4 border-t border-line py-1.5 text-read">
            <span className="min-w-60 flex-1">
              <strong>{each.test}</strong> for {each.condition}
            </span>
            <span>
              positive {each.ifPositive}, negative {each.ifNegative}
            </span>
            {may && (
              <Button
                onClick={() => {
                  choose.mutate({ name: each.name });
                }}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
      {may && <Add />}
    </section>
  );
}

/** A new estimate: a test, a condition that it speaks about without figures, and a ratio for either answer. */
function Add() {
  const choose = useChoose();
  const library = useQuery({ queryKey: keys.library, queryFn: () => dataOf(api.GET("/api/library")) });
  const [test, setTest] = useState("");
  const [condition, setCondition] = useState("");
  const [positive, setPositive] = useState("");
  const [negative, setNegative] = useState("");
  const sheet = useQuery({
    queryKey: keys.testSheet(test),
    queryFn: () => dataOf(api.GET("/api/library/tests/{id}", { params: { path: { id: test } } })),
    enabled: test !== "",
  });
  const field = "min-h-12 rounded border border-edge bg-sheet px-2 text-read";
  const faults = faultsOf(choose.error);
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        choose.mutate(
          { name: `own.${test}.${condition}`, value: `${positive}/${negative}` },
          {
            onSuccess: () => {
              setPositive("");
              setNegative("");
            },
          },
        );
      }}
    >
      <div>
        <label htmlFor="own-test" className="block text-note">
          Test
        </label>
        <select
          id="own-test"
          value={test}
          onChange={(event) => {
            setTest(event.target.value);
            setCondition("");
          }}
          className={`${field} block max-w-72`}
        >
          <option value="">choose …</option>
          {library.data?.tests.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </select>
      </div>
      <div>
        <label htmlFor="own-condition" className="block text-note">
          For
        </label>
        <select
          id="own-condition"
          value={condition}
          onChange={(event) => {
            setCondition(event.target.value);
          }}
          className={`${field} block max-w-64`}
        >
          <option value="">choose …</option>
          {sheet.data?.reads
            .filter((each) => each.weighs == null)
            .map((each) => (
              <option key={each.conditionId} value={each.conditionId}>
                {each.conditionName}
              </option>
            ))}
        </select>
      </div>
      <label className="text-note">
        Odds × if positive
        <input
          value={positive}
          inputMode="decimal"
          onChange={(event) => {
            setPositive(event.target.value);
            choose.reset();
          }}
          className={`${field} block w-24`}
        />
      </label>
      <label className="text-note">
        Odds × if negative
        <input
          value={negative}
          inputMode="decimal"
          onChange={(event) => {
            setNegative(event.target.value);
            choose.reset();
          }}
          className={`${field} block w-24`}
        />
      </label>
      <Button type="submit" disabled={!test || !condition}>
        Add the estimate
      </Button>
      {choose.error && (
        <p role="alert" className="basis-full text-note text-for">
          {faults.name
            ? "A study can be used for this pair, so an estimate has no place."
            : (faults.value ?? faults.other)}
        </p>
      )}
    </form>
  );
}
