import type { ReactNode } from "react";
import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";
import { heights, labelled } from "./timeScale";
import { resultWords } from "./words";

type Measure = Schemas["CourseMeasureJson"];
type Point = Schemas["CoursePointJson"];
type Response = Schemas["CourseResponseJson"];
type Condition = Schemas["CourseConditionJson"];

const TALL = 80;
const LOW = 30;
const CHANCE = 64;

/** Least distance between two numbers in a row, in percent of its width. */
const NUMBERS = 4;

function percent(place: number): string {
  return `${String(place)}%`;
}

/** A number as a row writes it: whole, or to a tenth. */
function short(value: number): string {
  return String(Math.round(value * 10) / 10);
}

/** Thin lines at the visits, the same in every row. */
function VisitLines({ at, height }: { at: readonly number[]; height: number }) {
  return at.map((place, visit) => (
    <line key={visit} x1={percent(place)} x2={percent(place)} y1={0} y2={height} className="stroke-line" />
  ));
}

function Drawing({ height, label, children }: { height: number; label: string; children: ReactNode }) {
  return (
    <svg width="100%" height={height} role="img" aria-label={label} className="block overflow-visible">
      {children}
    </svg>
  );
}

/**
 * One measure over the visits: its values joined, what is within the noise of the first value as a band, of the last
 * between two dashed lines, and the other side as short strokes.
 */
export function MeasureRow({ measure, at }: { measure: Measure; at: readonly number[] }) {
  const values = measure.points.flatMap((point) => [point.value, ...(point.well == null ? [] : [point.well])]);
  for (const band of [measure.fromFirst, measure.fromLast]) {
    if (band) {
      values.push(band.lower, band.upper);
    }
  }
  const y = heights(values, TALL, 18);
  const counted = measure.points.filter((point) => point.because === "");
  const last = measure.points.at(-1);
  const numbered = numberedOf(measure.points, at);
  return (
    <Drawing
      height={TALL}
      label={`${measure.label}: ${measure.points.map((point) => said(point, measure.unit)).join(", ")}`}
    >
      {measure.fromFirst && (
        <rect
          x={0}
          width="100%"
          y={y(measure.fromFirst.upper)}
          height={y(measure.fromFirst.lower) - y(measure.fromFirst.upper)}
          className="fill-tan"
        />
      )}
      <VisitLines at={at} height={TALL} />
      {measure.fromLast &&
        counted.length > 1 &&
        [measure.fromLast.lower, measure.fromLast.upper].map((edge) => (
          <line key={edge} x1={0} x2="100%" y1={y(edge)} y2={y(edge)} strokeDasharray="2 4" className="stroke-edge" />
        ))}
      {measure.points.map(
        (point) =>
          point.well != null && (
            <svg key={point.visit} x={percent(at[point.visit] ?? 0)} y={y(point.well)} className="overflow-visible">
              <line x1={-9} x2={9} y1={0} y2={0} className="stroke-soft" strokeWidth={2} />
            </svg>
          ),
      )}
      <Joined
        spots={counted.map((point) => ({ visit: point.visit, x: percent(at[point.visit] ?? 0), y: y(point.value) }))}
      />
      {measure.points.map((point, index) => (
        <PointMark
          key={point.visit}
          point={point}
          x={percent(at[point.visit] ?? 0)}
          y={y(point.value)}
          last={point === last}
          numbered={numbered[index] ?? true}
          below={point.well != null && hides(y(point.well), y(point.value))}
        />
      ))}
    </Drawing>
  );
}

function said(point: Point, unit: string): string {
  return `${point.atLeast ? "over " : ""}${short(point.value)} ${unit}${point.because && `, ${point.because}`}`;
}

/** A point of a row: where it stands, in percent of the width and in pixels. */
interface Spot {
  visit: number;
  x: string;
  y: number;
}

/** A line from each point to the next. */
function Joined({ spots }: { spots: readonly Spot[] }) {
  return spots.slice(1).map((spot, index) => {
    const before = spots[index];
    return (
      before && (
        <line
          key={spot.visit}
          x1={before.x}
          y1={before.y}
          x2={spot.x}
          y2={spot.y}
          className="stroke-ink"
          strokeWidth={1.5}
        />
      )
    );
  });
}

