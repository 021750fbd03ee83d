import { describe, expect, it } from "vitest";
import {
  arm,
  camera,
  forcePath,
  LENGTH,
  plus,
  poseWords,
  SHOULDER,
  vector,
  windowRim,
  type Pose,
  type Vector,
} from "./poseGeometry";

const hanging: Pose = {
  view: "FRONT",
  body: "STANDING",
  elevation: 0,
  plane: 0,
  rotation: 0,
  elbow: 0,
  forearm: 0,
  forces: [],
  held: [],
  arc: null,
};

function direction(from: Vector, to: Vector): Vector {
  const d = plus(to, from, -1);
  const size = Math.hypot(d.out, d.up, d.forward);
  return vector(d.out / size, d.up / size, d.forward / size);
}

function near(actual: Vector, expected: Vector) {
  expect(actual.out).toBeCloseTo(expected.out, 6);
  expect(actual.up).toBeCloseTo(expected.up, 6);
  expect(actual.forward).toBeCloseTo(expected.forward, 6);
}

describe("an arm from its joint angles", () => {
  it("hangs straight down", () => {
    near(direction(SHOULDER, arm(hanging).fingertips), vector(0, -1, 0));
  });

  it.each([
    ["the elbow bent at the side points ahead", { elbow: 90 }, vector(0, 0, 1)],
    ["turned out at the side it points outwards", { elbow: 90, rotation: 90 }, vector(1, 0, 0)],
    ["turned in at the side it points across", { elbow: 90, rotation: -90 }, vector(-1, 0, 0)],
    ["out to the side it points ahead", { elevation: 90, elbow: 90 }, vector(0, 0, 1)],
    ["out to the side and turned out it points up", { elevation: 90, elbow: 90, rotation: 90 }, vector(0, 1, 0)],
    ["out to the side and turned in it points down", { elevation: 90, elbow: 90, rotation: -90 }, vector(0, -1, 0)],
    ["forward it points across the body", { elevation: 90, plane: 90, elbow: 90 }, vector(-1, 0, 0)],
    ["forward and turned in it points down", { elevation: 90, plane: 90, elbow: 90, rotation: -90 }, vector(0, -1, 0)],
    ["forward and turned out it points up", { elevation: 90, plane: 90, elbow: 90, rotation: 90 }, vector(0, 1, 0)],
  ])("%s", (_, angles, expected) => {
    const joints = arm({ ...hanging, ...angles });
    near(direction(joints.elbow, joints.wrist), expected);
  });

  it.each([
    [
      "turned fully in, the thumb of the straight raised arm points down",
      { elevation: 90, plane: 30, rotation: -90 },
      -1,
    ],
    ["turned fully out, it points up", { elevation: 90, plane: 30, rotation: 90 }, 1],
    ["across the body turned in, it points down", { elevation: 90, plane: 102, rotation: -90 }, -1],
  ])("%s", (_, angles, up) => {
    const joints = arm({ ...hanging, ...angles });
    expect(Math.sign(joints.thumb.up - joints.wrist.up)).toBe(up);
    expect(Math.abs(joints.thumb.up - joints.wrist.up)).toBeGreaterThan(0.9 * LENGTH.thumb);
  });

  it("supination turns the thumb of the bent arm outwards", () => {
    const joints = arm({ ...hanging, elbow: 90, forearm: 90 });
    expect(joints.thumb.out - joints.wrist.out).toBeCloseTo(LENGTH.thumb, 6);
  });

  it("keeps the length of its bones whatever the angles", () => {
    for (const elevation of [0, 35, 90, 150, 180]) {
      for (const plane of [0, 30, 90, 130]) {
        const joints = arm({ ...hanging, elevation, plane, rotation: 37, elbow: 70, forearm: -20 });
        const bone = plus(joints.wrist, joints.elbow, -1);
        expect(Math.hypot(bone.out, bone.up, bone.forward)).toBeCloseTo(LENGTH.forearm, 9);
      }
    }
  });
});

describe("the picture", () => {
  it("shows the patient's right arm on the left, from the front", () => {
    expect(camera("FRONT", "STANDING")(vector(1, 1.35, 0)).x).toBeLessThan(0);
    expect(camera("BACK", "STANDING")(vector(1, 1.35, 0)).x).toBeGreaterThan(0);
  });

  it("shows ahead on the right, from the side of the arm", () => {
    expect(camera("SIDE", "STANDING")(vector(0, 1.35, 1)).x).toBeGreaterThan(0.9);
  });

  it("shows the head on the left and the near arm lower, lying", () => {
    const look = camera("ABOVE", "SUPINE");
    expect(look(vector(0, 1.7, 0)).x).toBeLessThan(look(vector(0, 1, 0)).x);
    expect(look(vector(1, 1.25, 0)).y).toBeGreaterThan(look(vector(0, 1.25, 0)).y);
  });

  it("draws a turn along the way the wrist really takes", () => {
    const path = forcePath(
      { at: "WRIST", direction: "TURN_OUT", patient: false },
      { ...hanging, elevation: 90, elbow: 90 },
    );
    expect(path.at(-1)?.up).toBeGreaterThan(path[0]?.up ?? 0);
  });

  it("shades the window of the angle that counts", () => {
    const window = windowRim({ ...hanging, arc: { of: "ELEVATION", from: 60, to: 120 } });
    const ends = [window?.rim[0], window?.rim.at(-1)].map((end) =>
      Math.round((Math.acos(-direction(SHOULDER, end ?? SHOULDER).up) * 180) / Math.PI),
    );
    expect(ends).toEqual([60, 120]);
  });

  it("is told in words", () => {
    const pose: Pose = {
      ...hanging,
      elevation: 90,
      plane: 30,
      rotation: -85,
      forces: [{ at: "WRIST", direction: "DOWN", patient: false }],
    };
    expect(poseWords(pose)).toBe(
      "Standing, seen from the front. Upper arm raised 90° in the plane of the shoulder blade, turned fully inwards, elbow straight. You push downwards at the wrist.",
    );
  });
});
