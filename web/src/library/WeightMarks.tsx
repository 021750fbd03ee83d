import { WEIGHT_MARKS } from "./weightScale";

interface MarksProps {
  /** Where a likelihood ratio lies. */
  at: (ratio: number) => number;
}

/** The marked ratios in words, at height {@code y}: ÷ left of the pivot, × right of it. */
export function MarkLabels({ at, y, fontWeight }: MarksProps & { y: number; fontWeight?: number }) {
  return WEIGHT_MARKS.map((mark) => (
    <text
      key={mark}
      x={at(mark)}
      y={y}
      textAnchor="middle"
      fontSize={12.5}
      fill="var(--color-soft)"
      fontWeight={fontWeight}
    >
      {mark < 1 ? `÷${String(Math.round(1 / mark))}` : mark === 1 ? "1" : `×${String(mark)}`}
    </text>
  ));
}

/** A faint line at each marked ratio. */
export function MarkLines({ at, height }: MarksProps & { height: number }) {
  return WEIGHT_MARKS.map((mark) => (
    <line key={mark} x1={at(mark)} x2={at(mark)} y1={0} y2={height} stroke="var(--color-line)" />
  ));
}

/** The pivot at 1. */
export function Pivot({ at, height }: MarksProps & { height: number }) {
  return <line x1={at(1)} x2={at(1)} y1={0} y2={height} stroke="var(--color-ink)" strokeWidth={1.6} />;
}
