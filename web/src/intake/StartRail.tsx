import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";
import { chanceAt, logit, MARKS, oddsScale } from "../shared/oddsScale";
import { Chip } from "./QuestionBlock";
import { Strip } from "../shared/ui/Strip";
import { options, type Intake } from "./useIntake";

type Start = Schemas["StartJson"];

const WIDTH = 340;
const INSET = 12;
const STEP = 0.05;
const scale = oddsScale(WIDTH, INSET);

/** Where every condition starts: the clinic's estimate, each clue's step, and the therapist's own hand. */
export function StartRail({ starts, intake }: { starts: Start[]; intake: Intake }) {
  const [all, setAll] = useState(false);
  const near = starts.filter((start) => start.inZone && !start.inactive);
  const far = starts.filter((start) => !start.inZone || start.inactive);
  return (
    <section aria-labelledby="starts">
      <h2 id="starts" className="font-serif text-2xl font-semibold">
        Where it starts
      </h2>
      <p className="text-note text-soft">
        In 100, before any test. Triangle: working estimate; disc: start now. Drag it or use the arrow keys; Delete puts
        it back.
      </p>
      <div role="group" aria-label="How sure the starts are" className="mt-2 flex items-center gap-1.5">
        <span className="text-note text-soft">How sure</span>
        <Strip>
          {["firm", "usual", "vague"].map((width) => (
            <Chip
              key={width}
              chosen={(intake.values("width")[0] ?? "usual") === width}
              onClick={() => {
                intake.tell(options("width", [width]));
              }}
            >
              {width}
            </Chip>
          ))}
        </Strip>
      </div>
      <Scale />
      <ul>
        {near.map((start) => (
          <StartRow key={start.conditionId} start={start} intake={intake} />
        ))}
      </ul>
      {far.length > 0 && (
        <button
          type="button"
          aria-expanded={all}
          onClick={() => {
            setAll(!all);
          }}
          className="mt-2 min-h-10 text-note underline"
        >
          {all ? "Hide" : "Show"} {far.length} outside the zone or waiting for a story
        </button>
      )}
      {all && (
        <ul>
          {far.map((start) => (
            <StartRow key={start.conditionId} start={start} intake={intake} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Scale() {
  return (
    <svg viewBox={`0 0 ${String(WIDTH)} 18`} aria-hidden="true" className="mt-2 block w-85">
      {MARKS.map((mark) => (
        <text key={mark} x={scale(mark)} y={13} textAnchor="middle" className="fill-soft text-[12px]">
          {Math.round(100 * mark)}
        </text>
      ))}
    </svg>
  );
}

function StartRow({ start, intake }: { start: Start; intake: Intake }) {
  const [dragged, setDragged] = useState<number>();
  const question = `start:${start.conditionId}`;
  const told = intake.answer(question)?.number ?? undefined;
  const chance = dragged ?? told ?? start.chance;
  const own = dragged !== undefined || told !== undefined;
  const keep = () => {
    if (dragged !== undefined) {
      intake.tell({ question, values: [], number: Math.round(dragged * 1000) / 1000 });
      setDragged(undefined);
    }
  };
  const reset = () => {
    setDragged(undefined);
    if (told !== undefined) {
      intake.tell(options(question, []));
    }
  };
  const signed = (value: number) => (value > 0 ? "more" : "less");
  const steps = start.moved.map((moved) => `${moved.by}: ${signed(moved.logOdds)}`);
  const reasons = start.moved.filter((moved) => moved.reason !== "").map((moved) => `${moved.by}: ${moved.reason}`);
  return (
    <li className="border-t border-line py-1">
      <div className="flex items-baseline justify-between gap-2 text-read leading-tight">
        <span>
          {start.shortName}
          {start.serious && <span className="text-note text-soft"> · serious</span>}
        </span>
        <span className="shrink-0">
          <strong>{inHundred(chance)}</strong>
          {own && (
            <button type="button" onClick={reset} className="ml-2 min-h-8 text-note underline">
              put back
            </button>
          )}
        </span>
      </div>
      {start.inactive ? (
        <p className="text-note text-soft">Left out: {start.inactive}</p>
      ) : (
        <div className="relative h-8 w-85">
          <svg viewBox={`0 0 ${String(WIDTH)} 32`} aria-hidden="true" className="absolute inset-0 size-full">
            <path d={`M${String(INSET)} 16H${String(WIDTH - INSET)}`} stroke="var(--color-edge)" />
            <Steps start={start} />
            <path
              d={`M${String(scale(start.estimate))} 20l-5 9h10z`}
              fill="var(--color-paper)"
              stroke="var(--color-ink)"
              strokeWidth={1.5}
            />
            <circle
              cx={scale(chance)}
              cy={16}
              r={7}
              fill={own ? "var(--color-paper)" : "var(--color-ink)"}
              stroke="var(--color-ink)"
              strokeWidth={own ? 4 : 1}
            />
          </svg>
          <input
            type="range"
            aria-label={`Start of ${start.name}`}
            aria-valuetext={`${inHundred(chance)} in 100${own ? ", set by hand" : ""}`}
            min={logit(0.01)}
            max={logit(0.99)}
            step={STEP}
            value={logit(chance)}
            onChange={(event) => {
              setDragged(chanceAt(Number(event.target.value)));
            }}
            onPointerUp={keep}
            onBlur={keep}
            onKeyUp={(event) => {
              if (
                event.key.startsWith("Arrow") ||
                event.key.startsWith("Page") ||
                event.key === "Home" ||
                event.key === "End"
              ) {
                keep();
              }
            }}
            onKeyDown={(event) => {
              if (event.key === "Delete" || event.key === "Backspace") {
                event.preventDefault();
                reset();
              }
            }}
            className="rail-range absolute inset-0 size-full cursor-grab"
          />
        </div>
      )}
      {(steps.length > 0 || start.weighedLater.length > 0) && (
        <p className="text-note leading-snug text-soft">
          {steps.join(" · ")}
          {steps.length > 0 && start.weighedLater.length > 0 && " · "}
          {start.weighedLater.map((clue) => `${clue}: weighed as evidence`).join(" · ")}
          {reasons.length > 0 && (
            <details className="inline">
              <summary className="ml-1 inline cursor-pointer underline">why</summary>
              <span className="block pb-1">
                {reasons.map((reason) => (
                  <span key={reason} className="block">
                    {reason}.
                  </span>
                ))}
                <span className="block">Working estimates, not reviewed.</span>
              </span>
            </details>
          )}
        </p>
      )}
    </li>
  );
}

/** Each clue's step as an arrow of its own, one after the other. */
function Steps({ start }: { start: Start }) {
  const before = start.moved.map((_, index) =>
    start.moved.slice(0, index).reduce((sum, moved) => sum + moved.logOdds, logit(start.estimate)),
  );
  return start.moved.map((moved, index) => {
    const from = scale(chanceAt(before[index] ?? 0));
    const to = scale(chanceAt((before[index] ?? 0) + moved.logOdds));
    const tip = to >= from ? -4 : 4;
    return (
      <path
        key={`${moved.by} ${String(index)}`}
        d={`M${String(from)} 8H${String(to)}m${String(tip)} -4l${String(-tip)} 4l${String(tip)} 4`}
        fill="none"
        stroke={to >= from ? "var(--color-for)" : "var(--color-against)"}
        strokeWidth={2}
        strokeDasharray={to >= from ? undefined : "3 2"}
      />
    );
  });
}
