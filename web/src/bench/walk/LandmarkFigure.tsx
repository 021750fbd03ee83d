import type { Schemas } from "../../shared/api/client";
import { OUTLINES } from "./outlines";

/** Where one landmark lies, on the drawing of the right side. */
export function LandmarkFigure({
  place,
  name,
  className,
}: {
  place: Schemas["PlaceJson"];
  name: string;
  className?: string;
}) {
  const { title, height, drawing } = OUTLINES[place.view];
  const y = (place.y / 100) * height;
  return (
    <svg
      className={className}
      viewBox={`0 0 100 ${String(height)}`}
      role="img"
      aria-label={`${name}: ${title.toLowerCase()}, ${place.zone.toLowerCase()}.`}
    >
      {drawing}
      <circle cx={place.x} cy={y} r={5} fill="none" stroke="var(--color-ink)" strokeWidth={1.4} />
      <circle cx={place.x} cy={y} r={2.6} fill="var(--color-ink)" />
    </svg>
  );
}
