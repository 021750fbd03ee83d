import {
  arm,
  camera,
  forcePath,
  place,
  poseWords,
  SHOULDER,
  vector,
  windowRim,
  type Point,
  type Pose,
  type Vector,
} from "./poseGeometry";

const SCALE = 250;

interface Piece {
  near: number;
  key: string;
  draw: React.ReactNode;
}

/**
 * A figure computed from a test's joint angles: the tested arm tinted, solid arrows for what you do, hollow ones for what
 * the patient does, rings for what you steady, a shaded sector for the angle that counts.
 */
export function PoseFigure({ pose, className }: { pose: Pose; className?: string }) {
  const look = camera(pose.view, pose.body);
  const at = (where: Vector): Point => {
    const point = look(where);
    return { x: point.x * SCALE, y: point.y * SCALE, near: point.near };
  };
  const joints = arm(pose);
  const [shoulder, elbow, wrist, tips, thumb] = [
    joints.shoulder,
    joints.elbow,
    joints.wrist,
    joints.fingertips,
    joints.thumb,
  ].map(at) as [Point, Point, Point, Point, Point];
  const pieces: Piece[] = [
    ...trunk(at, pose),
    limb(
      "other-arm",
      [at(vector(-0.2, 1.42, 0)), at(vector(-0.24, 1.13, 0.02)), at(vector(-0.22, 0.9, 0.1))],
      17,
      false,
    ),
  ];
  pieces.push(
    limb("upper-arm", [shoulder, elbow], 24, true),
    limb("forearm", [elbow, wrist], 20, true),
    limb("hand", [wrist, tips], 14, true),
    limb("thumb", [mix(wrist, tips, 0.3), thumb], 8, true),
  );
  pieces.sort((a, b) => a.near - b.near);
  const window = windowRim(pose);
  const marks = pose.held.map((mark) => at(place(mark, joints)));
  const arrows = pose.forces.map((force) => ({ force, path: forcePath(force, pose).map(at) }));
  const box = frame([
    shoulder,
    elbow,
    wrist,
    tips,
    ...outline(at, pose),
    ...arrows.flatMap((arrow) => arrow.path),
    ...(window?.rim.map(at) ?? []),
  ]);
  return (
    <svg className={className} viewBox={box} role="img" aria-label={poseWords(pose)}>
      {pose.body === "SUPINE" && (
        <polygon
          points={points(
            [
              vector(-0.4, 1.95, -0.13),
              vector(-0.4, 0.55, -0.13),
              vector(0.3, 0.55, -0.13),
              vector(0.3, 1.95, -0.13),
            ].map(at),
          )}
          fill="var(--color-paper)"
          stroke="var(--color-line)"
          strokeWidth={2}
        />
      )}
      {window && (
        <polygon
          points={points([window.centre, ...window.rim].map(at))}
          fill="var(--color-for-wash)"
          stroke="var(--color-for)"
          strokeWidth={1.2}
          strokeDasharray="4 3"
          opacity={0.85}
        />
      )}
      {pieces.map((piece) => (
        <g key={piece.key}>{piece.draw}</g>
      ))}
      {marks.map((mark, index) => (
        <g key={index}>
          <circle cx={mark.x} cy={mark.y} r={12} fill="none" stroke="var(--color-sheet)" strokeWidth={6} />
          <circle
            cx={mark.x}
            cy={mark.y}
            r={12}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth={2.6}
            strokeDasharray="5 3.5"
          />
        </g>
      ))}
      {arrows.map(({ force, path }, index) => (
        <Arrow key={index} path={path} patient={force.patient} />
      ))}
    </svg>
  );
}

function Arrow({ path, patient }: { path: Point[]; patient: boolean }) {
  const head = path.at(-1);
  const before = path.at(-2);
  if (!head || !before) {
    return null;
  }
  const angle = Math.atan2(head.y - before.y, head.x - before.x);
  const tip = (turn: number, size: number) =>
    `${String(head.x + size * Math.cos(angle + turn))},${String(head.y + size * Math.sin(angle + turn))}`;
  const line = `M${path.map((point) => `${String(point.x)} ${String(point.y)}`).join("L")}`;
  const triangle = `${tip(0, 13)} ${tip(2.45, 12)} ${tip(-2.45, 12)}`;
  return (
    <g>
      <path d={line} fill="none" stroke="var(--color-sheet)" strokeWidth={9} strokeLinecap="round" />
      <path
        d={line}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth={patient ? 2 : 4.5}
        strokeDasharray={patient ? "5 4" : undefined}
      />
      <polygon
        points={triangle}
        fill={patient ? "var(--color-sheet)" : "var(--color-ink)"}
        stroke="var(--color-ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
    </g>
  );
}

