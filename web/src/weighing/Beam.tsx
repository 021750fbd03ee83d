import { scaleLinear } from "d3-scale";
import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";
import { logit } from "../shared/oddsScale";
import { extents, laidOut, reach, tilt, type PlacedLoad } from "./beamGeometry";

const WIDTH = 800;
const MARKS = [0.001, 0.01, 0.02, 0.05, 0.1, 0.25, 0.5, 0.75, 0.9, 0.95, 0.98, 0.99, 0.999];
const BEAM_Y = 158;
const RAIL_Y = 232;
/** A link lighter than this is not drawn, in decibans. */
const LEAST_LINK = 0.15;

/**
 * The beam of one condition: the pivot is where the chance began; weights for lie right of it, weights against left, each
 * as long as what it adds to the log odds after what it shares with others. Above, hatched, lies what each would weigh
 * alone. The rail below is where the sum leaves the chance, with what it could be. What is not weighed lies beside.
 */
export function Beam({ standing }: { standing: Schemas["StandingJson"] }) {
  const placed = laidOut(standing.loads.map((load) => load.part));
  const link =
    Math.abs(standing.link) >= LEAST_LINK
      ? laidOut([...standing.loads.map((load) => load.part), standing.link]).at(-1)
      : undefined;
  const shares = standing.groups.length < standing.loads.filter((load) => load.group != null).length;
  const alone =
    shares || standing.held.length > 0
      ? laidOut([...standing.loads, ...standing.held].map((load) => load.decibans))
      : [];
  const all = [...placed, ...(link ? [link] : []), ...alone];
  const start = logit(standing.before);
  const [from, to] = reach(start, all);
  const scale = scaleLinear()
    .domain([from, to])
    .range([14, WIDTH - 14])
    .clamp(true);
  const at = (offset: number) => scale(start + offset);
  const { right, left } = extents(placed);
  const pivot = at(0);
  const rising = standing.now >= standing.before;
  const tone = rising ? "var(--color-for)" : "var(--color-against)";
  const wash = rising ? "var(--color-for-wash)" : "var(--color-against-wash)";
  const now = scale(logit(standing.now));
  const clash = Math.abs(now - pivot) < 80;
  const marks = MARKS.filter((mark) => logit(mark) > from && logit(mark) < to);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The beam">
      <svg
        width="100%"
        viewBox={`0 0 ${String(WIDTH)} 290`}
        role="img"
        aria-label={describe(standing)}
        className="min-w-150 font-sans"
      >
        <defs>
          <pattern id="held" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0v6" stroke="var(--color-edge)" strokeWidth={2} />
          </pattern>
          <pattern id="borrowed" width={7} height={7} patternUnits="userSpaceOnUse">
            <circle cx={3.5} cy={3.5} r={1.4} fill="var(--color-edge)" />
          </pattern>
        </defs>
        {marks.map((mark) => (
          <g key={mark}>
            <line x1={scale(logit(mark))} x2={scale(logit(mark))} y1={24} y2={RAIL_Y + 8} stroke="var(--color-line)" />
            <text x={scale(logit(mark))} y={16} textAnchor="middle" fontSize={15} fill="var(--color-soft)">
              {mark < 0.01 || mark > 0.99 ? (mark * 100).toFixed(1) : Math.round(mark * 100)}
            </text>
          </g>
        ))}
        {alone.map((load) => (
          <Block key={load.number} load={load} at={at} y={40} height={28} fill="url(#held)" dashed />
        ))}
        {alone.length > 0 && (
          <>
            <line
              x1={at(extents(alone).left)}
              x2={at(extents(alone).right)}
              y1={70}
              y2={70}
              stroke="var(--color-edge)"
            />
            <text x={14} y={88} fontSize={15} fill="var(--color-soft)">
              above: each alone; below: what it adds here
            </text>
          </>
        )}
        <g transform={`rotate(${String(tilt(right + left))} ${String(pivot)} ${String(BEAM_Y)})`}>
          {placed.map((load) => (
            <Block
              key={load.number}
              load={load}
              at={at}
              y={BEAM_Y - 47}
              height={44}
              fill={
                standing.loads[load.number - 1]?.estimate
                  ? "url(#held)"
                  : standing.loads[load.number - 1]?.borrowed
                    ? "url(#borrowed)"
                    : load.positive
                      ? "var(--color-for)"
                      : "var(--color-sheet)"
              }
            />
          ))}
          {link && (
            <rect
              x={Math.min(at(link.from), at(link.to))}
              y={BEAM_Y - 27}
              width={Math.abs(at(link.to) - at(link.from))}
              height={24}
              fill="none"
              stroke="var(--color-soft)"
              strokeDasharray="3 3"
            />
          )}
          <line
            x1={Math.min(at(left) - 14, pivot - 70)}
            x2={Math.max(at(right) + 14, pivot + 70)}
            y1={BEAM_Y}
            y2={BEAM_Y}
            stroke="var(--color-ink)"
            strokeWidth={5}
            strokeLinecap="round"
          />
        </g>
        <path
          d={`M${String(pivot)} ${String(BEAM_Y + 3)}l17 30h-34z`}
          fill="var(--color-paper)"
          stroke="var(--color-ink)"
          strokeWidth={2.4}
          strokeLinejoin="round"
        />
        <Table count={standing.unweighed.length} beyond={pivot < WIDTH / 2} />
        <line x1={14} x2={WIDTH - 14} y1={RAIL_Y} y2={RAIL_Y} stroke="var(--color-edge)" />
        {standing.informed && (
          <>
            <rect
              x={scale(logit(standing.lower))}
              y={RAIL_Y - 9}
              width={scale(logit(standing.upper)) - scale(logit(standing.lower))}
              height={18}
              rx={9}
              fill={wash}
            />
            <line x1={pivot} x2={now} y1={RAIL_Y} y2={RAIL_Y} stroke={tone} strokeWidth={6} />
          </>
        )}
        <line
          x1={pivot}
          x2={pivot}
          y1={BEAM_Y + 34}
          y2={RAIL_Y + 12}
          stroke="var(--color-ink)"
          strokeWidth={1.5}
          strokeDasharray="2 4"
        />
        {standing.informed && (
          <circle cx={now} cy={RAIL_Y} r={10} fill={tone} stroke="var(--color-sheet)" strokeWidth={2.5} />
        )}
        <text
          x={pivot}
          y={RAIL_Y + 33}
          textAnchor={!clash ? "middle" : now > pivot ? "end" : "start"}
          fontSize={17}
          fill="var(--color-ink)"
        >
          before {inHundred(standing.before)}
        </text>
        {standing.informed && (
          <text
            x={now}
            y={RAIL_Y + 33}
            textAnchor={!clash ? "middle" : now > pivot ? "start" : "end"}
            dx={clash ? (now > pivot ? 10 : -10) : 0}
            fontSize={17}
            fontWeight={700}
            fill="var(--color-ink)"
          >
            now {inHundred(standing.now)}
          </text>
        )}
      </svg>
    </div>
  );
}

