import type { Schemas } from "../shared/api/client";

type Plane = Schemas["RocPlaneJson"];
type Study = Schemas["StudyJson"];

const SIDE = 300;
const LEFT = 44;
const TOP = 10;
const TICKS = [0, 25, 50, 75, 100];

interface RocPlaneProps {
  plane: Plane;
  /** Every study of the test for the condition; those that the figures come from are drawn. */
  studies: Study[];
  expected: Schemas["ExpectedAccuracyJson"];
}

/**
 * Studies by how often people with and without the condition are positive: the further to the upper left, the better it
 * separates; along a curve upwards, the more readily it is called positive. A study's cross spans its 95 % intervals.
 */
export function RocPlane({ plane, studies, expected }: RocPlaneProps) {
  const drawn = studies.filter(
    (study) =>
      plane.studied.includes(study.record.id) &&
      study.sensitivity != null &&
      study.specificity != null &&
      !study.review,
  );
  const inventors = drawn.some((study) => study.record.byInventors);
  return (
    <figure className="max-w-md">
      <svg
        className="w-full"
        viewBox={`0 0 ${String(LEFT + SIDE + 12)} ${String(TOP + SIDE + 46)}`}
        role="img"
        aria-label={`${String(drawn.length)} studies in the plane of false alarms and hits; expected: ${percent(expected.sensitivity.value)} of 100 found, ${percent(1 - expected.specificity.value)} of 100 false alarms`}
      >
        <Grid />
        <path d={path(plane.unstudied)} fill="none" stroke="var(--color-soft)" strokeDasharray="2 4" />
        <path d={path(plane.clinics)} fill="var(--color-tan)" fillOpacity={0.7} stroke="var(--color-ink)" />
        {drawn.map((study) => (
          <Cross key={study.record.id} study={study} />
        ))}
        <path
          d={`M${String(x(1 - expected.specificity.value))} ${String(y(expected.sensitivity.value) - 7)}l7 7-7 7-7-7z`}
          fill="var(--color-ink)"
        />
      </svg>
      <figcaption className="text-note text-soft">
        Full diamond: what is weighed. Shaded: holds 95 of 100 clinics. Dotted: the same of a test that nobody has
        studied. Crosses: {drawn.length === 1 ? "the study" : `the ${String(drawn.length)} studies`} of this answer
        {inventors && "; open circles are by those who proposed the test"}.
      </figcaption>
    </figure>
  );
}

function x(falseAlarms: number): number {
  return LEFT + SIDE * falseAlarms;
}

function y(sensitivity: number): number {
  return TOP + SIDE * (1 - sensitivity);
}

function percent(share: number): string {
  return String(Math.round(100 * share));
}

function path(edge: Plane["clinics"]): string {
  return `M${edge.map((point) => `${x(point.falseAlarms).toFixed(1)} ${y(point.sensitivity).toFixed(1)}`).join("L")}Z`;
}

function Grid() {
  return (
    <>
      {TICKS.map((tick) => (
        <g key={tick} stroke="var(--color-line)" fontSize={12}>
          <line x1={x(tick / 100)} x2={x(tick / 100)} y1={TOP} y2={TOP + SIDE} />
          <line x1={LEFT} x2={LEFT + SIDE} y1={y(tick / 100)} y2={y(tick / 100)} />
          <text x={x(tick / 100)} y={TOP + SIDE + 16} textAnchor="middle" fill="var(--color-soft)" stroke="none">
            {tick}
          </text>
          <text x={LEFT - 6} y={y(tick / 100) + 4} textAnchor="end" fill="var(--color-soft)" stroke="none">
            {tick}
          </text>
        </g>
      ))}
      <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} stroke="var(--color-edge)" />
      <text x={x(0.5)} y={TOP + SIDE + 36} textAnchor="middle" fontSize={13} fill="var(--color-ink)">
        positive of 100 without it
      </text>
      <text
        transform={`rotate(-90) translate(${String(-y(0.5))} 12)`}
        textAnchor="middle"
        fontSize={13}
        fill="var(--color-ink)"
      >
        positive of 100 with it
      </text>
    </>
  );
}

function Cross({ study }: { study: Study }) {
  const { sensitivity, specificity } = study;
  if (sensitivity == null || specificity == null) {
    return null;
  }
  const at = { x: x(1 - specificity.value), y: y(sensitivity.value) };
  return (
    <g stroke="var(--color-for)" strokeWidth={1.5}>
      {specificity.lower != null && specificity.upper != null && (
        <line x1={x(1 - specificity.upper)} x2={x(1 - specificity.lower)} y1={at.y} y2={at.y} />
      )}
      {sensitivity.lower != null && sensitivity.upper != null && (
        <line x1={at.x} x2={at.x} y1={y(sensitivity.upper)} y2={y(sensitivity.lower)} />
      )}
      <circle
        cx={at.x}
        cy={at.y}
        r={study.record.byInventors ? 5 : 3}
        fill={study.record.byInventors ? "var(--color-sheet)" : "var(--color-for)"}
      >
        <title>{study.record.citation}</title>
      </circle>
    </g>
  );
}
