import { Chip } from "./QuestionBlock";
import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { VIEWS } from "./areas";
import { options, type Intake } from "./useIntake";

type Brush = "pain-areas" | "tingling-areas";

interface PaintFiguresProps {
  drawings: Schemas["DrawingJson"][];
  side: "LEFT" | "RIGHT";
  intake: Intake;
  /** The brush in hand at first. */
  first: Brush;
}

/** How large a view is drawn: two arms fit half the page, two hands need all of it, so that a finger can be met. */
const SHOWN = { half: 0.94, all: 1.6 };

/** Whether the drawings need the whole width. */
export function needsWidth(drawings: Schemas["DrawingJson"][]): boolean {
  return !drawings.some((drawing) => ARMS.includes(drawing.view));
}

const ARMS = ["arm-front", "arm-back"];
const NONE = "none";

const BRUSHES: readonly [Brush, string][] = [
  ["pain-areas", "Pain"],
  ["tingling-areas", "Tingling"],
];

/** Figures on which pain (hatched) and tingling (dotted) are painted, area by area. */
export function PaintFigures({ drawings, side, intake, first }: PaintFiguresProps) {
  const [brush, setBrush] = useState<Brush>(first);
  const painted = (kind: Brush, area: string) => intake.values(kind).includes(area);
  const paint = (area: string) => {
    const values = intake.values(brush);
    intake.tell(
      options(
        brush,
        values.includes(area)
          ? values.filter((each) => each !== area)
          : [...values.filter((each) => each !== NONE), area],
      ),
    );
  };
  const labels = drawings.flatMap((drawing) => drawing.areas);
  const arms = drawings.some((drawing) => ARMS.includes(drawing.view));
  // with arms, hands are drawn for what tingles, and where something was painted on them
  const visible = drawings.filter(
    (drawing) =>
      !arms ||
      ARMS.includes(drawing.view) ||
      brush === "tingling-areas" ||
      drawing.areas.some((area) => BRUSHES.some(([kind]) => painted(kind, area.id))),
  );
  const shown = arms ? SHOWN.half : SHOWN.all;
  const noTingling = intake.values("tingling-areas").includes(NONE);
  return (
    <div>
      <div role="group" aria-label="Brush" className="flex gap-1.5">
        {BRUSHES.map(([kind, name]) => (
          <button
            key={kind}
            type="button"
            aria-pressed={brush === kind}
            onClick={() => {
              setBrush(kind);
            }}
            className={`flex min-h-12 items-center gap-2 rounded border px-3 text-read ${brush === kind ? "border-2 border-ink bg-tan font-semibold" : "border-edge bg-sheet"}`}
          >
            <svg width={22} height={22} aria-hidden="true">
              <Patterns scope={`brush-${kind}`} />
              <rect width={22} height={22} fill={`url(#brush-${kind}-${kind})`} stroke="var(--color-ink)" />
            </svg>
            {name}
          </button>
        ))}
        <Chip
          chosen={noTingling}
          onClick={() => {
            intake.tell(options("tingling-areas", noTingling ? [] : [NONE]));
          }}
        >
          No tingling
        </Chip>
      </div>
      <div className="mt-2 flex flex-wrap gap-x-2 gap-y-4">
        {visible.map((drawing) => {
          const view = VIEWS[drawing.view];
          if (!view) {
            return null;
          }
          return (
            <figure key={drawing.view}>
              <svg
                viewBox={`0 0 ${String(view.width)} ${String(view.height)}`}
                width={shown * view.width}
                height={shown * view.height}
                role="group"
                aria-label={`${view.title}, ${side.toLowerCase()} side`}
                className="max-w-full touch-manipulation"
              >
                <Patterns scope={drawing.view} />
                <g
                  transform={
                    (side === "LEFT") !== (view.mirrored ?? false)
                      ? `translate(${String(view.width)} 0) scale(-1 1)`
                      : undefined
                  }
                >
                  <path
                    d={view.outline}
                    fill="var(--color-sheet)"
                    stroke="var(--color-ink)"
                    strokeWidth={2}
                    strokeLinejoin="round"
                  />
                  {drawing.areas.map((area) => {
                    const pain = painted("pain-areas", area.id);
                    const tingling = painted("tingling-areas", area.id);
                    return (
                      <g
                        key={area.id}
                        role="checkbox"
                        tabIndex={0}
                        aria-checked={painted(brush, area.id)}
                        aria-label={`${area.label}${pain ? ", painful" : ""}${tingling ? ", tingling" : ""}`}
                        className="cursor-pointer"
                        onClick={() => {
                          paint(area.id);
                        }}
                        onKeyDown={(event) => {
                          if (event.key === " " || event.key === "Enter") {
                            event.preventDefault();
                            paint(area.id);
                          }
                        }}
                      >
                        <path
                          d={view.areas[area.id]}
                          fill="var(--color-sheet)"
                          stroke="var(--color-edge)"
                          strokeWidth={1}
                        />
                        {pain && (
                          <path
                            d={view.areas[area.id]}
                            fill={`url(#${drawing.view}-pain-areas)`}
                            stroke="var(--color-ink)"
                            strokeWidth={2}
                          />
                        )}
                        {tingling && (
                          <path
                            d={view.areas[area.id]}
                            fill={`url(#${drawing.view}-tingling-areas)`}
                            stroke="var(--color-ink)"
                            strokeWidth={2}
                          />
                        )}
                      </g>
                    );
                  })}
                </g>
              </svg>
              <figcaption className="text-center text-note text-soft">{view.title}</figcaption>
            </figure>
          );
        })}
      </div>
      {BRUSHES.map(([kind, name]) => {
        const names = labels.filter((area) => painted(kind, area.id)).map((area) => area.label.toLowerCase());
        return (
          names.length > 0 && (
            <p key={kind} className="mt-1 text-note">
              <strong>{name}:</strong> {names.join("; ")}
            </p>
          )
        );
      })}
    </div>
  );
}

/** Hatching for pain, dots for tingling: told apart without colour. */
export function Patterns({ scope }: { scope: string }) {
  return (
    <defs>
      <pattern
        id={`${scope}-pain-areas`}
        width={6}
        height={6}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path d="M0 0v6" stroke="var(--color-for)" strokeWidth={5} />
      </pattern>
      <pattern id={`${scope}-tingling-areas`} width={7} height={7} patternUnits="userSpaceOnUse">
        <circle cx={2} cy={2} r={1.8} fill="var(--color-against)" />
        <circle cx={5.5} cy={5.5} r={1.8} fill="var(--color-against)" />
      </pattern>
    </defs>
  );
}