/** Findings that lie on the table beside the scale: seen, not weighed. */
function Table({ count, beyond }: { count: number; beyond: boolean }) {
  if (count === 0) {
    return null;
  }
  const shown = Math.min(count, 6);
  const x = beyond ? WIDTH - 200 : 24;
  return (
    <g aria-hidden="true">
      {Array.from({ length: shown }, (_, index) => (
        <circle
          key={index}
          cx={x + 12 + index * 24}
          cy={BEAM_Y + 26}
          r={9}
          fill="none"
          stroke="var(--color-soft)"
          strokeWidth={1.8}
          strokeDasharray="3 3"
        />
      ))}
      <path
        d={`M${String(x - 6)} ${String(BEAM_Y + 38)}h180M${String(x + 4)} ${String(BEAM_Y + 38)}v14M${String(x + 164)} ${String(BEAM_Y + 38)}v14`}
        stroke="var(--color-edge)"
        strokeWidth={2}
        fill="none"
      />
      <text x={x + 84} y={BEAM_Y + 54} textAnchor="middle" fontSize={15} fill="var(--color-soft)">
        {count} not weighed
      </text>
    </g>
  );
}

interface BlockProps {
  load: PlacedLoad;
  at: (offset: number) => number;
  y: number;
  height: number;
  fill: string;
  dashed?: boolean;
}

/** A weight: solid and pointing right for, hollow and pointing left against, hatched where it is not what counts. */
function Block({ load, at, y, height, fill, dashed }: BlockProps) {
  const near = at(load.from);
  const far = at(load.to);
  const direction = load.positive ? 1 : -1;
  const nose = Math.min(12, Math.abs(far - near) / 2);
  const path = `M${String(near + direction)} ${String(y)}H${String(far - direction * nose)}L${String(far)} ${String(y + height / 2)}L${String(far - direction * nose)} ${String(y + height)}H${String(near + direction)}Z`;
  const wide = Math.abs(far - near) > 22;
  const stroke = dashed ? "var(--color-edge)" : load.positive ? "var(--color-for)" : "var(--color-against)";
  const hatched = fill.startsWith("url");
  return (
    <g>
      <path d={path} fill={fill} stroke={stroke} strokeWidth={dashed ? 1.2 : 2.4} />
      {wide && hatched && (
        <circle cx={(near + far - (direction * nose) / 2) / 2} cy={y + height / 2} r={10} fill="var(--color-paper)" />
      )}
      {(wide || !dashed) && (
        <text
          x={wide ? (near + far - (direction * nose) / 2) / 2 : (near + far) / 2}
          y={wide ? y + height / 2 + 6 : y - 6}
          textAnchor="middle"
          fontSize={17}
          fontWeight={700}
          fill={wide && load.positive && !hatched ? "var(--color-white)" : "var(--color-ink)"}
        >
          {load.number}
        </text>
      )}
    </g>
  );
}

function describe(standing: Schemas["StandingJson"]): string {
  if (!standing.informed) {
    return `${standing.name} began at ${inHundred(standing.before)} in 100; nothing has been weighed.`;
  }
  const weights = standing.loads.map((load) => `${load.phrase}, ${load.part >= 0 ? "for" : "against"}`).join("; ");
  return `${standing.name} began at ${inHundred(standing.before)} in 100 and stands at ${inHundred(standing.now)}, could be ${inHundred(standing.lower)} to ${inHundred(standing.upper)}. Weights: ${weights}.`;
}
