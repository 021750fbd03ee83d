import type { UseQueryResult } from "@tanstack/react-query";
import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { decimal } from "../shared/format";

type Preview = Schemas["PreviewJson"];
type Weight = Schemas["LedgerWeightJson"];

/** What a change would do, once it is worked out. */
export function WorkedOut({ preview }: { preview: UseQueryResult<Preview> }) {
  return preview.data ? (
    <Effect preview={preview.data} />
  ) : (
    <p role="status" className="text-read text-soft">
      {preview.isError ? preview.error.message : "Working out what it would change …"}
    </p>
  );
}

/** What a change of the ledger would do to the weights, before it is made. */
export function Effect({ preview }: { preview: Preview }) {
  return (
    <div>
      {preview.says && <Says says={preview.says} />}
      {preview.notes.length > 0 && (
        <ul className="mt-2 list-disc pl-5 text-read">
          {preview.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-read" role="status">
        <strong>
          {preview.moved === 0
            ? "No weight moves by as much as 2 %."
            : `${String(preview.moved)} ${preview.moved === 1 ? "weight moves" : "weights move"}.`}
        </strong>{" "}
        {preview.moved > preview.moves.length && `The ${String(preview.moves.length)} that move furthest are shown. `}
        {preview.open > 0 &&
          `${String(preview.open)} open ${preview.open === 1 ? "examination" : "examinations"} will be offered the new figures; what is signed stays.`}
      </p>
      {preview.moves.length > 0 && <Moves moves={preview.moves} />}
    </div>
  );
}

function Says({ says }: { says: NonNullable<Preview["says"]> }) {
  const share = (figure: Schemas["LedgerFigureJson"] | null | undefined) =>
    figure &&
    `${percent(figure.value)}${figure.lower != null && figure.upper != null ? ` (${percent(figure.lower)} to ${percent(figure.upper)})` : ""}`;
  const ratio = (figure: Schemas["LedgerFigureJson"] | null | undefined) =>
    figure &&
    `${decimal(figure.value)}${figure.lower != null && figure.upper != null ? ` (${decimal(figure.lower)} to ${decimal(figure.upper)})` : ""}`;
  const parts: [string, string | null | undefined][] = [
    ["Sensitivity", share(says.sensitivity)],
    ["Specificity", share(says.specificity)],
    ["LR+", ratio(says.lrPositive)],
    ["LR−", ratio(says.lrNegative)],
  ];
  return (
    <p className="text-read">
      The study by itself:{" "}
      {parts
        .filter(([, value]) => value)
        .map(([label, value]) => `${label} ${value ?? ""}`)
        .join(", ")}
      .
    </p>
  );
}

function percent(share: number): string {
  return String(Math.round(1000 * share) / 10);
}

function Moves({ moves }: { moves: Preview["moves"] }) {
  return (
    <div className="mt-2 overflow-x-auto" role="region" tabIndex={0} aria-label="Weights that move">
      <table className="w-full border-collapse sm:min-w-[34rem] text-note">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 pr-3 font-semibold">Test</th>
            <th className="hidden pr-3 font-semibold sm:table-cell">For</th>
            <th className="pr-3 text-right font-semibold">LR+</th>
            <th className="pr-3 text-right font-semibold">LR−</th>
            <th className="hidden font-semibold sm:table-cell">In words</th>
          </tr>
        </thead>
        <tbody>
          {moves.map((move) => (
            <tr key={`${move.testId} ${move.conditionId}`} className="border-b border-line align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                <Link className="underline" to={`/library/tests/${move.testId}?for=${move.conditionId}`}>
                  {move.testName}
                </Link>
                <span className="block text-soft sm:hidden">{move.conditionName}</span>
              </th>
              <td className="hidden py-1 pr-3 sm:table-cell">{move.conditionName}</td>
              <td className="py-1 pr-3 text-right whitespace-nowrap">{from(move.before, move.after, "lrPositive")}</td>
              <td className="py-1 pr-3 text-right whitespace-nowrap">{from(move.before, move.after, "lrNegative")}</td>
              <td className="hidden py-1 sm:table-cell">{inWords(move.before, move.after)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function from(
  before: Weight | null | undefined,
  after: Weight | null | undefined,
  part: "lrPositive" | "lrNegative",
): string {
  const one = before ? decimal(before[part]) : "none";
  const other = after ? decimal(after[part]) : "none";
  return one === other ? one : `${one} → ${other}`;
}

function inWords(before: Weight | null | undefined, after: Weight | null | undefined): string {
  if (!before || !after) {
    return before ? "no longer weighed" : "weighed from now on";
  }
  return before.plainly === after.plainly ? "as before" : after.plainly;
}
