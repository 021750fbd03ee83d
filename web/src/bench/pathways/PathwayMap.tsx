import { useEffect, useRef } from "react";
import type { Schemas } from "../../shared/api/client";
import { gone, mapOf, way } from "./layout";

interface PathwayMapProps {
  pathway: Schemas["PathwayJson"];
  state: Schemas["PathwayStateJson"];
}

const SMALL = { width: 216, height: 62, edge: 10 };
const LARGE = { box: 152, gap: 14, row: 104, tall: 74 };

/** The whole way at a glance, from left to right: what lies behind is thick, a triangle says where one is. */
export function SmallMap({ pathway, state }: PathwayMapProps) {
  const placed = mapOf(pathway.steps);
  const layers = Math.max(1, ...placed.map((each) => each.layer));
  const walked = gone(state.passed, state.here);
  const at = new Map(
    placed.map((each) => [
      each.step.id,
      {
        x: SMALL.edge + (each.layer / layers) * (SMALL.width - 2 * SMALL.edge),
        y: 12 + each.place * (SMALL.height - 30),
      },
    ]),
  );
  const behind = new Set(state.passed.map((each) => each.step));
  const here = at.get(state.here);
  return (
    <svg
      width={SMALL.width}
      height={SMALL.height}
      viewBox={`0 0 ${String(SMALL.width)} ${String(SMALL.height)}`}
      aria-hidden="true"
      className="max-w-full"
    >
      {placed.flatMap(({ step }) =>
        step.ways.map((next) => {
          const [from, to] = [at.get(step.id), at.get(next)];
          const isGone = walked.has(way(step.id, next));
          return (
            from &&
            to && (
              <path
                key={way(step.id, next)}
                d={`M${String(from.x)} ${String(from.y)}L${String(to.x)} ${String(to.y)}`}
                stroke={isGone ? "var(--color-ink)" : "var(--color-line)"}
                strokeWidth={isGone ? 3 : 1.2}
              />
            )
          );
        }),
      )}
      {placed.map(({ step }) => {
        const spot = at.get(step.id);
        const fill = behind.has(step.id) || step.id === state.here ? "var(--color-ink)" : "var(--color-sheet)";
        return (
          spot &&
          (step.kind === "END" ? (
            <rect
              key={step.id}
              x={spot.x - 3}
              y={spot.y - 5}
              width={6}
              height={10}
              fill={fill}
              stroke="var(--color-ink)"
            />
          ) : step.kind === "ASK" ? (
            <path
              key={step.id}
              d={`M${String(spot.x)} ${String(spot.y - 6)}l6 6l-6 6l-6 -6z`}
              fill={fill}
              stroke="var(--color-ink)"
            />
          ) : (
            <circle key={step.id} cx={spot.x} cy={spot.y} r={4.5} fill={fill} stroke="var(--color-ink)" />
          ))
        );
      })}
      {here && <path d={`M${String(here.x)} ${String(here.y + 8)}l7 11h-14z`} fill="var(--color-for)" />}
    </svg>
  );
}

/** The whole way with its words, from top to bottom. */
export function LargeMap({ pathway, state }: PathwayMapProps) {
  const mark = useRef<HTMLLIElement>(null);
  useEffect(() => {
    mark.current?.scrollIntoView({ block: "center", inline: "center" });
  }, []);
  const placed = mapOf(pathway.steps);
  const widest = Math.max(1, ...placed.map((each) => each.of));
  const width = widest * (LARGE.box + LARGE.gap);
  const height = (Math.max(0, ...placed.map((each) => each.layer)) + 1) * LARGE.row;
  const walked = gone(state.passed, state.here);
  const outcome = new Map(state.passed.map((each) => [each.step, each]));
  const left = (each: { place: number }) => LARGE.gap / 2 + each.place * (width - LARGE.box - LARGE.gap);
  const at = new Map(
    placed.map((each) => [each.step.id, { x: left(each) + LARGE.box / 2, top: each.layer * LARGE.row }]),
  );
  return (
    <div className="relative" style={{ width, height }}>
      <svg width={width} height={height} aria-hidden="true" className="absolute inset-0">
        {placed.flatMap(({ step }) =>
          step.ways.map((next) => {
            const [from, to] = [at.get(step.id), at.get(next)];
            const isGone = walked.has(way(step.id, next));
            return (
              from &&
              to && (
                <path
                  key={way(step.id, next)}
                  d={`M${String(from.x)} ${String(from.top + LARGE.tall)}C${String(from.x)} ${String(from.top + LARGE.row)} ${String(to.x)} ${String(to.top - 26)} ${String(to.x)} ${String(to.top)}`}
                  fill="none"
                  stroke={isGone ? "var(--color-ink)" : "var(--color-edge)"}
                  strokeWidth={isGone ? 3 : 1}
                />
              )
            );
          }),
        )}
      </svg>
      <ol>
        {placed.map((each) => {
          const { step } = each;
          const here = step.id === state.here;
          const behind = outcome.get(step.id);
          return (
            <li
              key={step.id}
              ref={here ? mark : undefined}
              aria-current={here ? "step" : undefined}
              style={{ left: left(each), top: each.layer * LARGE.row, width: LARGE.box, height: LARGE.tall }}
              className={`absolute flex flex-col justify-center px-2 text-note leading-tight ${here ? "border-4 border-ink bg-tan" : behind ? "border-2 border-ink bg-sheet" : "border border-edge bg-sheet"} ${step.kind === "END" ? "border-l-8" : step.kind === "ASK" ? "rounded-2xl" : ""}`}
            >
              <span className={here || step.kind === "END" ? "font-semibold" : ""}>{step.label}</span>
              {here && <span>you are here</span>}
              {behind && <span className="text-soft">{passedWords(behind)}</span>}
            </li>
          );
        })}
      </ol>
    </div>
  );
}

/** What a step behind came to, in words. */
export function passedWords(passed: Schemas["PassedJson"]): string {
  return {
    ANSWERED: passed.answer.toLowerCase(),
    POSITIVE: "positive",
    NEGATIVE: "negative",
    UNCLEAR: "not readable",
    NOTED: "noted",
    CLOSED: "closed, passed by",
  }[passed.outcome];
}
