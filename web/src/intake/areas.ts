/**
 * Outlines of the areas that can be painted, for the right side; the left is the mirror image. Measures are those of each
 * view's own box. An arm hangs with the trunk towards the middle of the body, a hand stands with its fingers up.
 */
export interface View {
  title: string;
  width: number;
  height: number;
  /** The outline behind the areas. */
  outline: string;
  /** Area by id. */
  areas: Record<string, string>;
}

const ARM_FRONT: View = {
  title: "Front",
  width: 170,
  height: 340,
  outline: "M168 8h-34v26c-18 14-52 12-70 24-18 12-24 34-26 62l-6 62-8 72 6 34 4 44h30l2-44 14-36 20-74 18-54v40h50z",
  areas: {
    "neck-front": "M136 8h32v34h-40z",
    "shoulder-top": "M128 44h-4c-18 2-40 4-58 13l10 20h52z",
    "shoulder-front": "M78 80h52v46h-46l-16-18z",
    "upper-arm-outer": "M62 62l12 18-10 30-4 58-28-4 6-46c2-28 8-46 24-56z",
    "upper-arm-front": "M68 114l16 16h28l-14 42-34-4z",
    "elbow-outer": "M32 168l28 4-4 30-27-2z",
    "elbow-front": "M63 172l19 3-6 30-16-2z",
    "elbow-inner": "M86 175l12 1-8 32-11-2z",
    "forearm-front": "M29 204l60 9-12 32-9 14-42-4z",
    "hand-front": "M26 259l43 4-3 66h-30l-4-38z",
  },
};

const ARM_BACK: View = {
  title: "Back",
  width: 170,
  height: 340,
  outline: "M2 8h34v26c18 14 52 12 70 24 18 12 24 34 26 62l6 62 8 72-6 34-4 44h-30l-2-44-14-36-20-74-18-54v40H2z",
  areas: {
    "neck-back": "M2 8h32l8 34H2z",
    "shoulder-blade": "M2 48h40l18 30-8 52H2z",
    "shoulder-back": "M46 46c18 4 44 4 60 16l-4 44-40 22-4 0 6-52z",
    "upper-arm-back": "M64 132l40-22 20-40c6 14 8 32 10 50l4 46-60 8z",
    "elbow-back": "M80 178l58-8 4 30-54 8z",
    "forearm-back": "M90 212l53-8 4 50-42 6-5-14z",
    "hand-back": "M105 264l42-6-5 34-4 37h-30z",
  },
};

const PALM: View = {
  title: "Palm",
  width: 210,
  height: 270,
  outline: "M34 200V84q0-9 9-9t9 9v34V46q0-10 10-10t10 10v68V30q0-10 10-10t10 10v84V44q0-10 10-10t10 10v98l28-34q7-9 15-3t3 15l-34 58-22 30v62H46v-50z",
  areas: {
    "palm-little": "M36 128V84q0-7 7-7t7 7v44z",
    "palm-ring-ulnar": "M54 124V46q0-8 8-8v86z",
    "palm-ring-radial": "M62 124V38q8 0 8 8v78z",
    "palm-middle": "M74 122V30q0-8 8-8t8 8v92z",
    "palm-index": "M94 124V44q0-8 8-8t8 8v80z",
    "palm-thumb": "M118 146l24-32q6-8 13-3t2 13l-26 44z",
    "palm-hypothenar": "M36 132h22v84l-12 6-10-22z",
    "palm-centre": "M61 128h38v40l-8 46H61z",
    "palm-thenar": "M102 128h12l4 22 12 20-14 28-14 18h-8l8-46z",
    "palm-wrist": "M48 224l14-6h40v44H48z",
  },
};

const BACK: View = {
  title: "Back of the hand",
  width: 210,
  height: 270,
  outline: "M176 200V84q0-9-9-9t-9 9v34V46q0-10-10-10t-10 10v68V30q0-10-10-10t-10 10v84V44q0-10-10-10t-10 10v98L70 108q-7-9-15-3t-3 15l34 58 22 30v62h56v-50z",
  areas: {
    "back-little": "M174 128V84q0-7-7-7t-7 7v44z",
    "back-ring": "M156 124V46q0-8-8-8t-8 8v78z",
    "back-middle": "M136 122V30q0-8-8-8t-8 8v92z",
    "back-index": "M116 124V44q0-8-8-8t-8 8v80z",
    "back-thumb": "M92 146l-24-32q-6-8-13-3t-2 13l26 44z",
    "back-radial": "M96 128h34v84h-22l-20-36z",
    "back-ulnar": "M134 128h40v70l-12 14h-28z",
    "wrist-thumb-side": "M109 216h16v46h-16z",
    "wrist-back": "M128 216h18v46h-18z",
    "wrist-little-side": "M149 216h13v46h-13z",
  },
};

/** By the name that the content gives a view. */
export const VIEWS: Record<string, View> = { "arm-front": ARM_FRONT, "arm-back": ARM_BACK, palm: PALM, back: BACK };
