import { choices, type InForce, latestAttempt, otherSide, type Part, type Side, type Test } from "../record";
import { capital, sideWord } from "../shared/format";
import { ProgressGlyph, type Progress } from "../shared/drawings/ProgressGlyph";
import { LockGlyph } from "../intake";
import { Button } from "../shared/ui/Button";
import { askedOnSheet, exceptions, normalOf, withException } from "./sheet";

/** Several tests recorded together. */
export interface SheetPanelProps {
  tests: Test[];
  state: InForce;
  well: Side;
  progress: (id: string) => Progress;
  locked: (id: string) => boolean;
  /** Opens the card of one of them. */
  onOpen: (id: string) => void;
  onRecord: (test: Test, side: Side, parts: Part[]) => void;
}

/** Several tests on one sheet: only what is out of the ordinary is tapped, on either side; the rest is one tap below. */
export function SheetPanel({ tests, state, well, progress, locked, onOpen, onRecord }: SheetPanelProps) {
  const involved = otherSide(well);
  return (
    <section aria-label="Sheet" className="border-2 border-ink bg-sheet px-2.5 py-1">
      <div aria-hidden="true" className="hidden grid-cols-[minmax(0,11rem)_1fr] gap-x-2 text-note text-soft sm:grid">
        <span />
        <span className="font-semibold text-ink">{capital(sideWord(involved))}, involved</span>
      </div>
      {tests.map((test) => {
        const rows = askedOnSheet(test);
        return (
          <div
            key={test.id}
            role="group"
            aria-label={test.shortName}
            className="grid grid-cols-1 items-center gap-x-2 border-b border-line py-0.5 last:border-b-0 sm:grid-cols-[minmax(0,11rem)_1fr]"
          >
            <button
              type="button"
              onClick={() => {
                onOpen(test.id);
              }}
              className="flex min-h-12 items-center gap-1.5 text-left text-read leading-tight hover:underline"
              title="Open its card"
            >
              {locked(test.id) ? <LockGlyph /> : <ProgressGlyph progress={progress(test.id)} />}
              {test.shortName.replace(/ tenderness$/, "")}
            </button>
            <div className={`flex flex-col gap-0.5 ${locked(test.id) ? "opacity-45" : ""}`} inert={locked(test.id)}>
              {rows.map((part) => {
                const here = latestAttempt(state, test.id, involved);
                const there = latestAttempt(state, test.id, well);
                const normal = normalOf(test, part.key);
                const answers = exceptions(test, part);
                const set = (side: Side, value: string) => {
                  onRecord(
                    test,
                    side,
                    withException(
                      test,
                      side === involved ? here : there,
                      side === involved ? "involved" : "well",
                      part.key,
                      value,
                    ),
                  );
                };
                return (
                  <div
                    key={part.key}
                    role="group"
                    aria-label={`${test.shortName}: ${part.label}`}
                    className="flex flex-wrap items-center gap-1"
                  >
                    {rows.length > 1 && (
                      <span aria-hidden="true" className="w-20 text-note font-semibold text-soft">
                        {part.label}
                      </span>
                    )}
                    {answers.map((option) => (
                      <Button
                        key={option.value}
                        look="choice"
                        chosen={choices(here, part.key).includes(option.value)}
                        aria-label={`${test.shortName}, ${sideWord(involved)}: ${option.label}`}
                        onClick={() => {
                          set(involved, option.value);
                        }}
                      >
                        {option.label}
                      </Button>
                    ))}
                    {test.wellSideParts.includes(part.key) && answers[0] && (
                      <Button
                        look="choice"
                        chosen={choices(there, part.key).some((value) => value !== normal)}
                        className="ml-auto text-note"
                        aria-label={`${test.shortName}, ${sideWord(well)} side too`}
                        onClick={() => {
                          const other = answers.at(-1);
                          if (other) {
                            set(well, other.value);
                          }
                        }}
                      >
                        {capital(sideWord(well))} too
                      </Button>
                    )}
                  </div>
                );
              })}
            </div>
          </div>
        );
      })}
    </section>
  );
}
