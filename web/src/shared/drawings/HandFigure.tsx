import { handWords, placeOf, turned, wayOf, WRIST, type HandPose, type Spot } from "./handGeometry";

const INK = "var(--color-ink)";
const SKIN = "var(--color-tan)";

/** Limbs as thick lines, once in ink and once in skin, so that only the outer edge remains. */
function Limbs({
  limbs,
  turn,
  about,
}: {
  limbs: readonly (readonly [path: string, width: number])[];
  turn: number;
  about: Spot;
}) {
  return (
    <g transform={`rotate(${String(turn)} ${String(about.x)} ${String(about.y)})`}>
      {limbs.map(([path, width]) => (
        <path
          key={path}
          d={path}
          fill="none"
          stroke={INK}
          strokeWidth={width + 1.8}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      {limbs.map(([path, width]) => (
        <path
          key={path}
          d={path}
          fill="none"
          stroke={SKIN}
          strokeWidth={width}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </g>
  );
}

function faceLimbs(pose: HandPose): readonly (readonly [string, number])[] {
  const palm = ["M42 58L41 36M50 60V34M58 58L60 37", 17] as const;
  const fingers =
    pose.fingers === "FIST"
      ? [["M38 32H62", 13] as const]
      : ([
          ["M37 32L35 12", 7],
          ["M46 30L45 6", 7],
          ["M54 30L55 8", 7],
          ["M62 33L65 16", 6.5],
        ] as const);
  const thumb =
    pose.thumb === "IN"
      ? (["M34 54L32 44L44 38", 8] as const)
      : pose.thumb === "OUT"
        ? (["M37 56L25 45L16 38", 8] as const)
        : (["M37 56L29 44L25 31", 8] as const);
  return pose.thumb === "IN" ? [palm, ...fingers, thumb] : [thumb, palm, ...fingers];
}

function sideLimbs(pose: HandPose): readonly (readonly [string, number])[] {
  const fingers = pose.fingers === "FIST" ? (["M68 52C76 50 76 62 68 61", 10] as const) : (["M68 50H94", 9] as const);
  const thumb = pose.thumb === "OUT" ? (["M54 54L62 64L69 71", 7] as const) : (["M54 54L64 59L74 62", 7] as const);
  return [["M46 50H68", 16], fingers, thumb];
}

/**
 * A figure of wrist and hand computed from a test's pose: arrows for what you do, dashed ones for what the patient does, a
 * ring with a dot for a push out of the page, with a cross for one into it, rings for what you steady.
 */
export function HandFigure({ pose, className }: { pose: HandPose; className?: string }) {
  const side = pose.view === "SIDE";
  const about = side ? WRIST.side : WRIST.face;
  return (
    <svg className={className} viewBox="0 0 100 106" role="img" aria-label={handWords(pose)}>
      <g transform={pose.view === "PALM" ? "translate(100 0) scale(-1 1)" : undefined}>
        <Limbs limbs={side ? [["M-4 50H46", 17]] : [["M43 66V110M57 66V110", 14]]} turn={0} about={about} />
        <Limbs
          limbs={side ? sideLimbs(pose) : faceLimbs(pose)}
          turn={pose.view === "PALM" ? -turned(pose) : turned(pose)}
          about={about}
        />
        {side ? (
          <path d="M8 43H36" stroke="var(--color-edge)" />
        ) : pose.view === "BACK" ? (
          <path d="M57 71a5 5 0 1 0 8 1M38 78C40 74 42 72 44 70" fill="none" stroke="var(--color-edge)" />
        ) : (
          <path
            d="M37 67C44 65 56 65 63 67M37 70C44 68 56 68 63 70M38 40C46 44 44 52 48 58"
            fill="none"
            stroke="var(--color-edge)"
          />
        )}
      </g>
      {pose.held.map((mark) => {
        const at = placeOf(mark, pose);
        return (
          <g key={mark}>
            <circle cx={at.x} cy={at.y} r={6} fill="none" stroke="var(--color-sheet)" strokeWidth={3} />
            <circle cx={at.x} cy={at.y} r={6} fill="none" stroke={INK} strokeWidth={1.4} strokeDasharray="3 2" />
          </g>
        );
      })}
      {pose.forces.map((force, index) => (
        <Force
          key={index}
          at={placeOf(force.at, pose)}
          way={wayOf(force, pose)}
          patient={force.patient}
          shift={offset(pose, index)}
        />
      ))}
    </svg>
  );
}

/** Two forces at one place stand beside each other. */
function offset(pose: HandPose, index: number): number {
  const here = pose.forces[index];
  const before = pose.forces.slice(0, index).filter((force) => force.at === here?.at).length;
  return before * 9;
}

function Force({
  at,
  way,
  patient,
  shift,
}: {
  at: Spot;
  way: ReturnType<typeof wayOf>;
  patient: boolean;
  shift: number;
}) {
  const stroke = patient ? 1.2 : 2.4;
  const dash = patient ? "2.5 2" : undefined;
  if (way === "press" || way === "tap") {
    return (
      <g>
        <circle cx={at.x} cy={at.y} r={4.2} fill={INK} stroke="var(--color-sheet)" strokeWidth={1.2} />
        {way === "press" ? (
          <circle cx={at.x} cy={at.y} r={7.2} fill="none" stroke={INK} strokeWidth={1.2} />
        ) : (
          <path
            d={`M${String(at.x - 9)} ${String(at.y - 4)}a10 10 0 0 1 6 -6M${String(at.x + 3)} ${String(at.y - 10)}a10 10 0 0 1 6 6`}
            fill="none"
            stroke={INK}
            strokeWidth={1.4}
          />
        )}
      </g>
    );
  }
  if (way === "in" || way === "out") {
    const x = at.x + shift;
    return (
      <g>
        <circle cx={x} cy={at.y} r={5} fill="var(--color-sheet)" stroke={INK} strokeWidth={stroke} />
        {way === "out" ? (
          <circle cx={x} cy={at.y} r={1.8} fill={INK} />
        ) : (
          <path d={`M${String(x - 3)} ${String(at.y - 3)}l6 6m0 -6l-6 6`} stroke={INK} strokeWidth={1.6} />
        )}
      </g>
    );
  }
  if (way === "turn") {
    return (
      <g>
        <path
          d={`M${String(at.x - 15)} ${String(at.y - 3)}c4 9 26 9 30 0`}
          fill="none"
          stroke="var(--color-sheet)"
          strokeWidth={5}
        />
        <path
          d={`M${String(at.x - 15)} ${String(at.y - 3)}c4 9 26 9 30 0`}
          fill="none"
          stroke={INK}
          strokeWidth={stroke}
          strokeDasharray={dash}
        />
        <polygon
          points={`${String(at.x + 17)},${String(at.y - 8)} ${String(at.x + 18)},${String(at.y)} ${String(at.x + 11)},${String(at.y - 2)}`}
          fill={patient ? "var(--color-sheet)" : INK}
          stroke={INK}
        />
      </g>
    );
  }
  const length = 17;
  const across = { x: -way.y, y: way.x };
  const side = shift === 0 ? 0 : -7;
  const from = { x: at.x - way.x * length + across.x * side, y: at.y - way.y * length + across.y * side };
  const to = { x: at.x - way.x * 3 + across.x * side, y: at.y - way.y * 3 + across.y * side };
  const corner = (sign: number) =>
    `${String(to.x - way.x * 4 + sign * across.x * 3.4)},${String(to.y - way.y * 4 + sign * across.y * 3.4)}`;
  return (
    <g>
      <path
        d={`M${String(from.x)} ${String(from.y)}L${String(to.x)} ${String(to.y)}`}
        stroke="var(--color-sheet)"
        strokeWidth={stroke + 2.4}
      />
      <path
        d={`M${String(from.x)} ${String(from.y)}L${String(to.x - way.x * 2)} ${String(to.y - way.y * 2)}`}
        stroke={INK}
        strokeWidth={stroke}
        strokeDasharray={dash}
      />
      <polygon
        points={`${String(to.x + way.x * 2)},${String(to.y + way.y * 2)} ${corner(1)} ${corner(-1)}`}
        fill={patient ? "var(--color-sheet)" : INK}
        stroke={INK}
        strokeWidth={1}
        strokeLinejoin="round"
      />
    </g>
  );
}
