import { useState } from "react";
import { choices, type InForce, latestAttempt, otherSide, type Part, type Side, type Test } from "../../record";
import { LockGlyph } from "../../intake";
import type { Schemas } from "../../shared/api/client";
import { progressWords } from "../../shared/drawings/ProgressGlyph";
import { capital, sideWord } from "../../shared/format";
import { Button } from "../../shared/ui/Button";
import type { SheetPanelProps } from "../SheetPanel";
import { askedOnSheet, exceptions, normalOf, withException } from "../sheet";
import { Dot, DotGlyph } from "./Dot";
import { dotOf, type DotLook } from "./dotOf";
import { OUTLINES } from "./outlines";
import { onRing, ringSpots, zonesOf, type Zone } from "./ring";

interface LandmarkWalkProps extends SheetPanelProps {
  /** What is said of a test once it is recorded. */
  statements: (id: string) => Schemas["StatementJson"][];
  /** "Nothing" on both sides for those of them that are still open. */
  onQuiet: (tests: Test[]) => void;
}

const RING = { size: 292, radius: 122 };
const DRAWN: Record<string, number> = { BACK: 150, PALM: 150, ELBOW_OUTER: 250, ELBOW_INNER: 250, SHOULDER: 330 };

/** Landmarks on drawings: a touch picks one, a second says what was felt; a quiet zone is one touch. */
export function LandmarkWalk({
  tests,
  state,
  well,
  progress,
  locked,
  statements,
  onOpen,
  onRecord,
  onQuiet,
}: LandmarkWalkProps) {
  const involved = otherSide(well);
  const zones = zonesOf(tests);
  const isOpen = (test: Test) => !latestAttempt(state, test.id, involved) && !locked(test.id);
  const [picked, setPicked] = useState<string>();
  const test = tests.find((each) => each.id === picked) ?? tests.find(isOpen) ?? tests[0];
  const views = [...new Set(tests.flatMap((each) => each.place?.view ?? []))];
  const ring = views.includes("PALM") && views.includes("BACK");
  const look = (of: Test): DotLook => (locked(of.id) ? "closed" : dotOf(of, latestAttempt(state, of.id, involved)));
  const dot = (of: Test, small: boolean) => (
    <Dot
      key={of.id}
      look={look(of)}
      small={small}
      picked={of === test}
      name={`${named(of)}, ${locked(of.id) ? "closed" : progressWords(progress(of.id))}`}
      onPick={() => {
        setPicked(of.id);
      }}
    />
  );
  const quiet = (zone: Zone) => {
    onQuiet(zone.tests.filter(isOpen));
  };
  return (
    <section aria-label="Landmarks" className="flex flex-col gap-1.5">
      <div className="grid grid-cols-2 gap-1.5 sm:grid-cols-4">
        {zones.map((zone) => {
          const left = zone.tests.filter(isOpen).length;
          return (
            <Button
              key={zone.name}
              look={left === 0 ? "quiet" : "choice"}
              className="justify-center leading-tight"
              disabled={left === 0}
              aria-label={
                left === 0
                  ? `${zone.name}, done`
                  : `${zone.name}: ${left === zone.tests.length ? "all quiet" : "the rest quiet"}`
              }
              onClick={() => {
                quiet(zone);
              }}
            >
              <span className="text-center">
                <span className="block font-semibold">{zone.name}</span>
                <span className="block text-note text-soft">
                  {left === 0 ? "done" : left === zone.tests.length ? "all quiet" : `the other ${String(left)} quiet`}
                </span>
              </span>
            </Button>
          );
        })}
      </div>
      <div className="flex flex-wrap items-start gap-x-3 gap-y-2 border-2 border-ink bg-sheet px-2 py-2">
        {ring && (
          <div
            className="relative mx-auto shrink-0"
            style={{ width: RING.size, height: RING.size }}
            role="group"
            aria-label="Round the wrist, seen from the fingertips, palm down"
          >
            <Section side={involved} />
            {ringSpots(tests, involved).map((spot) => {
              const { x, y } = onRing(spot.angle, RING.radius);
              return (
                <span
                  key={spot.test.id}
                  className="absolute -translate-x-1/2 -translate-y-1/2"
                  style={{ left: RING.size / 2 + x, top: RING.size / 2 + y }}
                >
                  {dot(spot.test, false)}
                </span>
              );
            })}
          </div>
        )}
        <div className="flex min-w-0 flex-1 basis-76 flex-col gap-1.5">
          {test && (
            <Felt
              test={test}
              state={state}
              involved={involved}
              well={well}
              locked={locked(test.id)}
              statements={statements(test.id)}
              onOpen={onOpen}
              onRecord={onRecord}
              onQuiet={() => {
                onQuiet([test]);
              }}
            />
          )}
          <div className="flex flex-wrap justify-center gap-3 sm:order-first">
            {views.map((view) => {
              const outline = OUTLINES[view];
              const width = DRAWN[view] ?? 180;
              return (
                <figure
                  key={view}
                  className="relative"
                  style={{ width, height: (width * outline.height) / 100 }}
                  role="group"
                  aria-label={`${outline.title}, ${involved.toLowerCase()}`}
                >
                  <svg viewBox={`0 0 100 ${String(outline.height)}`} width={width} aria-hidden="true">
                    <g transform={involved === "LEFT" ? "translate(100 0) scale(-1 1)" : undefined}>
                      {outline.drawing}
                    </g>
                  </svg>
                  <figcaption className="absolute bottom-0 left-0 text-note text-soft">{outline.title}</figcaption>
                  {tests
                    .filter((each) => each.place?.view === view)
                    .map((each) => (
                      <span
                        key={each.id}
                        className="absolute -translate-x-1/2 -translate-y-1/2"
                        style={{
                          left: `${String(involved === "LEFT" ? 100 - (each.place?.x ?? 0) : (each.place?.x ?? 0))}%`,
                          top: `${String(each.place?.y ?? 0)}%`,
                        }}
                      >
                        {dot(each, ring)}
                      </span>
                    ))}
                </figure>
              );
            })}
          </div>
        </div>
        <div
          className={`grid w-full gap-x-2 border-t border-line pt-1 ${zones.length > 2 ? "grid-cols-2 sm:grid-cols-4" : "grid-cols-2"}`}
        >
          {zones.map((zone) => (
            <ul key={zone.name} aria-label={zone.name}>
              {zone.tests.map((each) => (
                <li key={each.id}>
                  <button
                    type="button"
                    aria-pressed={each === test}
                    onClick={() => {
                      setPicked(each.id);
                    }}
                    className={`flex min-h-7 w-full items-center gap-1 text-left text-note leading-tight hover:bg-tan ${each === test ? "font-semibold" : ""}`}
                  >
                    <DotGlyph look={look(each)} small picked={false} />
                    {named(each)}
                  </button>
                </li>
              ))}
            </ul>
          ))}
        </div>
      </div>
    </section>
  );
}

