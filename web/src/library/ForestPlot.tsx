import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { decimal } from "../shared/format";
import { MarkLabels, MarkLines, Pivot } from "./WeightMarks";
import { beyond, weightScale } from "./weightScale";

type Study = Schemas["StudyJson"];
type Figure = Schemas["FigureJson"];

const WIDTH = 380;

interface ForestPlotProps {
  studies: Study[];
  /** What an independent clinic would find, from all studies together; absent where nothing is weighed. */
  expected: Schemas["ExpectedAccuracyJson"] | undefined;
  /** Record in use; empty where none is. */
  inUse: string;
  /** What a record is chosen for elsewhere on the sheet. */
  chosen: string;
  onChoose: (record: string) => void;
}

/**
 * Every study of a test for a condition, on a scale of weights about the pivot 1: a full weight pointing right for what a
 * positive weighs, an open one pointing left for a negative, each with its 95 % interval where sizes were published.
 */
export function ForestPlot({ studies, expected, inUse, chosen, onChoose }: ForestPlotProps) {
  const first = studies.filter((study) => study.record.id === inUse);
  const others = studies.filter((study) => study.record.id !== inUse && !study.review && study.record.use !== "UNUSED");
  const reviews = studies.filter((study) => study.review);
  const unused = studies.filter((study) => !study.review && study.record.use === "UNUSED");
  const row = (study: Study) => (
    <Row
      key={study.record.id}
      study={study}
      inUse={study.record.id === inUse}
      chosen={study.record.id === chosen}
      onChoose={onChoose}
    />
  );
  return (
    <div className="overflow-x-auto print:overflow-visible" tabIndex={0} role="region" aria-label="Studies">
      <table className="w-full min-w-[60rem] border-collapse text-note print:min-w-0 print:text-[8pt]">
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom">
            <th className="py-1 pr-3 font-semibold">Study</th>
            <th className="pr-3 text-right font-semibold">Patients</th>
            <th className="pr-3 text-right font-semibold">Sensitivity</th>
            <th className="pr-3 text-right font-semibold">Specificity</th>
            <th className="relative font-semibold" style={{ width: "32%" }}>
              <span className="sr-only">Weight of either answer</span>
              <Axis />
            </th>
            <th className="pr-1 pl-3 text-right font-semibold">LR+</th>
            <th className="pl-2 text-right font-semibold">LR−</th>
          </tr>
        </thead>
        <tbody>
          {expected && (
            <Expected
              expected={expected}
              chosen={chosen === ""}
              onChoose={() => {
                onChoose("");
              }}
            />
          )}
          {expected && <Heading>The study that says most of this answer</Heading>}
          {first.map(row)}
          {others.length > 0 && <Heading>Other studies, shown beside it</Heading>}
          {others.map(row)}
          {reviews.length > 0 && <Heading>Reviews: pooled by others, never mixed with single studies</Heading>}
          {reviews.map(row)}
          {unused.length > 0 && <Heading>Kept, not used</Heading>}
          {unused.map(row)}
        </tbody>
      </table>
    </div>
  );
}

/** What is weighed, by how studies are put together. */
const WEIGHED: Record<Schemas["ExpectedAccuracyJson"]["method"], string> = {
  SYNTHESIS: "what an independent clinic would find",
  POOLED: "its own studies, pooled",
  BEST_STUDY: "its best study, as it may differ elsewhere",
};

/** What is weighed: all studies together, each range wide enough for 95 of 100 clinics. */
function Expected({
  expected,
  chosen,
  onChoose,
}: {
  expected: Schemas["ExpectedAccuracyJson"];
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <tr className="break-inside-avoid border-b border-line bg-tan align-top">
      <th scope="row" className="max-w-72 py-1.5 pr-3 pl-1 text-left font-normal">
        <strong>Weighed: {WEIGHED[expected.method]}</strong>
        <span className="block">
          {expected.own && "With our own results. "}
          {expected.method === "SYNTHESIS" && "All studies of the ledger together. "}
          The bars hold 95 of 100 clinics, not the mean alone.
        </span>
        {!chosen && (
          <button type="button" className="no-print min-h-8 underline" onClick={onChoose}>
            Back to it on the slider
          </button>
        )}
      </th>
      <td className="py-1.5 pr-3 text-right">–</td>
      <td className="py-1.5 pr-3 text-right">{share(expected.sensitivity)}</td>
      <td className="py-1.5 pr-3 text-right">{share(expected.specificity)}</td>
      <td className="py-0">
        <Weights figures={expected} />
      </td>
      <td className="py-1.5 pr-1 pl-3 text-right">{decimal(expected.lrPositive.value)}</td>
      <td className="py-1.5 pl-2 text-right">{decimal(expected.lrNegative.value)}</td>
    </tr>
  );
}

function Heading({ children }: { children: ReactNode }) {
  return (
    <tr>
      <th colSpan={7} scope="rowgroup" className="pt-3 pb-1 text-left font-semibold text-soft">
        {children}
      </th>
    </tr>
  );
}

