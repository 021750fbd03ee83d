const PEOPLE = 1000;

interface DotsProps {
  have: number;
  without: number;
  columns: number;
  label: string;
  className?: string;
}

/** 1000 people who answered like this: a full dot for each who would have it, a faint ring for each who would not. */
export function People({ have, label }: { have: number; label: string }) {
  return <Dots have={have} without={PEOPLE - have} columns={40} label={label} className="w-full" />;
}

/** People who gave one answer, as many as there are of 1000, so that two answers can be compared by their area. */
export function AnsweredPeople({ have, without, label }: { have: number; without: number; label: string }) {
  return <Dots have={have} without={without} columns={50} label={label} className="my-1 w-full max-w-md" />;
}

const STEP = 7.5;

function Dots({ have, without, columns, label, className }: DotsProps) {
  const all = have + without;
  const rows = Math.max(1, Math.ceil(all / columns));
  const dots = Array.from({ length: all }, (_, person) => ({
    x: (person % columns) * STEP + 4,
    y: Math.floor(person / columns) * STEP + 4,
    has: person < have,
  }));
  return (
    <svg
      className={className}
      viewBox={`0 0 ${String(columns * STEP)} ${String(rows * STEP)}`}
      role="img"
      aria-label={label}
    >
      <path
        fill="var(--color-for)"
        d={dots
          .filter((dot) => dot.has)
          .map((dot) => disc(dot.x, dot.y, 2.7))
          .join("")}
      />
      <path
        fill="none"
        stroke="var(--color-edge)"
        strokeWidth={0.8}
        d={dots
          .filter((dot) => !dot.has)
          .map((dot) => disc(dot.x, dot.y, 2))
          .join("")}
      />
    </svg>
  );
}

function disc(x: number, y: number, radius: number): string {
  const r = String(radius);
  return `M${String(x - radius)} ${String(y)}a${r} ${r} 0 1 0 ${String(2 * radius)} 0a${r} ${r} 0 1 0 ${String(-2 * radius)} 0`;
}
