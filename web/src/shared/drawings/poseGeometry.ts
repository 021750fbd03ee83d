import type { Schemas } from "../api/client";

export type Pose = Schemas["PoseJson"];

/** A place or direction in the patient's own frame, in metres: out (towards the tested arm's side), up (towards the head), forward. */
export interface Vector {
  out: number;
  up: number;
  forward: number;
}

/** A place on the picture, and how near it is to the eye. */
export interface Point {
  x: number;
  y: number;
  near: number;
}

export const LENGTH = { upperArm: 0.3, forearm: 0.25, hand: 0.16, thumb: 0.075 };
export const SHOULDER: Vector = { out: 0.2, up: 1.42, forward: 0 };

const RADIANS = Math.PI / 180;

export function vector(out: number, up: number, forward: number): Vector {
  return { out, up, forward };
}

export function plus(a: Vector, b: Vector, times = 1): Vector {
  return { out: a.out + times * b.out, up: a.up + times * b.up, forward: a.forward + times * b.forward };
}

function turned(v: Vector, axis: Vector, degrees: number): Vector {
  const c = Math.cos(degrees * RADIANS);
  const s = Math.sin(degrees * RADIANS);
  const dot = v.out * axis.out + v.up * axis.up + v.forward * axis.forward;
  const cross = vector(
    axis.up * v.forward - axis.forward * v.up,
    axis.forward * v.out - axis.out * v.forward,
    axis.out * v.up - axis.up * v.out,
  );
  return plus(plus(plus(vector(0, 0, 0), v, c), cross, s), axis, dot * (1 - c));
}

/** The joints of the tested arm. */
export interface Arm {
  shoulder: Vector;
  elbow: Vector;
  wrist: Vector;
  fingertips: Vector;
  thumb: Vector;
}

/**
 * Joints from joint angles. Rotation 0 holds the bent forearm level: straight ahead with the arm hanging or out to the
 * side, across the body with the arm forward. Turning out lifts it. The forearm at 0 has the thumb up.
 */
export function arm(pose: Pick<Pose, "elevation" | "plane" | "rotation" | "elbow" | "forearm">): Arm {
  const e = pose.elevation * RADIANS;
  const p = pose.plane * RADIANS;
  const along = vector(Math.sin(e) * Math.cos(p), -Math.cos(e), Math.sin(e) * Math.sin(p));
  // swing the hanging arm into place, then undo the turn that the plane brings with it (the solid angle p (1 - cos e))
  const hinge = vector(-Math.sin(p), 0, Math.cos(p));
  const swung = turned(vector(0, 0, 1), hinge, pose.elevation);
  const turn = pose.rotation - pose.plane * (1 - Math.cos(e));
  const level = turned(swung, along, -turn);
  const b = pose.elbow * RADIANS;
  const fore = plus(plus(vector(0, 0, 0), along, Math.cos(b)), level, Math.sin(b));
  const thumbUp = plus(plus(vector(0, 0, 0), along, -Math.sin(b)), level, Math.cos(b));
  const thumbward = turned(thumbUp, fore, -pose.forearm);
  const elbow = plus(SHOULDER, along, LENGTH.upperArm);
  const wrist = plus(elbow, fore, LENGTH.forearm);
  const fingertips = plus(wrist, fore, LENGTH.hand);
  return {
    shoulder: SHOULDER,
    elbow,
    wrist,
    fingertips,
    thumb: plus(plus(wrist, fore, LENGTH.hand * 0.35), thumbward, LENGTH.thumb),
  };
}

/** How a picture is taken: turns a place in the patient's frame into a point of a picture whose unit is one metre. */
export function camera(view: Pose["view"], body: Pose["body"]): (place: Vector) => Point {
  if (body === "SUPINE") {
    const tilt = (view === "ABOVE" ? 48 : 20) * RADIANS;
    return (place) => ({
      x: -(place.up - 1.25),
      y: -(place.forward * Math.cos(tilt) - place.out * Math.sin(tilt)),
      near: place.out * Math.cos(tilt) + place.forward * Math.sin(tilt),
    });
  }
  const yaw = { FRONT: 24, SIDE: 78, BACK: 160, ABOVE: 24 }[view] * RADIANS;
  const tilt = (view === "ABOVE" ? 45 : 8) * RADIANS;
  return (place) => {
    const near = place.out * Math.sin(yaw) + place.forward * Math.cos(yaw);
    const up = place.up - 1.35;
    return {
      x: -place.out * Math.cos(yaw) + place.forward * Math.sin(yaw),
      y: -(up * Math.cos(tilt) - near * Math.sin(tilt)),
      near: near * Math.cos(tilt) + up * Math.sin(tilt),
    };
  };
}

/** Where a mark lies. */
export function place(mark: Schemas["Force"]["at"], joints: Arm): Vector {
  const middle = (a: Vector, b: Vector) => vector((a.out + b.out) / 2, (a.up + b.up) / 2, (a.forward + b.forward) / 2);
  return {
    SHOULDER_BLADE: vector(0.12, 1.36, -0.09),
    SHOULDER_TOP: plus(SHOULDER, vector(-0.03, 0.06, 0)),
    HUMERAL_HEAD: plus(SHOULDER, vector(0.01, -0.01, 0.06)),
    UPPER_ARM: middle(joints.shoulder, joints.elbow),
    ELBOW: joints.elbow,
    FOREARM: middle(joints.elbow, joints.wrist),
    WRIST: joints.wrist,
    HAND: middle(joints.wrist, joints.fingertips),
  }[mark];
}