function limb(key: string, path: Point[], width: number, tested: boolean): Piece {
  const d = `M${path.map((point) => `${String(point.x)} ${String(point.y)}`).join("L")}`;
  return {
    key,
    near: path.reduce((sum, point) => sum + point.near, 0) / path.length + (tested ? 0.02 : 0),
    draw: (
      <>
        <path
          d={d}
          fill="none"
          stroke={tested ? "var(--color-ink)" : "var(--color-edge)"}
          strokeWidth={width + (tested ? 4 : 3)}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
        <path
          d={d}
          fill="none"
          stroke={tested ? "var(--color-tan)" : "var(--color-sheet)"}
          strokeWidth={width}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </>
    ),
  };
}

/** Head, neck, trunk and, sitting, the thighs. */
function trunk(at: (where: Vector) => Point, pose: Pose): Piece[] {
  const head = at(vector(0, 1.69, 0.03));
  const corners = [
    vector(0.16, 1.47, 0),
    vector(-0.16, 1.47, 0),
    vector(-0.2, 1.4, 0),
    vector(-0.15, 1.12, 0),
    vector(-0.16, 0.92, 0),
    vector(0.16, 0.92, 0),
    vector(0.15, 1.12, 0),
    vector(0.2, 1.4, 0),
  ].map(at);
  const pieces: Piece[] = [
    { ...limb("neck", [at(vector(0, 1.48, -0.02)), at(vector(0, 1.62, 0.01))], 22, false), near: -0.03 },
    {
      key: "trunk",
      near: 0,
      draw: (
        <polygon
          points={points(corners)}
          fill="var(--color-sheet)"
          stroke="var(--color-edge)"
          strokeWidth={22}
          strokeLinejoin="round"
        />
      ),
    },
    {
      key: "trunk-inside",
      near: 0.001,
      draw: (
        <polygon
          points={points(corners)}
          fill="var(--color-sheet)"
          stroke="var(--color-sheet)"
          strokeWidth={19}
          strokeLinejoin="round"
        />
      ),
    },
    {
      key: "head",
      near: 0.003,
      draw: (
        <ellipse
          cx={head.x}
          cy={head.y}
          rx={27}
          ry={pose.body === "SUPINE" ? 26 : 32}
          fill="var(--color-sheet)"
          stroke="var(--color-edge)"
          strokeWidth={2}
        />
      ),
    },
    { key: "nose", near: 0.004, draw: nose(at, pose) },
  ];
  if (pose.body === "SITTING") {
    for (const side of [-1, 1]) {
      pieces.push(
        limb(
          `thigh${String(side)}`,
          [at(vector(0.09 * side, 0.93, 0.02)), at(vector(0.11 * side, 0.92, 0.3))],
          30,
          false,
        ),
      );
    }
  }
  return pieces;
}

/** Says which way the patient looks. */
function nose(at: (where: Vector) => Point, pose: Pose) {
  const tip = at(vector(0, 1.69, 0.15));
  const head = at(vector(0, 1.69, 0.03));
  if (pose.view === "BACK") {
    return null;
  }
  const dx = tip.x - head.x;
  const dy = tip.y - head.y;
  const size = Math.hypot(dx, dy);
  if (size < 6) {
    return <circle cx={head.x} cy={head.y + 4} r={2.6} fill="var(--color-edge)" />;
  }
  const reach = Math.min(1, 27 / size);
  return (
    <path
      d={`M${String(head.x + dx * reach * 0.9)} ${String(head.y + dy * reach * 0.9 - 5)}l${String((dx / size) * 7)} ${String((dy / size) * 7 + 6)}`}
      stroke="var(--color-edge)"
      strokeWidth={3}
      strokeLinecap="round"
    />
  );
}

function outline(at: (where: Vector) => Point, pose: Pose): Point[] {
  const low = pose.body === "SITTING" ? 0.86 : 0.9;
  return [
    vector(0, 1.85, 0.03),
    vector(-0.27, 1.4, 0),
    vector(-0.25, low, 0.05),
    vector(0.17, low, 0.05),
    plusOut(SHOULDER),
  ].map(at);
}

function plusOut(where: Vector): Vector {
  return vector(where.out + 0.08, where.up + 0.1, where.forward);
}

function mix(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, near: a.near + (b.near - a.near) * share };
}

function points(list: Point[]): string {
  return list.map((point) => `${point.x.toFixed(1)},${point.y.toFixed(1)}`).join(" ");
}

/** A view box that holds every point with room to spare. */
function frame(list: Point[]): string {
  const room = 26;
  const left = Math.min(...list.map((point) => point.x)) - room;
  const top = Math.min(...list.map((point) => point.y)) - room;
  const width = Math.max(...list.map((point) => point.x)) + room - left;
  const height = Math.max(...list.map((point) => point.y)) + room - top;
  return [left, top, width, height].map((value) => value.toFixed(0)).join(" ");
}
