import { api, dataOf, type Schemas } from "../shared/api/client";
import { decimal, inHundred } from "../shared/format";
import { useAddress } from "../shared/useAddress";
import { Counts, Entry, Fault, faultyCounts, useCalculation } from "./CalculatorParts";
import { PartialFollowUp, SeriesOfVisits, TwoExaminers } from "./OutcomeCalculators";
import { Part } from "./Sheet";

const CELLS = [
  ["tp", "With it, positive"],
  ["fp", "Without it, positive"],
  ["fn", "With it, negative"],
  ["tn", "Without it, negative"],
] as const;

const MOST_PATIENTS = 1_000_000_000;

/** Bare arithmetic with figures of one's own. All entries stand in the address, so that a calculation can be passed on. */
export function CalculatorsView() {
  return (
    <main>
      <title>Calculators · Lexicor</title>
      <h1 className="mt-5 font-serif text-head font-semibold">Calculators</h1>
      <p className="text-read text-soft">Nothing is stored. The address holds what was entered.</p>
      <div className="grid gap-x-12 lg:grid-cols-2">
        <TwoByTwo />
        <PostTest />
        <TwoExaminers />
        <PartialFollowUp />
        <SeriesOfVisits />
      </div>
    </main>
  );
}

function TwoByTwo() {
  const [values, set] = useAddress({ tp: "45", fp: "12", fn: "15", tn: "68" });
  const numbers = CELLS.map(([key]) => Number(values[key]));
  const faulty = faultyCounts(CELLS, values, MOST_PATIENTS);
  const empty = numbers.every((number) => number === 0);
  const answer = useCalculation("accuracy", numbers, faulty.length === 0 && !empty, () =>
    dataOf(
      api.POST("/api/calculate/accuracy", {
        body: { tp: numbers[0] ?? 0, fp: numbers[1] ?? 0, fn: numbers[2] ?? 0, tn: numbers[3] ?? 0 },
      }),
    ),
  );
  return (
    <Part title="From a table of four">
      <Counts
        fields={CELLS}
        values={values}
        most={MOST_PATIENTS}
        onChange={(key, value) => {
          set({ [key]: value });
        }}
      />
      {faulty.length === 0 && empty && <Fault>All four are 0: at least one patient is needed.</Fault>}
      {answer.isError && <Fault>{answer.error.message}</Fault>}
      {answer.data && faulty.length === 0 && !empty && <Statistics answer={answer.data} />}
    </Part>
  );
}

function Statistics({ answer }: { answer: Schemas["AccuracyAnswer"] }) {
  const percent = (value: number) => `${(100 * value).toFixed(1)} %`;
  const lines: [string, Schemas["Estimate"] | null | undefined, (value: number) => string][] = [
    ["Sensitivity", answer.sensitivity, percent],
    ["Specificity", answer.specificity, percent],
    ["Of positives, with it", answer.ppv, percent],
    ["Of negatives, without it", answer.npv, percent],
    ["LR of a positive", answer.lrPositive, decimal],
    ["LR of a negative", answer.lrNegative, decimal],
    ["Diagnostic odds ratio", answer.diagnosticOddsRatio, decimal],
  ];
  return (
    <>
      <table className="mt-4 w-full max-w-md border-collapse text-read">
        <thead>
          <tr className="border-b-2 border-ink text-note">
            <th className="text-left font-semibold">Statistic</th>
            <th className="text-right font-semibold">Value</th>
            <th className="text-right font-semibold">95 % interval</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(([label, estimate, write]) => (
            <tr key={label} className="border-b border-line">
              <th scope="row" className="py-1.5 text-left font-normal">
                {label}
              </th>
              <td className="text-right font-semibold">{estimate == null ? "unknown" : write(estimate.estimate)}</td>
              <td className="text-right text-note">
                {estimate == null ? "" : `${write(estimate.lower)} to ${write(estimate.upper)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-note text-soft">
        Wilson intervals for proportions, log method for ratios.
        {answer.corrected && " A cell is 0, so the ratios were computed with one half added to every cell."} The shares
        among positives and negatives hold only where the condition is as common as in this table.
      </p>
    </>
  );
}

function PostTest() {
  const [values, set] = useAddress({ before: "30", sens: "72", spec: "96", answer: "positive" });
  const prior = Number(values.before) / 100;
  const sensitivity = Number(values.sens) / 100;
  const specificity = Number(values.spec) / 100;
  const positive = values.answer !== "negative";
  const sound =
    prior > 0 &&
    prior < 1 &&
    [sensitivity, specificity].every((share) => share >= 0 && share <= 1) &&
    [values.before, values.sens, values.spec].every((text) => text.trim() !== "");
  const answer = useCalculation("post-test", [prior, sensitivity, specificity, positive], sound, () =>
    dataOf(
      api.POST("/api/calculate/post-test", {
        body: { prior, groups: [{ rho: 0, tests: [{ sensitivity, specificity, positive }] }] },
      }),
    ),
  );
  return (
    <Part title="From a chance before to a chance after">
      <div className="grid max-w-md grid-cols-3 gap-3">
        <Entry
          label="Before, in 100"
          value={values.before}
          onChange={(value) => {
            set({ before: value });
          }}
        />
        <Entry
          label="Sensitivity, %"
          value={values.sens}
          onChange={(value) => {
            set({ sens: value });
          }}
        />
        <Entry
          label="Specificity, %"
          value={values.spec}
          onChange={(value) => {
            set({ spec: value });
          }}
        />
      </div>
      <fieldset className="mt-3 flex gap-6 text-read">
        <legend className="text-note">The answer was</legend>
        {["positive", "negative"].map((option) => (
          <label key={option} className="flex min-h-12 items-center gap-2">
            <input
              type="radio"
              name="answer"
              className="size-5 accent-ink"
              checked={positive === (option === "positive")}
              onChange={() => {
                set({ answer: option });
              }}
            />
            {option}
          </label>
        ))}
      </fieldset>
      {!sound && <Fault>The chance before has to lie between 0 and 100, the other two from 0 to 100.</Fault>}
      {sound && answer.isError && <Fault>{answer.error.message}</Fault>}
      {sound && answer.data && !answer.isError && (
        <p className="mt-2 text-xl">
          After it: <strong className="text-head">{inHundred(answer.data.postTest)}</strong> in 100{" "}
          <span className="text-read text-soft">(likelihood ratio {decimal(answer.data.likelihoodRatio)})</span>
        </p>
      )}
      <p className="mt-2 text-note text-soft">
        Bare arithmetic: it takes the figures as certain. The sheets of the library show how uncertain they are.
      </p>
    </Part>
  );
}
