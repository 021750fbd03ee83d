import type { ReactNode } from "react";
import type { Schemas } from "../../shared/api/client";

type View = Schemas["PlaceJson"]["view"];

/** A drawing of the right side on which landmarks lie; 100 wide. */
export interface Outline {
  title: string;
  height: number;
  drawing: ReactNode;
}

const INK = "var(--color-ink)";
const FAINT = { fill: "none", stroke: "var(--color-edge)", strokeWidth: 1, strokeLinecap: "round" } as const;

/** Shapes drawn once in ink and again, a little thinner, in skin, so that only the outer edge remains. */
function Skin({ limbs, area }: { limbs: readonly [path: string, width: number][]; area: string }) {
  return (
    <>
      {limbs.map(([path, width]) => (
        <path
          key={path}
          d={path}
          fill="none"
          stroke={INK}
          strokeWidth={width + 2.4}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      <path d={area} fill={INK} stroke={INK} strokeWidth={2.4} strokeLinejoin="round" />
      {limbs.map(([path, width]) => (
        <path
          key={path}
          d={path}
          fill="none"
          stroke="var(--color-sheet)"
          strokeWidth={width}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      <path d={area} fill="var(--color-sheet)" />
    </>
  );
}

/** Hand from the roots of the fingers to the forearm; `thumb` is where the thumb points. */
const HAND =
  "M26 125C25 108 22 98 22 84C20 70 16 58 17 40C17 30 18 24 20 19L81 19C83 26 84 34 83 44C82 60 79 72 78 84C78 98 75 108 74 125Z";
const STUBS: readonly [string, number][] = [
  ["M27 24V9", 12],
  ["M43 22V6", 12],
  ["M59 22V6", 12],
  ["M74 26V13", 11],
];

/** Drawings by view. */
export const OUTLINES: Record<View, Outline> = {
  BACK: {
    title: "Back of the hand",
    height: 125,
    drawing: (
      <>
        <Skin limbs={[...STUBS, ["M28 66L14 46L9 32", 13]]} area={HAND} />
        <path d="M30 118C31 106 30 98 27 88M44 96C46 88 45 84 43 80M62 92a8 8 0 1 0 14-3" {...FAINT} />
        <path d="M28 30L36 62M44 28L46 60M58 28L56 60M72 30L66 60M26 78C40 72 60 72 75 78" {...FAINT} />
      </>
    ),
  },
  PALM: {
    title: "Palm",
    height: 125,
    drawing: (
      <>
        <Skin limbs={[...STUBS, ["M73 64L87 46L91 32", 14]]} area={HAND} />
        <path d="M24 78C38 74 62 74 77 78M24 82C40 78 60 78 77 82" {...FAINT} />
        <path d="M78 30C58 32 52 50 62 72M20 38C36 34 56 34 70 26M20 46C40 46 56 52 68 62" {...FAINT} />
        <path d="M50 125V88M61 125L62 90" {...FAINT} />
      </>
    ),
  },
  ELBOW_OUTER: {
    title: "Outer side",
    height: 100,
    drawing: (
      <>
        <Skin
          limbs={[["M88 63H91", 15]]}
          area="M20 0C20 24 18 40 17 54C16 66 18 76 26 79C42 84 62 78 84 72V54C74 52 64 48 56 40C52 28 52 14 53 0Z"
        />
        <path
          d="M22 56C24 66 26 72 34 74M34 48C38 52 44 52 48 46M50 50c4 1 8 4 8 8M62 58C68 60 76 62 82 63"
          {...FAINT}
        />
      </>
    ),
  },
  ELBOW_INNER: {
    title: "Inner side",
    height: 100,
    drawing: (
      <>
        <Skin
          limbs={[["M12 63H9", 15]]}
          area="M80 0C80 24 82 40 83 54C84 66 82 76 74 79C58 84 38 78 16 72V54C26 52 36 48 44 40C48 28 48 14 47 0Z"
        />
        <path
          d="M78 56C76 66 74 72 66 74M66 48C62 53 57 52 53 46M44 44C40 46 34 50 28 52M48 57C40 60 28 62 18 63"
          {...FAINT}
        />
      </>
    ),
  },
  SHOULDER: {
    title: "Front",
    height: 90,
    drawing: (
      <>
        <Skin
          limbs={[]}
          area="M100 8C92 14 86 20 70 22C52 22 34 16 24 22C12 30 8 44 8 90H34C34 80 36 72 42 66C50 80 74 86 100 88Z"
        />
        <path
          d="M92 34C76 26 60 34 40 24M24 24C28 20 36 20 40 24M28 34C26 44 27 54 28 62M36 36C36 46 35 54 34 62M44 48C42 54 42 60 42 66"
          {...FAINT}
        />
      </>
    ),
  },
};
