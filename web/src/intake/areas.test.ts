/// <reference types="vite/client" />
import { describe, expect, it } from "vitest";
import content from "../../../core/src/main/resources/lexicor/catalogue/intake.yaml?raw";
import { VIEWS } from "./areas";

/** The box of a path made of absolute and relative lines, as far as its numbers reach. */
function start(path: string): [number, number] {
  const found = /^M(-?[\d.]+) (-?[\d.]+)/.exec(path);
  return [Number(found?.[1]), Number(found?.[2])];
}

const named = [...content.matchAll(/- \{view: ([a-z-]+), regions: \[[a-z, ]+\], areas: \{([^}]+)\}\}/g)].map(
  (found) => ({
    view: found[1] ?? "",
    areas: [...(found[2] ?? "").matchAll(/(?:^|, )([a-z-]+): /g)].map((area) => area[1] ?? ""),
  }),
);

describe("what can be painted", () => {
  it("is drawn for every area that the content names, and nothing else", () => {
    expect(named.map((each) => each.view).sort()).toEqual(Object.keys(VIEWS).sort());
    for (const { view, areas } of named) {
      expect(Object.keys(VIEWS[view]?.areas ?? {}).sort()).toEqual([...areas].sort());
    }
  });

  it("lies within its picture", () => {
    for (const view of Object.values(VIEWS)) {
      for (const path of [view.outline, ...Object.values(view.areas)]) {
        const [x, y] = start(path);
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(view.width);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(view.height);
      }
    }
  });

  it("has the thumb of a right palm on the right, and of a right back on the left", () => {
    expect(start(VIEWS.palm?.areas["palm-thumb"] ?? "")[0]).toBeGreaterThan(
      start(VIEWS.palm?.areas["palm-little"] ?? "")[0],
    );
    expect(start(VIEWS.back?.areas["back-thumb"] ?? "")[0]).toBeLessThan(
      start(VIEWS.back?.areas["back-little"] ?? "")[0],
    );
  });

  it("has the trunk of a right arm to the right from the front, and to the left from behind", () => {
    expect(start(VIEWS["arm-front"]?.areas["neck-front"] ?? "")[0]).toBeGreaterThan(
      start(VIEWS["arm-front"]?.areas["upper-arm-outer"] ?? "")[0],
    );
    expect(start(VIEWS["arm-back"]?.areas["neck-back"] ?? "")[0]).toBeGreaterThan(
      start(VIEWS["arm-back"]?.areas["upper-arm-back"] ?? "")[0],
    );
    expect(VIEWS["arm-front"]?.mirrored ?? false).toBe(false);
    expect(VIEWS["arm-back"]?.mirrored).toBe(true);
  });
});
