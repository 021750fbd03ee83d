/**
 * Outlines of the areas that can be painted, for the right side unless a view says otherwise; the left is the mirror image. Measures are those of each
 * view's own box. An arm hangs with the trunk towards the middle of the body, a hand stands with its fingers up.
 */
export interface View {
  title: string;
  width: number;
  height: number;
  /** Whether a right side is drawn as the mirror image of the paths. */
  mirrored?: boolean;
  /** The outline behind the areas. */
  outline: string;
  /** Area by id. */
  areas: Record<string, string>;
}

const ARM =
  "M140 8C139 20 138 28 134 36C118 47 98 48 84 56C62 66 54 84 52 108C50 130 44 150 41 172C36 196 34 206 31 226C27 250 27 262 28 274C24 292 24 306 30 330L58 334C64 318 66 300 65 278C70 260 80 238 86 213C90 192 98 164 104 132C105 128 106 126 108 124C114 150 116 170 116 190H168V8Z";
const NECK = "M140 8C139 20 138 28 134 36C146 42 158 44 168 44V8Z";
const FOREARM = "M34 203L86 213C80 238 70 260 65 278L28 274C27 252 30 226 34 203Z";
const HAND = "M28 274L65 278C66 300 64 318 58 334L30 330C24 306 24 290 28 274Z";

const ARM_FRONT: View = {
  title: "Front",
  width: 170,
  height: 340,
  outline: ARM,
  areas: {
    "neck-front": NECK,
    "shoulder-top": "M134 36C118 47 98 48 84 56C78 59 72 64 67 70L112 74C130 66 150 60 168 58V44C158 44 146 42 134 36Z",
    "shoulder-front": "M67 70L112 74V112C108 118 106 124 104 132L76 124C68 110 66 88 67 70Z",
    "upper-arm-outer": "M67 70C57 80 53 94 52 108C50 130 45 150 41 172L62 176C66 158 70 140 76 124C68 110 66 90 67 70Z",
    "upper-arm-front": "M76 124L104 132C100 150 96 164 92 180L62 176C66 158 70 140 76 124Z",
    "elbow-outer": "M41 172L54 175L50 207L34 203C37 192 39 182 41 172Z",
    "elbow-front": "M54 175L78 178L72 211L50 207Z",
    "elbow-inner": "M78 178L92 180C90 192 88 203 86 213L72 211Z",
    "forearm-front": FOREARM,
    "hand-front": HAND,
  },
};

const ARM_BACK: View = {
  title: "Back",
  width: 170,
  height: 340,
  mirrored: true,
  outline: ARM,
  areas: {
    "neck-back": NECK,
    "shoulder-blade": "M114 74C130 66 150 60 168 58V152L116 162C115 148 112 136 108 124L112 112Z",
    "shoulder-back":
      "M134 36C118 47 98 48 84 56C62 66 54 84 52 104L104 130C106 124 108 118 112 112L114 74C130 66 150 60 168 58V44C158 44 146 42 134 36Z",
    "upper-arm-back": "M52 104L104 130C100 148 96 164 92 180L41 172C46 150 50 128 52 104Z",
    "elbow-back": "M41 172L92 180C90 192 88 203 86 213L34 203C37 192 39 182 41 172Z",
    "forearm-back": FOREARM,
    "hand-back": HAND,
  },
};

const PALM: View = {
  title: "Palm",
  width: 210,
  height: 270,
  outline:
    "M34 200V84q0-9 9-9t9 9v34V46q0-10 10-10t10 10v68V30q0-10 10-10t10 10v84V44q0-10 10-10t10 10v98l28-34q7-9 15-3t3 15l-34 58-22 30v62H46v-50z",
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
  height: 314,
  outline:
    "M176 200V84q0-9-9-9t-9 9v34V46q0-10-10-10t-10 10v68V30q0-10-10-10t-10 10v84V44q0-10-10-10t-10 10v98L70 108q-7-9-15-3t-3 15l34 58 22 30v106h56v-94z",
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
    "low-forearm": "M109 266h53v38h-53z",
  },
};

/** By the name that the content gives a view. */
export const VIEWS: Record<string, View> = { "arm-front": ARM_FRONT, "arm-back": ARM_BACK, palm: PALM, back: BACK };
