/** The dial's joint, from which angles are measured: 0° hangs down, 90° points out to the side, 180° straight up. */
const CENTRE_Y = 94;
const EDGE = 48;

/** Size of the dial in pixels. */
export const DIAL = { width: 146, height: 188 };

interface Point {
  x: number;
  y: number;
  cx: number;
  cy: number;
}

function centreX(mirror: 1 | -1): number {
  return mirror === 1 ? EDGE : DIAL.width - EDGE;
}

/** A point at an angle in degrees, `radius` from the joint. `mirror` is -1 where the arm points to the viewer's left. */
export function onDial(angle: number, mirror: 1 | -1, radius: number): Point {
  const radians = (angle * Math.PI) / 180;
  const cx = centreX(mirror);
  return { cx, cy: CENTRE_Y, x: cx + mirror * radius * Math.sin(radians), y: CENTRE_Y + radius * Math.cos(radians) };
}

/** The angle of a point, 0..180; what lies behind the body is held at the nearer end. */
export function angleAt(x: number, y: number, mirror: 1 | -1): number {
  const out = Math.max(0, mirror * (x - centreX(mirror)));
  return (Math.atan2(out, y - CENTRE_Y) * 180) / Math.PI;
}

/** The path of a ring segment between two angles and two radii. */
export function arcPath(from: number, to: number, inner: number, outer: number, mirror: 1 | -1): string {
  const point = (angle: number, radius: number) => {
    const at = onDial(angle, mirror, radius);
    return `${at.x.toFixed(2)} ${at.y.toFixed(2)}`;
  };
  const large = to - from > 180 ? 1 : 0;
  const sweep = mirror === 1 ? 0 : 1;
  return `M${point(from, outer)}A${String(outer)} ${String(outer)} 0 ${String(large)} ${String(sweep)} ${point(to, outer)}L${point(to, inner)}A${String(inner)} ${String(inner)} 0 ${String(large)} ${String(1 - sweep)} ${point(from, inner)}Z`;
}
