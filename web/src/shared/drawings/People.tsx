const COLUMNS = 40;
const PEOPLE = 1000;
const STEP = 7.5;

/** 1000 people who answered like this: a full dot for each who would have it, a faint ring for each who would not. */
export function People({ have, label }: { have: number; label: string }) {
  const rows = PEOPLE / COLUMNS;
  const dots = Array.from({ length: PEOPLE }, (_, person) => ({ x: (person % COLUMNS) * STEP + 4, y: Math.floor(person / COLUMNS) * STEP + 4, has: person < have }));
  return (
    <svg width="100%" viewBox={`0 0 ${String(COLUMNS * STEP)} ${String(rows * STEP)}`} role="img" aria-label={label}>
      <path fill="var(--color-for)" d={dots.filter((dot) => dot.has).map((dot) => disc(dot.x, dot.y, 2.7)).join("")} />
      <path fill="none" stroke="var(--color-edge)" strokeWidth={0.8} d={dots.filter((dot) => !dot.has).map((dot) => disc(dot.x, dot.y, 2)).join("")} />
    </svg>
  );
}

function disc(x: number, y: number, radius: number): string {
  const r = String(radius);
  return `M${String(x - radius)} ${String(y)}a${r} ${r} 0 1 0 ${String(2 * radius)} 0a${r} ${r} 0 1 0 ${String(-2 * radius)} 0`;
}
