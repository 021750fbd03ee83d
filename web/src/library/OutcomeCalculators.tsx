import { api, dataOf, type Schemas } from "../shared/api/client";
import { decimal } from "../shared/format";
import { useAddress } from "../shared/useAddress";
import { Counts, Entry, Fault, faultyCounts, useCalculation } from "./CalculatorParts";
import { Part } from "./Sheet";

const MOST_PATIENTS = 1_000_000;

const EXAMINERS = [
  ["both", "Both positive"],
  ["first", "First alone"],
  ["second", "Second alone"],
  ["neither", "Both negative"],
] as const;

/** How two examiners of the same patients agree. */
export function TwoExaminers() {
  const [values, set] = useAddress({ both: "20", first: "5", second: "10", neither: "15" });
  const counts = EXAMINERS.map(([key]) => Number(values[key]));
  const faulty = faultyCounts(EXAMINERS, values, MOST_PATIENTS);
  const empty = counts.every((count) => count === 0);
  const answer = useCalculation("agreement", counts, faulty.length === 0 && !empty, () =>
    dataOf(
      api.POST("/api/calculate/agreement", {
        body: {
          table: [
            [counts[0] ?? 0, counts[1] ?? 0],
            [counts[2] ?? 0, counts[3] ?? 0],
          ],
        },
      }),
    ),
  );
  return (
    <Part title="Two examiners of the same patients">
      <Counts
        fields={EXAMINERS}
        values={values}
        most={MOST_PATIENTS}
        onChange={(key, value) => {
          set({ [key]: value });
        }}
      />
      {faulty.length === 0 && empty && <Fault>All four are 0: at least one patient is needed.</Fault>}
      {answer.isError && <Fault>{answer.error.message}</Fault>}
      {answer.data && faulty.length === 0 && !empty && (
        <>
          <p className="mt-2 text-xl">
            Kappa{" "}
            <strong className="text-head">{answer.data.kappa ? decimal(answer.data.kappa.estimate) : "unknown"}</strong>{" "}
            {answer.data.kappa && <span className="text-read text-soft">{limits(answer.data.kappa, decimal)}</span>}
          </p>
          <p className="text-read">
            They agree on {percent(answer.data.observed)} of the patients; chance alone would bring{" "}
            {percent(answer.data.expected)}. Adjusted for prevalence and bias {decimal(answer.data.pabak)}; of positive
            answers {shareOf(answer.data.positiveAgreement)} are shared, of negative ones{" "}
            {shareOf(answer.data.negativeAgreement)}.
          </p>
          {!answer.data.kappa && (
            <p className="text-note text-soft">Both gave one answer throughout, so chance agreement is complete.</p>
          )}
        </>
      )}
    </Part>
  );
}

const FOLLOWED = [
  ["ptp", "Positive, had it"],
  ["pfp", "Positive, had it not"],
  ["pfn", "Negative, had it"],
  ["ptn", "Negative, had it not"],
  ["up", "Positive, not followed up"],
  ["un", "Negative, not followed up"],
] as const;

/** Accuracy where only some patients were followed up to the truth. */
export function PartialFollowUp() {
  const [values, set] = useAddress({ ptp: "40", pfp: "10", pfn: "5", ptn: "60", up: "20", un: "90" });
  const counts = FOLLOWED.map(([key]) => Number(values[key]));
  const [tp = 0, fp = 0, fn = 0, tn = 0, positive = 0, negative = 0] = counts;
  const faulty = faultyCounts(FOLLOWED, values, MOST_PATIENTS);
  const some = tp + fp > 0 && fn + tn > 0;
  const answer = useCalculation("verification", counts, faulty.length === 0 && some, () =>
    dataOf(
      api.POST("/api/calculate/verification", {
        body: { verified: { tp, fp, fn, tn }, unverified: { positive, negative } },
      }),
    ),
  );
  return (
    <Part title="Where not everybody was followed up">
      <Counts
        fields={FOLLOWED}
        values={values}
        most={MOST_PATIENTS}
        onChange={(key, value) => {
          set({ [key]: value });
        }}
      />
      {faulty.length === 0 && !some && (
        <Fault>At least one positive and one negative have to have been followed up.</Fault>
      )}
      {answer.isError && <Fault>{answer.error.message}</Fault>}
      {answer.data && faulty.length === 0 && some && (
        <>
          <p className="mt-2 text-read">
            Sensitivity <strong>{estimated(answer.data.sensitivity)}</strong>, specificity{" "}
            <strong>{estimated(answer.data.specificity)}</strong>.
          </p>
          <p className="text-read text-soft">
            Those followed up alone would say {shareOf(answer.data.uncorrected.sensitivity)} and{" "}
            {shareOf(answer.data.uncorrected.specificity)}.
          </p>
        </>
      )}
      <p className="mt-2 text-note text-soft">
        It assumes that among patients with the same answer, following up had nothing to do with the truth.
      </p>
    </Part>
  );
}

/** How a measure goes over several visits. */
export function SeriesOfVisits() {
  const [values, set] = useAddress({ days: "0 14 28 42", measured: "40 44 48 52" });
  const days = numbersIn(values.days);
  const measured = numbersIn(values.measured);
  const fault =
    !days || !measured
      ? "Numbers with a space between them are needed, such as 0 14 28."
      : days.length !== measured.length
        ? `There are ${String(days.length)} days and ${String(measured.length)} measures: one measure a visit is needed.`
        : new Set(days).size < 2
          ? "Visits on at least two days are needed."
          : undefined;
  const answer = useCalculation("change", [values.days, values.measured], fault === undefined, () =>
    dataOf(api.POST("/api/calculate/change", { body: { days: days ?? [], millimetres: measured ?? [] } })),
  );
  return (
    <Part title="One measure over several visits">
      <div className="grid max-w-md gap-3">
        <Entry
          label="Day of each visit"
          value={values.days}
          longest={200}
          onChange={(value) => {
            set({ days: value });
          }}
        />
        <Entry
          label="Measured, such as millimetres"
          value={values.measured}
          longest={200}
          onChange={(value) => {
            set({ measured: value });
          }}
        />
      </div>
      {fault && <Fault>{fault}</Fault>}
      {!fault && answer.isError && <Fault>{answer.error.message}</Fault>}
      {!fault && answer.data?.slope != null && (
        <p className="mt-2 text-xl">
          <strong className="text-head">{decimal(answer.data.slope)}</strong> a day{" "}
          <span className="text-read text-soft">
            ({decimal(answer.data.lower)} to {decimal(answer.data.upper)})
          </span>
        </p>
      )}
      <p className="mt-2 text-note text-soft">
        The median of the slopes between all pairs of visits, with Sen&rsquo;s limits.
      </p>
    </Part>
  );
}

function percent(share: number): string {
  return `${(100 * share).toFixed(0)} %`;
}

function shareOf(share: number | null | undefined): string {
  return share == null ? "unknown" : percent(share);
}

function limits(estimate: Schemas["Estimate"], write: (value: number) => string): string {
  return `${write(estimate.lower)} to ${write(estimate.upper)}`;
}

function estimated(estimate: Schemas["Estimate"] | null | undefined): string {
  return estimate == null ? "unknown" : `${percent(estimate.estimate)} (${limits(estimate, percent)})`;
}

/** The numbers in a text, with spaces or commas between them; undefined where there is none or something else. */
export function numbersIn(text: string): number[] | undefined {
  const words = text.split(/[\s,;]+/).filter((word) => word !== "");
  const numbers = words.map(Number);
  return numbers.length > 0 && numbers.every(Number.isFinite) ? numbers : undefined;
}
