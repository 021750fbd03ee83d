import { describe, expect, it } from "vitest";
import { handWords, placeOf, turned, wayOf, type HandPose } from "./handGeometry";

const pose = (rest: Partial<HandPose>): HandPose => ({
  view: "BACK",
  wrist: 0,
  deviation: 0,
  fingers: "STRAIGHT",
  thumb: "RESTING",
  forces: [],
  held: [],
  ...rest,
});

describe("the figure of wrist and hand", () => {
  it("mirrors the back for the palm", () => {
    expect(placeOf("ULNA", pose({ view: "PALM" })).x).toBe(100 - placeOf("ULNA", pose({})).x);
  });

  it("bends to the palm downwards from the side", () => {
    const bent = placeOf("FINGERS", pose({ view: "SIDE", wrist: 90 }));
    expect(bent.x).toBeCloseTo(46, 9);
    expect(bent.y).toBeCloseTo(50 + 42, 9);
    expect(placeOf("FINGERS", pose({ view: "SIDE", wrist: -90 })).y).toBeCloseTo(8, 9);
  });

  it("turns to the little-finger side, right from the back and left from the palm", () => {
    expect(turned(pose({ deviation: -30 }))).toBe(30);
    expect(placeOf("FINGERS", pose({ deviation: -30 })).x).toBeGreaterThan(50);
    expect(placeOf("FINGERS", pose({ view: "PALM", deviation: -30 })).x).toBeLessThan(50);
  });

  it("leaves the forearm where it is", () => {
    expect(placeOf("RADIUS", pose({ deviation: -30 }))).toEqual(placeOf("RADIUS", pose({})));
  });

  it("shows a push towards the palm as into the page from the back, and as an arrow from the side", () => {
    expect(wayOf({ at: "ULNA", direction: "TO_PALM", patient: false }, pose({}))).toBe("in");
    expect(wayOf({ at: "ULNA", direction: "TO_PALM", patient: false }, pose({ view: "PALM" }))).toBe("out");
    expect(wayOf({ at: "ULNA", direction: "TO_PALM", patient: false }, pose({ view: "SIDE" }))).toEqual({ x: 0, y: 1 });
  });

  it("pushes along the thumb towards the scaphoid, at length one", () => {
    const way = wayOf({ at: "THUMB", direction: "ALONG_THUMB", patient: false }, pose({ thumb: "OUT" }));
    expect(typeof way === "string" ? 0 : Math.hypot(way.x, way.y)).toBeCloseTo(1, 9);
    expect(typeof way === "string" ? 0 : way.x).toBeGreaterThan(0);
  });

  it("says itself in words", () => {
    expect(handWords(pose({ view: "SIDE", wrist: 85 }))).toBe("Figure: from the thumb side, wrist 85° bent.");
    expect(handWords(pose({ forces: [{ at: "ULNA", direction: "TO_PALM", patient: false }], held: ["RADIUS"] }))).toBe(
      "Figure: back of the hand; ulna towards the palm; you steady radius.",
    );
  });
});
