import { MARKS, oddsScale } from "../oddsScale";

interface OddsRailProps {
  before: number;
  now: number;
  lower: number;
  upper: number;
  /** Where it stood before the last test; drawn as a short tail behind the disc. */
  previous: number;
  informed: boolean;
  width: number;
}

/**
 * A rail of chances on the log-odds scale: triangle = before any test, disc = now, band = what it could be. A condition
 * that nothing informed has its triangle alone.
 */
export function OddsRail({ before, now, lower, upper, previous, informed, width }: OddsRailProps) {
  const at = oddsScale(width, 8);
  const rising = now >= before;
  const tone = rising ? "var(--color-for)" : "var(--color-against)";
  const wash = rising ? "var(--color-for-wash)" : "var(--color-against-wash)";
  const y = informed ? 10 : 6;
  return (
    <svg
      width="100%"
      height={informed ? 28 : 22}
      viewBox={`0 0 ${String(width)} ${informed ? "28" : "22"}`}
      aria-hidden="true"
      focusable="false"
    >
      {informed && (
        <rect x={at(lower)} y={y - 6} width={Math.max(2, at(upper) - at(lower))} height={12} rx={6} fill={wash} />
      )}
      <line x1={0} x2={width} y1={y} y2={y} stroke="var(--color-edge)" strokeWidth={1} />
      {MARKS.map((mark) => (
        <line key={mark} x1={at(mark)} x2={at(mark)} y1={y - 3} y2={y + 3} stroke="var(--color-edge)" strokeWidth={1} />
      ))}
      {informed && (
        <>
          <line x1={at(before)} x2={at(now)} y1={y} y2={y} stroke={tone} strokeWidth={4} />
          {previous !== now && (
            <circle cx={at(previous)} cy={y} r={4} fill="var(--color-sheet)" stroke={tone} strokeWidth={1.5} />
          )}
          <circle
            className="glide"
            cx={0}
            cy={y}
            r={7.5}
            fill={tone}
            stroke="var(--color-sheet)"
            strokeWidth={2}
            transform={`translate(${String(at(now))} 0)`}
          />
        </>
      )}
      <path
        d={`M${String(at(before))} ${String(y + 3)}l6.5 11h-13z`}
        fill="var(--color-sheet)"
        stroke="var(--color-ink)"
        strokeWidth={1.6}
        strokeLinejoin="round"
      />
    </svg>
  );
}
