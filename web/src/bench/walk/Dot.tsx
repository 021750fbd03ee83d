import type { DotLook } from "./dotOf";

interface DotGlyphProps {
  look: DotLook;
  small: boolean;
  picked: boolean;
}

const SIZE = { small: 24, large: 38 };

/** A landmark by form alone: hollow, tick, full, half, struck. */
export function DotGlyph({ look, small, picked }: DotGlyphProps) {
  const size = small ? SIZE.small : SIZE.large;
  const centre = size / 2;
  const radius = small ? 6.5 : 11;
  return (
    <svg width={size} height={size} aria-hidden="true" className="shrink-0">
      {picked && (
        <circle
          cx={centre}
          cy={centre}
          r={radius + (small ? 4 : 5)}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={small ? 2 : 3}
        />
      )}
      <circle
        cx={centre}
        cy={centre}
        r={radius}
        fill={look === "own" ? "var(--color-ink)" : "var(--color-sheet)"}
        stroke="var(--color-ink)"
        strokeWidth={look === "quiet" ? 1 : 1.8}
        strokeDasharray={look === "open" ? "2.5 2.5" : undefined}
      />
      {look === "found" && (
        <path
          d={`M${String(centre)} ${String(centre - radius)}a${String(radius)} ${String(radius)} 0 0 0 0 ${String(2 * radius)}z`}
          fill="var(--color-ink)"
        />
      )}
      {look === "quiet" && (
        <path
          d={`M${String(centre - radius * 0.5)} ${String(centre)}l${String(radius * 0.4)} ${String(radius * 0.45)}l${String(radius * 0.65)} ${String(-radius * 0.9)}`}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={small ? 1.6 : 2.2}
        />
      )}
      {look === "closed" && (
        <path
          d={`M${String(centre - radius)} ${String(centre + radius)}L${String(centre + radius)} ${String(centre - radius)}`}
          stroke="var(--color-ink)"
          strokeWidth={1.8}
        />
      )}
    </svg>
  );
}

interface DotProps extends DotGlyphProps {
  name: string;
  onPick: () => void;
}

/** A landmark that can be picked. */
export function Dot({ look, small, picked, name, onPick }: DotProps) {
  const size = small ? SIZE.small : SIZE.large;
  return (
    <button
      type="button"
      aria-label={name}
      aria-pressed={picked}
      title={name}
      onClick={onPick}
      className="block touch-manipulation rounded-full"
      style={{ width: size, height: size }}
    >
      <DotGlyph look={look} small={small} picked={picked} />
    </button>
  );
}
