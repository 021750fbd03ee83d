import { describe, expect, it } from "vitest";
import type { Test } from "../../record";
import { onRing, ringSpots, zonesOf } from "./ring";

const landmark = (id: string, zone: string) => ({ id, place: { view: "PALM", zone, x: 0, y: 0 } }) as unknown as Test;
const walk = [
  landmark("a", "Thumb side"),
  landmark("b", "Thumb side"),
  landmark("c", "Back"),
  landmark("d", "Back"),
  landmark("e", "Little-finger side"),
  landmark("f", "Little-finger side"),
  landmark("g", "Palm"),
  landmark("h", "Palm"),
];

describe("the ring of landmarks", () => {
  it("gathers zones in the order of the walk", () => {
    expect(zonesOf(walk).map((zone) => zone.name)).toEqual(["Thumb side", "Back", "Little-finger side", "Palm"]);
  });

  it("goes from the thumb side over the back and round, of a right wrist against the clock", () => {
    const angles = ringSpots(walk, "RIGHT").map((spot) => spot.angle);
    expect(angles).toEqual([22.5, 337.5, 292.5, 247.5, 202.5, 157.5, 112.5, 67.5]);
    const [, back] = [onRing(angles[0] ?? 0, 1), onRing(angles[2] ?? 0, 1)];
    expect(back.y).toBeLessThan(0);
  });

  it("is mirrored for a left wrist", () => {
    const right = ringSpots(walk, "RIGHT").map((spot) => onRing(spot.angle, 100));
    const left = ringSpots(walk, "LEFT").map((spot) => onRing(spot.angle, 100));
    right.forEach((spot, index) => {
      expect(left[index]?.x).toBeCloseTo(-spot.x, 9);
      expect(left[index]?.y).toBeCloseTo(spot.y, 9);
    });
  });

  it("stands on the drawing where an angle says", () => {
    expect(onRing(0, 10)).toEqual({ x: 10, y: 0 });
    expect(onRing(90, 10).y).toBeCloseTo(10, 9);
  });
});