function named(test: Test): string {
  return test.shortName.replace(/ tenderness$/, "");
}

/** A wrist cut across, seen from the fingertips: radius on the thumb side, ulna on the other. */
function Section({ side }: { side: Side }) {
  const centre = RING.size / 2;
  return (
    <svg width={RING.size} height={RING.size} aria-hidden="true" className="absolute inset-0">
      <circle cx={centre} cy={centre} r={RING.radius} fill="none" stroke="var(--color-line)" strokeWidth={1.5} />
      <g transform={`translate(${String(centre)} ${String(centre)}) scale(${side === "LEFT" ? "-1" : "1"} 1)`}>
        <ellipse rx={70} ry={56} fill="var(--color-paper)" stroke="var(--color-ink)" strokeWidth={1.6} />
        <path
          d="M4 -30C26 -34 50 -24 56 -4C60 12 44 24 22 22C6 20 -4 8 -3 -8C-2 -20 0 -28 4 -30Z"
          fill="var(--color-tan)"
          stroke="var(--color-edge)"
        />
        <circle cx={-40} cy={-8} r={18} fill="var(--color-tan)" stroke="var(--color-edge)" />
        <path d="M-40 26C-24 40 16 42 38 28" fill="none" stroke="var(--color-edge)" strokeDasharray="3 3" />
      </g>
      <text x={centre} y={centre - 68} textAnchor="middle" fontSize={14} fill="var(--color-soft)">
        back
      </text>
      <text x={centre} y={centre + 78} textAnchor="middle" fontSize={14} fill="var(--color-soft)">
        palm
      </text>
      <text
        x={centre + (side === "RIGHT" ? 91 : -91)}
        y={centre + 5}
        textAnchor="middle"
        fontSize={13}
        fill="var(--color-soft)"
      >
        thumb
      </text>
    </svg>
  );
}

