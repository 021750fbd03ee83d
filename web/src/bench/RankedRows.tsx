import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { OddsRail } from "../shared/drawings/OddsRail";
import { inHundred } from "../shared/format";
import { standsAt } from "../shared/standing";

type Standing = Schemas["StandingJson"];

/** A condition that has no figures, by how its picture fits. */
export function PictureRow({ standing }: { standing: Standing }) {
  return (
    <li className="flex items-center justify-between gap-2 text-note">
      <Link to={`weighing?condition=${standing.conditionId}`} className="hover:underline">
        {standing.shortName}
      </Link>
      <span className="flex items-center gap-1.5">
        <FitGlyph pattern={standing.pattern} />
        {patternWords(standing.pattern)}
        <span className="text-soft">from {inHundred(standing.before)}</span>
      </span>
    </li>
  );
}

/** A condition that is not weighed by itself: where it began, or where findings about wider ones have left it. */
export function OpenRow({ standing }: { standing: Standing }) {
  return (
    <li className="grid grid-cols-[1fr_5.5rem_1.8rem] items-center gap-2 text-note">
      <span>
        {standing.shortName}
        {standing.unweighed.length > 0 && <span className="text-soft"> · noted</span>}
      </span>
      <OddsRail {...standing} width={88} />
      <strong className="text-right">{inHundred(standsAt(standing))}</strong>
    </li>
  );
}

/** Found less looked for and not found: for the order of the list alone. */
function patternWords(pattern: Schemas["PatternJson"]): string {
  const against = pattern.against.length > 0 ? `, ${String(pattern.against.length)} against` : "";
  return `fits ${String(pattern.present.length)} of ${String(pattern.present.length + pattern.missing.length)}${against}`;
}

/** How a picture fits, finding by finding: found, looked for and not found, against, still to be looked for. */
function FitGlyph({ pattern }: { pattern: Schemas["PatternJson"] }) {
  const marks = [
    ...pattern.present.map(() => "present"),
    ...pattern.missing.map(() => "missing"),
    ...pattern.against.map(() => "against"),
    ...pattern.notExamined.map(() => "open"),
  ].slice(0, 8);
  return (
    <svg width={11 * marks.length} height={12} aria-hidden="true">
      {marks.map((mark, index) => {
        const x = 11 * index + 1;
        return mark === "present" ? (
          <rect key={x} x={x} y={2} width={8} height={8} fill="var(--color-ink)" />
        ) : mark === "open" ? (
          <rect key={x} x={x} y={2} width={8} height={8} fill="none" stroke="var(--color-edge)" strokeDasharray="2 2" />
        ) : (
          <path
            key={x}
            d={`M${String(x)} 2h8v8h-8z${mark === "missing" ? `m0 8l8 -8` : `m0 0l8 8m0 -8l-8 8`}`}
            fill="none"
            stroke="var(--color-ink)"
          />
        );
      })}
    </svg>
  );
}
