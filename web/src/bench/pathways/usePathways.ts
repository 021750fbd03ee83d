import { tell } from "../../record";
import type { LiveExamination } from "../../examination";
import type { Schemas } from "../../shared/api/client";

/** The question by which the record says which pathway is followed. */
const FOLLOWED = "pathway";

/** A pathway that is being followed. */
export interface Following {
  pathway: Schemas["PathwayJson"];
  state: Schemas["PathwayStateJson"];
  /** The step at hand, or the end. */
  step: Schemas["PathwayStepJson"];
  answer: (value: string) => void;
  /** Takes the last answer to a question back; absent before the first. */
  back: (() => void) | undefined;
  leave: () => void;
}

interface Pathways {
  following: Following | undefined;
  /** Those whose complaint is this patient's and that are not followed. */
  offers: Schemas["PathwayJson"][];
  follow: (id: string) => void;
}

/** The pathways of the region as the record has them. Without a connection the last that was heard stands. */
export function usePathways(live: LiveExamination, standAt: string): Pathways {
  const { region, weighing, state } = live;
  const states = weighing?.pathways ?? [];
  const followed = state.answers.get(FOLLOWED)?.values[0];
  const pathway = region.pathways.find((each) => each.id === followed);
  const known = states.find((each) => each.id === followed);
  const step = pathway?.steps.find((each) => each.id === known?.here);
  const about = (id: string) => `path:${pathway?.id ?? ""}.${id}`;
  const asked = known?.passed.filter((passed) => passed.outcome === "ANSWERED").at(-1);
  return {
    following:
      pathway && known && step
        ? {
            pathway,
            state: known,
            step,
            answer: (value) => {
              live.add(tell([{ question: about(step.id), values: [value] }], standAt));
            },
            back: asked
              ? () => {
                  live.add(tell([{ question: about(asked.step), values: [] }], standAt));
                }
              : undefined,
            leave: () => {
              live.add(tell([{ question: FOLLOWED, values: [] }], standAt));
            },
          }
        : undefined,
    offers: followed ? [] : region.pathways.filter((each) => states.find((one) => one.id === each.id)?.offered),
    follow: (id) => {
      live.add(tell([{ question: FOLLOWED, values: [id] }], standAt));
    },
  };
}