interface FeltProps {
  test: Test;
  state: InForce;
  involved: Side;
  well: Side;
  locked: boolean;
  statements: Schemas["StatementJson"][];
  onOpen: (id: string) => void;
  onRecord: (test: Test, side: Side, parts: Part[]) => void;
  onQuiet: () => void;
}

/** What was felt at one landmark. What it points to is said once it is recorded. */
function Felt({ test, state, involved, well, locked, statements, onOpen, onRecord, onQuiet }: FeltProps) {
  const here = latestAttempt(state, test.id, involved);
  const there = latestAttempt(state, test.id, well);
  const parts = askedOnSheet(test);
  const first = parts.find((part) => test.wellSideParts.includes(part.key));
  const last = first && exceptions(test, first).at(-1);
  return (
    <div role="group" aria-label={test.shortName} className="flex min-h-30 flex-col gap-1">
      <button
        type="button"
        onClick={() => {
          onOpen(test.id);
        }}
        className="self-start text-left font-serif text-lg leading-tight font-semibold hover:underline"
        title="Open its card"
      >
        {locked && <LockGlyph />}
        {test.shortName}
      </button>
      <div className={`flex flex-wrap gap-1.5 ${locked ? "opacity-45" : ""}`} inert={locked}>
        {!here && (
          <Button look="choice" aria-label={`${test.shortName}: quiet`} onClick={onQuiet}>
            Quiet
          </Button>
        )}
        {parts.flatMap((part) =>
          exceptions(test, part).map((option) => (
            <Button
              key={`${part.key} ${option.value}`}
              look="choice"
              chosen={choices(here, part.key).includes(option.value)}
              aria-label={`${test.shortName}, ${sideWord(involved)}: ${option.label}`}
              onClick={() => {
                onRecord(test, involved, withException(test, here, "involved", part.key, option.value));
              }}
            >
              {option.label}
            </Button>
          )),
        )}
        {first && last && here && (
          <Button
            look="choice"
            className="ml-auto text-note"
            chosen={choices(there, first.key).some((value) => value !== normalOf(test, first.key))}
            aria-label={`${test.shortName}, ${sideWord(well)} side too`}
            onClick={() => {
              onRecord(test, well, withException(test, there, "well", first.key, last.value));
            }}
          >
            {capital(sideWord(well))} too
          </Button>
        )}
      </div>
      <p className="text-read leading-snug" aria-live="polite">
        {!here ? (
          <span className="text-soft">{test.card.you}.</span>
        ) : statements.length === 0 ? (
          <span className="text-soft">Noted.</span>
        ) : (
          statements.map((statement) => (
            <span key={statement.lead + statement.phrase} className="block">
              <strong>{statement.lead}</strong>: {statement.phrase}.
            </span>
          ))
        )}
      </p>
    </div>
  );
}
