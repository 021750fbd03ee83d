import type { Schemas } from "../api/client";

export type HandPose = Schemas["HandPoseJson"];
type Mark = HandPose["held"][number];

/** A place on the drawing, 100 wide and 100 high; y downwards. */
export interface Spot {
  x: number;
  y: number;
}

/** Where the wrist bends. */
export const WRIST = { face: { x: 50, y: 66 }, side: { x: 46, y: 50 } };

/** Places of a right hand from the back, fingers up; the palm is its mirror image. */
const FACE: Record<Mark, Spot> = {
  FOREARM: { x: 50, y: 92 },
  RADIUS: { x: 40, y: 74 },
  ULNA: { x: 62, y: 73 },
  SCAPHOID: { x: 40, y: 59 },
  LUNATE: { x: 49, y: 60 },
  TRIQUETRUM: { x: 61, y: 57 },
  PISIFORM: { x: 64, y: 55 },
  HAMATE: { x: 59, y: 48 },
  SOFT_SPOT: { x: 67, y: 65 },
  TUNNEL: { x: 50, y: 56 },
  HAND: { x: 50, y: 38 },
  METACARPAL: { x: 33, y: 47 },
  THUMB: { x: 25, y: 34 },
  FINGERS: { x: 50, y: 12 },
};

/** The same from the thumb side, back of the hand up, forearm to the left. */
const SIDE: Record<Mark, Spot> = {
  FOREARM: { x: 16, y: 50 },
  RADIUS: { x: 38, y: 47 },
  ULNA: { x: 40, y: 50 },
  SCAPHOID: { x: 50, y: 52 },
  LUNATE: { x: 50, y: 48 },
  TRIQUETRUM: { x: 52, y: 47 },
  PISIFORM: { x: 52, y: 55 },
  HAMATE: { x: 56, y: 55 },
  SOFT_SPOT: { x: 46, y: 54 },
  TUNNEL: { x: 51, y: 57 },
  HAND: { x: 64, y: 50 },
  METACARPAL: { x: 60, y: 56 },
  THUMB: { x: 70, y: 62 },
  FINGERS: { x: 88, y: 50 },
};

const FOREARM: readonly Mark[] = ["FOREARM", "RADIUS", "ULNA", "SOFT_SPOT"];

/** How far the hand is turned on the drawing, in degrees, clockwise positive. */
export function turned(pose: Pick<HandPose, "view" | "wrist" | "deviation">): number {
  if (pose.view === "SIDE") {
    return pose.wrist; // towards the palm is down
  }
  return pose.view === "BACK" ? -pose.deviation : pose.deviation; // the thumb is at the left from the back, at the right from the palm
}

function about(spot: Spot, centre: Spot, degrees: number): Spot {
  const radians = (degrees * Math.PI) / 180;
  const [x, y] = [spot.x - centre.x, spot.y - centre.y];
  return {
    x: centre.x + x * Math.cos(radians) - y * Math.sin(radians),
    y: centre.y + x * Math.sin(radians) + y * Math.cos(radians),
  };
}

/** Where a place lies, the hand being turned as the pose says; the thumb further out where it is spread. */
export function placeOf(mark: Mark, pose: Pick<HandPose, "view" | "wrist" | "deviation" | "thumb">): Spot {
  const side = pose.view === "SIDE";
  const base = (side ? SIDE : FACE)[mark];
  const spread =
    mark === "THUMB" && pose.thumb === "OUT"
      ? side
        ? { x: 68, y: 70 }
        : { x: 17, y: 38 }
      : mark === "THUMB" && pose.thumb === "IN"
        ? side
          ? { x: 68, y: 56 }
          : { x: 42, y: 38 }
        : base;
  const spot = pose.view === "PALM" ? { x: 100 - spread.x, y: spread.y } : spread;
  return FOREARM.includes(mark) ? spot : about(spot, side ? WRIST.side : WRIST.face, turned(pose));
}

