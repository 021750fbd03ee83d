import { VIEWS } from "./areas";
import { Patterns } from "./PaintFigures";

interface PaintedAreasProps {
  side: "LEFT" | "RIGHT";
  pain: string[];
  tingling: string[];
}

/** What somebody painted, on those figures alone that show any of it. */
export function PaintedAreas({ side, pain, tingling }: PaintedAreasProps) {
  const views = Object.entries(VIEWS).filter(([, view]) =>
    [...pain, ...tingling].some((area) => view.areas[area] !== undefined),
  );
  return (
    <div className="flex flex-wrap gap-3">
      {views.map(([name, view]) => (
        <figure key={name}>
          <svg
            viewBox={`0 0 ${String(view.width)} ${String(view.height)}`}
            className="h-44"
            role="img"
            aria-label={`${view.title}, ${side.toLowerCase()} side, painted by the patient`}
          >
            <Patterns scope={`told-${name}`} />
            <g
              transform={
                (side === "LEFT") !== (view.mirrored ?? false)
                  ? `translate(${String(view.width)} 0) scale(-1 1)`
                  : undefined
              }
            >
              <path d={view.outline} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={2} />
              {(
                [
                  ["pain-areas", pain],
                  ["tingling-areas", tingling],
                ] as const
              ).map(([kind, areas]) =>
                areas
                  .filter((area) => view.areas[area] !== undefined)
                  .map((area) => (
                    <path
                      key={`${kind} ${area}`}
                      d={view.areas[area]}
                      fill={`url(#told-${name}-${kind})`}
                      stroke="var(--color-ink)"
                      strokeWidth={2}
                    />
                  )),
              )}
            </g>
          </svg>
          <figcaption className="text-center text-note text-soft">{view.title}</figcaption>
        </figure>
      ))}
    </div>
  );
}