function Row({
  study,
  inUse,
  chosen,
  onChoose,
}: {
  study: Study;
  inUse: boolean;
  chosen: boolean;
  onChoose: (record: string) => void;
}) {
  const { record } = study;
  const size =
    record.with != null && record.without != null
      ? `${String(record.with)} + ${String(record.without)}`
      : record.total != null
        ? String(record.total)
        : "–";
  const weighable = inUse || (record.tiedCriterion !== "" && study.lrPositive != null && study.lrNegative != null);
  return (
    <tr className="break-inside-avoid border-b border-line align-top">
      <th scope="row" className="max-w-72 py-1.5 pr-3 pl-1 text-left font-normal">
        <Link to={`/library/ledger/${record.id}`} className={`underline ${inUse ? "font-semibold" : ""}`}>
          {record.citation}
        </Link>
        {record.byInventors && <span className="text-soft"> · by its inventors</span>}
        <span className="block text-soft">
          {record.criterion}
          {record.conditionText && ` · for ${record.conditionText}`}
        </span>
        {record.tieNote && <span className="block text-soft">{record.tieNote}</span>}
        <span className="block">{record.because}</span>
        {weighable && !chosen && (
          <button
            type="button"
            className="no-print min-h-8 underline"
            onClick={() => {
              onChoose(record.id);
            }}
          >
            Try its figures on the slider
          </button>
        )}
        {chosen && <span className="block font-semibold">On the slider now</span>}
      </th>
      <td className="py-1.5 pr-3 text-right whitespace-nowrap">{size}</td>
      <td className="py-1.5 pr-3 text-right">{share(study.sensitivity)}</td>
      <td className="py-1.5 pr-3 text-right">{share(study.specificity)}</td>
      <td className="py-0">
        <Weights figures={study} />
      </td>
      <td className="py-1.5 pr-1 pl-3 text-right">
        {study.lrPositive == null ? "–" : decimal(study.lrPositive.value)}
      </td>
      <td className="py-1.5 pl-2 text-right">{study.lrNegative == null ? "–" : decimal(study.lrNegative.value)}</td>
    </tr>
  );
}

function share(figure: Figure | null | undefined): ReactNode {
  if (figure == null) {
    return "–";
  }
  return (
    <>
      {Math.round(figure.value * 100)}
      {figure.lower != null && figure.upper != null && (
        <span className="block text-soft">
          {Math.round(figure.lower * 100)} to {Math.round(figure.upper * 100)}
        </span>
      )}
    </>
  );
}

function Axis() {
  const at = weightScale(WIDTH, 12);
  return (
    <svg className="w-full" viewBox={`0 0 ${String(WIDTH)} 34`} aria-hidden="true">
      <text x={at(1) - 8} y={11} textAnchor="end" fontSize={13} fill="var(--color-against)">
        ◁ against, if negative
      </text>
      <text x={at(1) + 8} y={11} fontSize={13} fill="var(--color-for)">
        for, if positive ▶
      </text>
      <MarkLabels at={at} y={29} fontWeight={400} />
    </svg>
  );
}

function Weights({ figures: study }: { figures: Pick<Study, "lrPositive" | "lrNegative"> }) {
  const at = weightScale(WIDTH, 12);
  const height = 52;
  return (
    <svg
      className="w-full"
      viewBox={`0 0 ${String(WIDTH)} ${String(height)}`}
      role="img"
      aria-label={`Weighs ${study.lrPositive == null ? "nothing known" : decimal(study.lrPositive.value)} if positive, ${study.lrNegative == null ? "nothing known" : decimal(study.lrNegative.value)} if negative`}
    >
      <MarkLines at={at} height={height} />
      <Pivot at={at} height={height} />
      {study.lrPositive != null && <Weight figure={study.lrPositive} y={16} positive />}
      {study.lrNegative != null && <Weight figure={study.lrNegative} y={36} positive={false} />}
    </svg>
  );
}

/** A weight at its ratio with its interval. An end beyond the scale has an arrow. */
function Weight({ figure, y, positive }: { figure: Figure; y: number; positive: boolean }) {
  const at = weightScale(WIDTH, 12);
  const x = at(figure.value);
  const tone = positive ? "var(--color-for)" : "var(--color-against)";
  const shape = positive
    ? `M${String(x - 6)} ${String(y - 6)}h6l6 6-6 6h-6z`
    : `M${String(x + 6)} ${String(y - 6)}h-6l-6 6 6 6h6z`;
  return (
    <g>
      {figure.lower != null && figure.upper != null && (
        <line x1={at(figure.lower)} x2={at(figure.upper)} y1={y} y2={y} stroke={tone} strokeWidth={2} />
      )}
      {figure.upper != null && figure.upper > 50 && (
        <path d={`M${String(WIDTH - 4)} ${String(y)}l-7-4v8z`} fill={tone} />
      )}
      {figure.lower != null && figure.lower < 1 / 50 && <path d={`M4 ${String(y)}l7-4v8z`} fill={tone} />}
      <path
        d={shape}
        fill={positive ? tone : "var(--color-sheet)"}
        stroke={tone}
        strokeWidth={1.8}
        strokeLinejoin="round"
        strokeDasharray={beyond(figure.value) ? "2 2" : undefined}
      />
    </g>
  );
}