/** A number beside its point, readable over lines. */
function Figure({ x, y, strong, children }: { x: string; y: number; strong?: boolean; children: ReactNode }) {
  return (
    <text
      x={x}
      y={y}
      textAnchor="middle"
      className={`fill-ink text-[13px] print:text-[15px] ${strong ? "font-bold" : ""}`}
      paintOrder="stroke"
      stroke="var(--color-paper)"
      strokeWidth={3}
    >
      {children}
    </text>
  );
}

/** Which of the points have room for their number. */
function numberedOf(points: readonly { visit: number }[], at: readonly number[]): boolean[] {
  return labelled(
    points.map((point) => at[point.visit] ?? 0),
    NUMBERS,
  );
}

interface PointMarkProps {
  point: Point;
  x: string;
  y: number;
  last: boolean;
  /** Whether there is room for its number. */
  numbered: boolean;
  /** Whether the number stands below the dot. */
  below: boolean;
}

/** A full dot where it counts, an open one where it does not, an arrow upwards where it is known only to be no less. */
/** Whether a stroke of the other side would run through a number above a point. */
function hides(stroke: number, point: number): boolean {
  return stroke < point - 2 && stroke > point - 24;
}

function PointMark({ point, x, y, last, numbered, below }: PointMarkProps) {
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={4.5}
        className={point.because ? "fill-paper stroke-ink" : "fill-ink stroke-ink"}
        strokeWidth={1.5}
      />
      {numbered && (
        <Figure x={x} y={below ? y + 18 : y - 9} strong={last}>
          {point.atLeast ? "> " : ""}
          {short(point.value)}
        </Figure>
      )}
    </g>
  );
}

/** How a test came out at every visit: a full bar for positive, a ring for negative, a question mark where it cannot be read. */
export function ResponseRow({ response, at }: { response: Response; at: readonly number[] }) {
  return (
    <Drawing height={LOW} label={`${response.name}: ${response.results.map(resultWords).join(", ")}`}>
      <VisitLines at={at} height={LOW} />
      {response.results.map((result, visit) => (
        <ResultMark key={visit} result={result} x={percent(at[visit] ?? 0)} />
      ))}
    </Drawing>
  );
}

export function ResultMark({ result, x }: { result: Response["results"][number]; x: string }) {
  const middle = LOW / 2;
  switch (result) {
    case "POSITIVE":
      return <line x1={x} x2={x} y1={middle - 9} y2={middle + 9} className="stroke-for" strokeWidth={9} />;
    case "NEGATIVE":
      return <circle cx={x} cy={middle} r={6} className="fill-paper stroke-against" strokeWidth={2.5} />;
    case "NOT_INTERPRETABLE":
      return (
        <>
          <circle cx={x} cy={middle} r={9} className="fill-paper" />
          <text x={x} y={middle + 5} textAnchor="middle" className="fill-ink text-[15px] font-semibold">
            ?
          </text>
        </>
      );
    case "NOT_DONE":
      return null;
  }
}

/** Where a condition stood at every visit, in 100. */
export function ConditionRow({ condition, at }: { condition: Condition; at: readonly number[] }) {
  const y = heights([0, 1], CHANCE, 20);
  const points = condition.stands;
  const numbered = numberedOf(points, at);
  const spots = points.map(({ visit, now }) => ({ visit, now, x: percent(at[visit] ?? 0), y: y(now) }));
  return (
    <Drawing
      height={CHANCE}
      label={`${condition.name}: ${points.map((point) => inHundred(point.now)).join(", ")} in 100`}
    >
      <line x1={0} x2="100%" y1={y(0)} y2={y(0)} className="stroke-line" />
      <VisitLines at={at} height={CHANCE} />
      <Joined spots={spots} />
      {spots.map((spot, index) => (
        <g key={spot.visit}>
          <circle cx={spot.x} cy={spot.y} r={3.5} className="fill-ink" />
          {numbered[index] && (
            <Figure x={spot.x} y={spot.y - 7}>
              {inHundred(spot.now)}
            </Figure>
          )}
        </g>
      ))}
    </Drawing>
  );
}
