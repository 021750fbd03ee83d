import { useState, type KeyboardEvent, type MouseEvent } from "react";
import type { Schemas } from "../shared/api/client";
import { angleAt, arcPath, DIAL, onDial } from "./arcGeometry";

type Measure = Schemas["PartDefinitionJson"];

interface ArcDialProps {
  measures: Measure[];
  values: (number | undefined)[];
  side: "LEFT" | "RIGHT";
  /** Without pain there is nothing to place; the dial keeps its room so that nothing jumps. */
  disabled: boolean;
  onSet: (key: string, value: number) => void;
}

const KEYS = ["j", "k", "l"];

/**
 * The angles of a painful arc. A tap on the dial sets the next one that is missing; each also has steps of its own. The
 * arm is drawn as seen from the front. The windows in which pain counts are shaded only once all three are known.
 */
export function ArcDial({ measures, values, side, disabled, onSet }: ArcDialProps) {
  const firstOpen = values.findIndex((value) => value === undefined);
  const [picked, setPicked] = useState<number>();
  const active = picked ?? Math.max(0, firstOpen);
  const mirror = side === "RIGHT" ? -1 : 1;
  const complete = firstOpen === -1;

  const set = (index: number, value: number) => {
    const measure = measures[index];
    if (measure) {
      onSet(measure.key, Math.min(measure.most ?? 180, Math.max(measure.least ?? 0, value)));
    }
  };
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const step = measures[active]?.step ?? 10;
    set(
      active,
      Math.round(
        angleAt(
          ((event.clientX - box.left) / box.width) * DIAL.width,
          ((event.clientY - box.top) / box.height) * DIAL.height,
          mirror,
        ) / step,
      ) * step,
    );
    setPicked(undefined);
  };
  const press = (index: number) => (event: KeyboardEvent) => {
    const direction = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (direction) {
      event.preventDefault();
      set(index, nextValue(index, direction));
    }
  };
  const nextValue = (index: number, direction: number) => {
    const value = values[index];
    return value === undefined ? (values[index - 1] ?? 90) : value + direction * (measures[index]?.step ?? 10);
  };
  const [start, worst, end] = values;
  const hand = onDial(worst ?? start ?? 0, mirror, 70);
  return (
    <div className={`flex items-center gap-4 ${disabled ? "opacity-45" : ""}`} inert={disabled}>
      <div className="flex flex-col gap-1.5">
        {measures.map((measure, index) => (
          <div
            key={measure.key}
            className={`flex items-center rounded border ${active === index && !complete ? "border-2 border-ink" : "border-edge"} bg-sheet`}
          >
            <button
              type="button"
              tabIndex={-1}
              aria-label={`${measure.label}: less`}
              className="size-12 text-2xl"
              onClick={() => {
                set(index, nextValue(index, -1));
              }}
            >
              −
            </button>
            <div
              role="slider"
              tabIndex={0}
              id={`arc-${KEYS[index] ?? ""}`}
              aria-label={measure.label}
              aria-valuemin={measure.least ?? 0}
              aria-valuemax={measure.most ?? 180}
              aria-valuenow={values[index] ?? 0}
              aria-valuetext={values[index] === undefined ? "not recorded" : `${String(values[index])} degrees`}
              onKeyDown={press(index)}
              onClick={() => {
                setPicked(index);
              }}
              className="flex min-h-12 w-20 cursor-pointer flex-col items-center justify-center leading-tight"
            >
              <span className="text-note font-semibold text-soft">
                {measure.label}{" "}
                <kbd aria-hidden="true" className="hidden font-sans text-sm md:inline">
                  {KEYS[index]}
                </kbd>
              </span>
              <strong className="text-read">{values[index] === undefined ? "–" : `${String(values[index])}°`}</strong>
            </div>
            <button
              type="button"
              tabIndex={-1}
              aria-label={`${measure.label}: more`}
              className="size-12 text-2xl"
              onClick={() => {
                set(index, nextValue(index, 1));
              }}
            >
              +
            </button>
          </div>
        ))}
      </div>
      <svg
        width={DIAL.width}
        height={DIAL.height}
        viewBox={`0 0 ${String(DIAL.width)} ${String(DIAL.height)}`}
        onClick={tap}
        aria-hidden="true"
        className="cursor-crosshair touch-manipulation"
      >
        {complete &&
          measures
            .flatMap((measure) => measure.windows)
            .map((window) => (
              <path key={window.from} d={arcPath(window.from, window.to, 40, 84, mirror)} fill="var(--color-tan)" />
            ))}
        <path d={arcPath(0, 180, 77, 84, mirror)} fill="var(--color-line)" />
        {start !== undefined && end !== undefined && (
          <path d={arcPath(Math.min(start, end), Math.max(start, end), 73, 88, mirror)} fill="var(--color-for)" />
        )}
        {Array.from({ length: 19 }, (_, index) => index * 10).map((angle) => {
          const from = onDial(angle, mirror, angle % 30 === 0 ? 68 : 73);
          const to = onDial(angle, mirror, 77);
          return (
            <line
              key={angle}
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke="var(--color-soft)"
              strokeWidth={angle % 30 === 0 ? 1.6 : 0.8}
            />
          );
        })}
        {[60, 90, 120].map((angle) => {
          const at = onDial(angle, mirror, 57);
          return (
            <text key={angle} x={at.x} y={at.y + 5} textAnchor="middle" fontSize={14} fill="var(--color-soft)">
              {angle}
            </text>
          );
        })}
        <Body mirror={mirror} />
        <line
          x1={hand.cx}
          y1={hand.cy}
          x2={hand.x}
          y2={hand.y}
          stroke="var(--color-ink)"
          strokeWidth={8}
          strokeLinecap="round"
        />
        {worst !== undefined && (
          <circle
            cx={onDial(worst, mirror, 80).x}
            cy={onDial(worst, mirror, 80).y}
            r={7}
            fill="var(--color-sheet)"
            stroke="var(--color-ink)"
            strokeWidth={3}
          />
        )}
      </svg>
    </div>
  );
}

/** Head and trunk beside the joint. */
function Body({ mirror }: { mirror: 1 | -1 }) {
  const centre = onDial(0, mirror, 0);
  const x = (offset: number) => String(centre.x - mirror * offset);
  const y = (offset: number) => String(centre.y + offset);
  return (
    <g fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={2}>
      <path
        d={`M${x(0)} ${y(-4)}C${x(7)} ${y(-9)} ${x(14)} ${y(-11)} ${x(22)} ${y(-12)}M${x(4)} ${y(10)}L${x(9)} ${y(84)}`}
        fill="none"
      />
      <circle cx={x(27)} cy={y(-32)} r={14} />
    </g>
  );
}