/** The path of a force's arrow, from its tail to its head, ending or beginning at the mark. */
export function forcePath(force: Schemas["Force"], pose: Pose): Vector[] {
  const joints = arm(pose);
  if (force.direction === "TURN_IN" || force.direction === "TURN_OUT") {
    const sign = force.direction === "TURN_OUT" ? 1 : -1;
    const onForearm = pose.elbow > 20;
    return [0, 6, 12, 18, 24, 30].map((step) => {
      const moved = arm({
        ...pose,
        rotation: pose.rotation + (onForearm ? sign * step : 0),
        forearm: pose.forearm + (onForearm ? 0 : sign * step * 2),
      });
      const at = onForearm ? place(force.at, moved) : moved.thumb;
      return plus(at, plus(at, joints.elbow, -1), onForearm ? 0.22 : 0);
    });
  }
  const along = plus(joints.shoulder, joints.elbow, -1);
  const directions: Record<string, Vector> = {
    UP: vector(0, 1, 0),
    DOWN: vector(0, -1, 0),
    FORWARD: vector(0, 0, 1),
    BACK: vector(0, 0, -1),
    OUT: vector(1, 0, 0),
    IN: vector(-1, 0, 0),
    ALONG_ARM: plus(vector(0, 0, 0), along, 1 / LENGTH.upperArm),
  };
  const direction = directions[force.direction] ?? vector(0, 0, 0);
  const at = place(force.at, joints);
  return force.patient
    ? [plus(at, direction, 0.06), plus(at, direction, 0.24)]
    : [plus(at, direction, -0.24), plus(at, direction, -0.055)];
}

/** The rim of the window that counts, from one end to the other, and its centre. */
export function windowRim(pose: Pose): { centre: Vector; rim: Vector[] } | null {
  if (!pose.arc) {
    return null;
  }
  const { of, from, to } = pose.arc;
  const steps = Array.from({ length: 13 }, (_, index) => from + ((to - from) * index) / 12);
  if (of === "ELEVATION") {
    return {
      centre: SHOULDER,
      rim: steps.map((elevation) => plus(SHOULDER, plus(arm({ ...pose, elevation }).elbow, SHOULDER, -1), 1.55)),
    };
  }
  const centre = arm(pose).elbow;
  return {
    centre,
    rim: steps.map((rotation) => plus(centre, plus(arm({ ...pose, rotation }).wrist, centre, -1), 1.25)),
  };
}

const BODIES = { STANDING: "Standing", SITTING: "Sitting", SUPINE: "Lying on the back" };
const VIEWS = {
  FRONT: "seen from the front",
  SIDE: "seen from the side",
  BACK: "seen from behind",
  ABOVE: "seen from above the side",
};
const MARKS = {
  SHOULDER_BLADE: "the shoulder blade",
  SHOULDER_TOP: "the top of the shoulder",
  HUMERAL_HEAD: "the front of the shoulder",
  UPPER_ARM: "the upper arm",
  ELBOW: "the elbow",
  FOREARM: "the forearm",
  WRIST: "the wrist",
  HAND: "the hand",
};
const DIRECTIONS = {
  UP: "upwards",
  DOWN: "downwards",
  FORWARD: "forwards",
  BACK: "backwards",
  OUT: "outwards",
  IN: "inwards",
  ALONG_ARM: "along the upper arm",
  TURN_OUT: "outwards",
  TURN_IN: "inwards",
};

/** The picture in words. */
export function poseWords(pose: Pose): string {
  const inPlane =
    pose.plane < 15
      ? "out to the side"
      : pose.plane < 50
        ? "in the plane of the shoulder blade"
        : pose.plane <= 95
          ? "forward"
          : "forward and across the body";
  const raised =
    pose.elevation < 12 ? "Upper arm at the side" : `Upper arm raised ${String(pose.elevation)}° ${inPlane}`;
  const turn =
    pose.rotation > 60
      ? ", turned fully outwards"
      : pose.rotation >= 20
        ? ", turned outwards"
        : pose.rotation < -60
          ? ", turned fully inwards"
          : pose.rotation <= -20
            ? ", turned inwards"
            : "";
  const elbow = pose.elbow < 15 ? "elbow straight" : `elbow bent ${String(pose.elbow)}°`;
  const forces = pose.forces.map((force) => {
    const turn = force.direction === "TURN_IN" || force.direction === "TURN_OUT";
    const deed = force.patient
      ? turn
        ? "The patient turns it"
        : `The patient moves ${MARKS[force.at]}`
      : turn
        ? "You turn it"
        : "You push";
    return `${deed} ${DIRECTIONS[force.direction]}${force.patient && !turn ? "" : ` at ${MARKS[force.at]}`}.`;
  });
  const held = pose.held.length > 0 ? [`You steady ${pose.held.map((mark) => MARKS[mark]).join(" and ")}.`] : [];
  const counts = pose.arc ? [`The angle counts from ${String(pose.arc.from)} to ${String(pose.arc.to)}°.`] : [];
  return [
    `${BODIES[pose.body]}, ${VIEWS[pose.view]}.`,
    `${raised}${turn}, ${elbow}.`,
    ...forces,
    ...held,
    ...counts,
  ].join(" ");
}
