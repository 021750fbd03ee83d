import type { Schemas } from "../../shared/api/client";

type Step = Schemas["PathwayStepJson"];

/** Where a step stands on the map: which layer, and which place in it. */
export interface Placed {
  step: Step;
  layer: number;
  place: number;
  /** How many steps stand in its layer. */
  of: number;
}

/**
 * A map of a pathway in layers: every step stands one layer below the last of those that lead to it; within a layer steps
 * stand under those that lead to them, so that few ways cross.
 */
export function mapOf(steps: readonly Step[]): Placed[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const layers = new Map<string, number>();
  const visit = (id: string, layer: number) => {
    if ((layers.get(id) ?? -1) < layer) {
      layers.set(id, layer);
      byId.get(id)?.ways.forEach((next) => {
        visit(next, layer + 1);
      });
    }
  };
  if (steps[0]) {
    visit(steps[0].id, 0);
  }
  const places = new Map<string, number>();
  const placed: Placed[] = [];
  const depth = Math.max(-1, ...layers.values());
  for (let layer = 0; layer <= depth; layer++) {
    const row = steps.filter((step) => layers.get(step.id) === layer);
    const wish = (step: Step) => {
      const from = steps
        .filter((before) => before.ways.includes(step.id))
        .flatMap((before) => {
          const at = places.get(before.id);
          return at === undefined ? [] : [at + 0.1 * before.ways.indexOf(step.id)];
        });
      return from.length > 0 ? from.reduce((sum, at) => sum + at, 0) / from.length : 0;
    };
    const sorted = [...row].sort((a, b) => wish(a) - wish(b));
    sorted.forEach((step, index) => {
      const place = sorted.length === 1 ? 0.5 : index / (sorted.length - 1);
      places.set(step.id, place);
      placed.push({ step, layer, place, of: sorted.length });
    });
  }
  return placed;
}

/** The ways that were gone, as pairs of steps. */
export function gone(passed: readonly { step: string }[], here: string): Set<string> {
  const walked = [...passed.map((each) => each.step), here];
  return new Set(walked.slice(1).map((step, index) => way(walked[index] ?? "", step)));
}

/** The name of the way between two steps. */
export function way(from: string, to: string): string {
  return `${from}>${to}`;
}
