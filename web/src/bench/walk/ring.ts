import type { Test } from "../../record";

/** A landmark on the ring: its angle in degrees, 0 at the right, clockwise. */
export interface RingSpot {
  test: Test;
  angle: number;
}

/** A stretch of the walk: its landmarks in order. */
export interface Zone {
  name: string;
  tests: Test[];
}

/** Whether a sheet is a walk over landmarks. */
export function isWalk(sheet: readonly Test[]): boolean {
  return sheet.length > 0 && sheet.every((test) => test.place);
}

/** The zones of a walk, in the order in which they come. */
export function zonesOf(tests: readonly Test[]): Zone[] {
  const zones: Zone[] = [];
  for (const test of tests) {
    const name = test.place?.zone ?? "";
    const zone = zones.find((each) => each.name === name);
    if (zone) {
      zone.tests.push(test);
    } else {
      zones.push({ name, tests: [test] });
    }
  }
  return zones;
}

/**
 * Landmarks round a wrist seen from the fingertips, palm down. The first zone is centred on the thumb side, which of a
 * right wrist is at the right; the walk goes on over the back. Every landmark has the same share of the ring.
 */
export function ringSpots(tests: readonly Test[], side: "LEFT" | "RIGHT"): RingSpot[] {
  const zones = zonesOf(tests);
  const ordered = zones.flatMap((zone) => zone.tests);
  const share = 360 / Math.max(1, ordered.length);
  const start = ((zones[0]?.tests.length ?? 0) * share) / 2 - share / 2;
  return ordered.map((test, index) => {
    const angle = start - index * share;
    return { test, angle: normalised(side === "RIGHT" ? angle : 180 - angle) };
  });
}

function normalised(angle: number): number {
  return ((angle % 360) + 360) % 360;
}

/** Where an angle of the ring lies, in the unit of `radius`, y downwards. */
export function onRing(angle: number, radius: number): { x: number; y: number } {
  const radians = (angle * Math.PI) / 180;
  return { x: radius * Math.cos(radians), y: radius * Math.sin(radians) };
}
