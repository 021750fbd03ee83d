import type { Test } from "../record";

/** What can be said of a measure without measuring: the uninvolved side is the normal, so it is full or measured. */
export function byEyeOn(part: Test["parts"][number], involved: boolean): Test["parts"][number]["byEye"] {
  return part.byEye.filter((option) => involved || option.value === "full");
}
