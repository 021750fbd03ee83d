import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";

type Estimate = Schemas["OutcomeEstimateJson"];

const HEIGHT = 34;

function percent(share: number): string {
  return `${String(100 * share)}%`;
}

/** Two proportions with their ranges on one scale from 0 to 100, and where both together lie. */
export function ShareBar({
  name,
  expected,
  own,
  together,
}: {
  name: string;
  expected: Estimate;
  own?: Estimate | undefined;
  together: Estimate;
}) {
  return (
    <svg
      width="100%"
      height={HEIGHT}
      role="img"
      aria-label={`${name} in 100: published ${said(expected)}${own ? `, our own ${said(own)}` : ""}, together ${said(together)}`}
      className="my-1 block overflow-visible"
    >
      <rect x={0} width="100%" y={0} height={HEIGHT} className="fill-sheet stroke-line" />
      {[0.25, 0.5, 0.75].map((share) => (
        <line key={share} x1={percent(share)} x2={percent(share)} y1={0} y2={HEIGHT} className="stroke-line" />
      ))}
      <Line estimate={expected} y={10} look="stroke-soft" fill="fill-sheet stroke-soft" />
      {own && <Line estimate={own} y={24} look="stroke-ink" fill="fill-ink stroke-ink" />}
      <line
        x1={percent(together.estimate)}
        x2={percent(together.estimate)}
        y1={1}
        y2={HEIGHT - 1}
        strokeWidth={2}
        strokeDasharray="3 2"
        className="stroke-ink"
      />
    </svg>
  );
}

function Line({ estimate, y, look, fill }: { estimate: Estimate; y: number; look: string; fill: string }) {
  return (
    <>
      <line x1={percent(estimate.lower)} x2={percent(estimate.upper)} y1={y} y2={y} strokeWidth={3} className={look} />
      <circle cx={percent(estimate.estimate)} cy={y} r={5} strokeWidth={2} className={fill} />
    </>
  );
}

function said(estimate: Estimate): string {
  return `${inHundred(estimate.estimate)} (${inHundred(estimate.lower)} to ${inHundred(estimate.upper)})`;
}