/** Which way a push goes on the drawing, of length 1; into the page or out of it where it cannot be drawn as an arrow. */
export function wayOf(
  force: HandPose["forces"][number],
  pose: Pick<HandPose, "view" | "wrist" | "deviation" | "thumb">,
): Spot | "in" | "out" | "press" | "tap" | "turn" {
  const { direction } = force;
  if (direction === "PRESS" || direction === "TAP" || direction === "TURN") {
    return direction === "PRESS" ? "press" : direction === "TAP" ? "tap" : "turn";
  }
  const side = pose.view === "SIDE";
  const turn = FOREARM.includes(force.at) ? 0 : turned(pose);
  const thumbAt = pose.view === "PALM" ? 1 : -1;
  if (direction === "ALONG_THUMB") {
    const [from, to] = [placeOf("THUMB", pose), placeOf("SCAPHOID", pose)];
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    return { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  }
  const flat: Record<
    "TO_PALM" | "TO_BACK" | "TO_THUMB_SIDE" | "TO_LITTLE_SIDE" | "TO_ELBOW" | "AWAY",
    Spot | "in" | "out"
  > = side
    ? {
        TO_PALM: { x: 0, y: 1 },
        TO_BACK: { x: 0, y: -1 },
        TO_THUMB_SIDE: "out",
        TO_LITTLE_SIDE: "in",
        TO_ELBOW: { x: -1, y: 0 },
        AWAY: { x: 1, y: 0 },
      }
    : {
        TO_PALM: pose.view === "BACK" ? "in" : "out",
        TO_BACK: pose.view === "BACK" ? "out" : "in",
        TO_THUMB_SIDE: { x: thumbAt, y: 0 },
        TO_LITTLE_SIDE: { x: -thumbAt, y: 0 },
        TO_ELBOW: { x: 0, y: 1 },
        AWAY: { x: 0, y: -1 },
      };
  const way = flat[direction];
  return typeof way === "string" ? way : about(way, { x: 0, y: 0 }, turn);
}

const MARKS: Record<Mark, string> = {
  FOREARM: "forearm",
  RADIUS: "radius",
  ULNA: "ulna",
  SCAPHOID: "scaphoid",
  LUNATE: "lunate",
  TRIQUETRUM: "triquetrum",
  PISIFORM: "pisiform",
  HAMATE: "hook of hamate",
  SOFT_SPOT: "ulnar soft spot",
  TUNNEL: "carpal tunnel",
  HAND: "hand",
  METACARPAL: "thumb metacarpal",
  THUMB: "thumb",
  FINGERS: "fingers",
};
const WAYS: Record<HandPose["forces"][number]["direction"], string> = {
  TO_PALM: "towards the palm",
  TO_BACK: "towards the back",
  TO_THUMB_SIDE: "to the thumb side",
  TO_LITTLE_SIDE: "to the little-finger side",
  TO_ELBOW: "towards the elbow",
  AWAY: "away",
  ALONG_THUMB: "pushed along its length",
  PRESS: "pressed",
  TAP: "tapped",
  TURN: "turned",
};

/** The figure in words. */
export function handWords(pose: HandPose): string {
  const seen =
    pose.view === "SIDE"
      ? `from the thumb side, wrist ${pose.wrist === 0 ? "straight" : `${String(Math.abs(pose.wrist))}° ${pose.wrist > 0 ? "bent" : "bent back"}`}`
      : `${pose.view === "BACK" ? "back" : "palm"} of the hand${pose.deviation === 0 ? "" : `, turned ${String(Math.abs(pose.deviation))}° to the ${pose.deviation > 0 ? "thumb" : "little-finger"} side`}`;
  const forces = pose.forces.map(
    (force) => `${MARKS[force.at]} ${WAYS[force.direction]}${force.patient ? " by the patient" : ""}`,
  );
  const held = pose.held.length > 0 ? [`you steady ${pose.held.map((mark) => MARKS[mark]).join(" and ")}`] : [];
  return `Figure: ${[seen, ...forces, ...held].join("; ")}.`;
}
