import { scaleLinear } from "d3-scale";
import type { Schemas } from "../shared/api/client";
import { Explain } from "../shared/ui/Explain";
import { beyondFigures, curveWords, minuteWords, shareOf } from "./words";

type Point = Schemas["PlanPointJson"];

const [WIDTH, HEIGHT, LEFT, BOTTOM, TOP] = [320, 190, 34, 34, 20];

/** What each length of plan tells, as a share of what all tests could tell; the knee is marked, and where the plans at hand are. */
export function BudgetCurve({
  curve,
  most,
  proposed,
  own,
}: {
  curve: Schemas["PlanCurveJson"];
  most: number;
  proposed: Pick<Point, "minutes" | "bits">;
  own?: Pick<Point, "minutes" | "bits"> | undefined;
}) {
  const last = curve.points.at(-1);
  if (!last || last.bits <= 0) {
    return null;
  }
  const longest = Math.max(last.minutes, proposed.minutes, own?.minutes ?? 0, 5);
  const x = scaleLinear()
    .domain([0, longest])
    .range([LEFT, WIDTH - 10]);
  const top = Math.max(most, last.bits);
  const y = scaleLinear()
    .domain([0, top])
    .range([HEIGHT - BOTTOM, TOP]);
  const marks = x.ticks(5).filter((tick) => tick % 1 === 0);
  return (
    <figure className="no-print">
      <figcaption className="text-read font-semibold">What the minutes buy</figcaption>
      <svg
        viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
        className="w-full max-w-md"
        role="img"
        aria-label={curveWords(curve, most)}
      >
        {[0, 0.5, 1].map((share) => {
          const line = y(share * top);
          return (
            <g key={share}>
              <line x1={LEFT} x2={WIDTH - 10} y1={line} y2={line} stroke="var(--color-line)" />
              <text x={LEFT - 5} y={line + 4} textAnchor="end" fontSize={12} fill="var(--color-soft)">
                {100 * share}
              </text>
            </g>
          );
        })}
        {marks.map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={HEIGHT - BOTTOM + 16}
            textAnchor="middle"
            fontSize={12}
            fill="var(--color-soft)"
          >
            {tick}
          </text>
        ))}
        <text x={WIDTH - 10} y={HEIGHT - 3} textAnchor="end" fontSize={12} fill="var(--color-soft)">
          minutes
        </text>
        <text x={2} y={11} fontSize={12} fill="var(--color-soft)">
          in 100 of what all tests could tell
        </text>
        <polyline
          points={curve.points.map((point) => `${x(point.minutes).toFixed(1)},${y(point.bits).toFixed(1)}`).join(" ")}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={2}
          strokeLinejoin="round"
        />
        {longest > last.minutes && (
          <line
            x1={x(last.minutes)}
            x2={x(longest)}
            y1={y(last.bits)}
            y2={y(last.bits)}
            stroke="var(--color-ink)"
            strokeWidth={2}
            strokeDasharray="2 4"
          />
        )}
        {curve.knee && (
          <>
            <line
              x1={x(curve.knee.minutes)}
              x2={x(curve.knee.minutes)}
              y1={y(curve.knee.bits)}
              y2={HEIGHT - BOTTOM}
              stroke="var(--color-ink)"
              strokeDasharray="3 3"
            />
            <path d={`M${String(x(curve.knee.minutes))} ${String(HEIGHT - BOTTOM)}l5 8h-10z`} fill="var(--color-ink)" />
          </>
        )}
        <circle
          cx={x(proposed.minutes)}
          cy={y(proposed.bits)}
          r={5.5}
          fill="var(--color-ink)"
          stroke="var(--color-sheet)"
          strokeWidth={1.5}
        />
        {own && (
          <rect
            x={x(own.minutes) - 5.5}
            y={y(own.bits) - 5.5}
            width={11}
            height={11}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={2}
          />
        )}
      </svg>
      <p className="text-note">
        {curve.knee ? (
          <>
            <strong>▲ {minuteWords(curve.knee.minutes)}:</strong> from here each further minute tells much less.{" "}
          </>
        ) : null}
        {beyondFigures(curve, (own ?? proposed).minutes)}{" "}
        <span className="text-soft">● the proposal{own && " · □ yours"}</span>
      </p>
      <Explain what="the curve">
        To the right the minutes, upwards how much of what all tests could tell by figures the best order of that length
        tells for this patient. This plan takes {minuteWords((own ?? proposed).minutes)} and tells{" "}
        {shareOf(own ?? proposed, most)} in 100 of it. Measures, definitions and pictures have no figures, and are not
        in it.
      </Explain>
    </figure>
  );
}
