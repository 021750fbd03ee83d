import { scaleLinear } from "d3-scale";
import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";
import { logit } from "../shared/oddsScale";
import { extents, laidOut, tilt, type PlacedLoad } from "./beamGeometry";

const WIDTH = 800;
const MARKS = [0.02, 0.05, 0.1, 0.25, 0.5, 0.75, 0.9, 0.95, 0.98];
const BEAM_Y = 158;
const RAIL_Y = 232;

/**
 * The beam of one condition: the pivot is where the chance began; weights for lie right of it, weights against left,
 * each as long as its log likelihood ratio. Findings for which a set stands are drawn hatched above: they are not added
 * again. The rail below is where the sum leaves the chance, with what it could be.
 */
export function Beam({ standing }: { standing: Schemas["StandingJson"] }) {
  const scale = scaleLinear().domain([logit(0.008), logit(0.992)]).range([12, WIDTH - 12]).clamp(true);
  const start = logit(standing.before);
  const at = (offset: number) => scale(start + offset);
  const placed = laidOut(standing.loads);
  const held = laidOut(standing.held, standing.loads.length + 1);
  const shown = held.filter((load) => Math.abs(at(load.from) - (load.positive ? WIDTH - 12 : 12)) > 30);
  const beyond = held.filter((load) => !shown.includes(load));
  const { right, left } = extents(placed);
  const pivot = at(0);
  const rising = standing.now >= standing.before;
  const tone = rising ? "var(--color-for)" : "var(--color-against)";
  const wash = rising ? "var(--color-for-wash)" : "var(--color-against-wash)";
  const now = scale(logit(standing.now));
  const clash = Math.abs(now - pivot) < 80;
  return (
    <svg width="100%" viewBox={`0 0 ${String(WIDTH)} 290`} role="img" aria-label={describe(standing)} className="font-sans">
      <defs>
        <pattern id="held" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v6" stroke="var(--color-edge)" strokeWidth={2} />
        </pattern>
      </defs>
      {MARKS.map((mark) => (
        <g key={mark}>
          <line x1={scale(logit(mark))} x2={scale(logit(mark))} y1={24} y2={RAIL_Y + 8} stroke="var(--color-line)" />
          <text x={scale(logit(mark))} y={16} textAnchor="middle" fontSize={15} fill="var(--color-soft)">{Math.round(mark * 100)}</text>
        </g>
      ))}
      {shown.map((load) => <Block key={load.number} load={load} at={at} y={40} height={30} fill="url(#held)" dashed />)}
      {held.length > 0 && <line x1={at(extents(held).left)} x2={at(extents(held).right)} y1={72} y2={72} stroke="var(--color-edge)" />}
      {beyond.length > 0 && (
        <text x={beyond[0]?.positive ? WIDTH - 12 : 12} y={92} textAnchor={beyond[0]?.positive ? "end" : "start"} fontSize={15} fill="var(--color-soft)">
          {beyond.map((load) => load.number).join(" and ")} would lie beyond
        </text>
      )}
      <g transform={`rotate(${String(tilt(right + left))} ${String(pivot)} ${String(BEAM_Y)})`}>
        {placed.map((load) => (
          <Block key={load.number} load={load} at={at} y={BEAM_Y - 47} height={44} fill={load.positive ? "var(--color-for)" : "var(--color-sheet)"} />
        ))}
        <line x1={Math.min(at(left) - 14, pivot - 70)} x2={Math.max(at(right) + 14, pivot + 70)} y1={BEAM_Y} y2={BEAM_Y} stroke="var(--color-ink)" strokeWidth={5} strokeLinecap="round" />
      </g>
      <path d={`M${String(pivot)} ${String(BEAM_Y + 3)}l17 30h-34z`} fill="var(--color-paper)" stroke="var(--color-ink)" strokeWidth={2.4} strokeLinejoin="round" />
      <line x1={12} x2={WIDTH - 12} y1={RAIL_Y} y2={RAIL_Y} stroke="var(--color-edge)" />
      {standing.informed && (
        <>
          <rect x={scale(logit(standing.lower))} y={RAIL_Y - 9} width={scale(logit(standing.upper)) - scale(logit(standing.lower))} height={18} rx={9} fill={wash} />
          <line x1={pivot} x2={now} y1={RAIL_Y} y2={RAIL_Y} stroke={tone} strokeWidth={6} />
        </>
      )}
      <line x1={pivot} x2={pivot} y1={BEAM_Y + 34} y2={RAIL_Y + 12} stroke="var(--color-ink)" strokeWidth={1.5} strokeDasharray="2 4" />
      {standing.informed && <circle cx={now} cy={RAIL_Y} r={10} fill={tone} stroke="var(--color-sheet)" strokeWidth={2.5} />}
      <text x={pivot} y={RAIL_Y + 33} textAnchor={!clash ? "middle" : now > pivot ? "end" : "start"} fontSize={17} fill="var(--color-ink)">before {inHundred(standing.before)}</text>
      {standing.informed && (
        <text x={now} y={RAIL_Y + 33} textAnchor={!clash ? "middle" : now > pivot ? "start" : "end"} dx={clash ? (now > pivot ? 10 : -10) : 0} fontSize={17} fontWeight={700} fill="var(--color-ink)">
          now {inHundred(standing.now)}
        </text>
      )}
    </svg>
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

/** A weight: solid and pointing right for, hollow and pointing left against, hatched where it is held by a set. */
function Block({ load, at, y, height, fill, dashed }: BlockProps) {
  const near = at(load.from);
  const far = at(load.to);
  const direction = load.positive ? 1 : -1;
  const nose = Math.min(12, Math.abs(far - near) / 2);
  const path = `M${String(near + direction)} ${String(y)}H${String(far - direction * nose)}L${String(far)} ${String(y + height / 2)}L${String(far - direction * nose)} ${String(y + height)}H${String(near + direction)}Z`;
  const wide = Math.abs(far - near) > 22;
  const stroke = dashed ? "var(--color-edge)" : load.positive ? "var(--color-for)" : "var(--color-against)";
  return (
    <g>
      <path d={path} fill={fill} stroke={stroke} strokeWidth={dashed ? 1.2 : 2.4} />
      {wide && dashed && <circle cx={(near + far - direction * nose / 2) / 2} cy={y + height / 2} r={10} fill="var(--color-paper)" />}
      <text x={wide ? (near + far - direction * nose / 2) / 2 : (near + far) / 2} y={wide ? y + height / 2 + 6 : y - 6} textAnchor="middle" fontSize={17} fontWeight={700}
        fill={wide && load.positive && !dashed ? "var(--color-white)" : "var(--color-ink)"}>{load.number}</text>
    </g>
  );
}

function describe(standing: Schemas["StandingJson"]): string {
  if (!standing.informed) {
    return `${standing.name} began at ${inHundred(standing.before)} in 100; nothing has been weighed.`;
  }
  const weights = standing.loads.map((load) => `${load.phrase}, ${load.decibans >= 0 ? "for" : "against"}`).join("; ");
  return `${standing.name} began at ${inHundred(standing.before)} in 100 and stands at ${inHundred(standing.now)}, could be ${inHundred(standing.lower)} to ${inHundred(standing.upper)}. Weights: ${weights}.`;
}
