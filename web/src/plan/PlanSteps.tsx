import type { Schemas } from "../shared/api/client";
import { sentence } from "../shared/format";
import { Sortable, SortableRow } from "../shared/ui/Sortable";
import { TwoWay } from "./TwoWay";
import { byPosition, minuteWords, secondWords, whyWords } from "./words";

type Step = Schemas["PlanStepJson"];

interface PlanStepsProps {
  steps: readonly Step[];
  /** Tests that were put in or moved by hand. */
  byHand: readonly string[];
  /** Puts a test where another one is; absent where nothing can be changed. */
  onMove?: ((testId: string, toPlaceOf: string) => void) | undefined;
  onLeaveOut: (testId: string) => void;
  /** Its name as it is called here, and what else it is called. */
  called: (testId: string) => { name: string; also: string } | undefined;
}

/** The tests of a plan by the patient's position, each with its time, why it is in and what both answers would do. */
export function PlanSteps({ steps, byHand, onMove, onLeaveOut, called }: PlanStepsProps) {
  return (
    <Sortable rows={steps.map((step) => ({ id: step.testId, name: step.name }))} onMove={onMove ?? (() => undefined)}>
      <div className="mt-3 flex flex-col gap-4">
        {byPosition(steps).map((group, index) => (
          <section key={`${group.position} ${String(index)}`}>
            <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-read font-semibold">
              <span>
                {index > 0 && "Then: "}
                {group.position}
              </span>
              <span className="text-note font-normal text-soft">
                {minuteWords(group.steps.reduce((sum, step) => sum + step.minutes, 0))}
              </span>
            </h2>
            <ol>
              {group.steps.map((step) => (
                <Row
                  key={step.testId}
                  step={step}
                  byHand={byHand.includes(step.testId)}
                  movable={onMove !== undefined}
                  onLeaveOut={onLeaveOut}
                  called={called(step.testId)}
                />
              ))}
            </ol>
          </section>
        ))}
      </div>
    </Sortable>
  );
}

function Row({
  step,
  byHand,
  movable,
  onLeaveOut,
  called,
}: {
  step: Step;
  byHand: boolean;
  movable: boolean;
  onLeaveOut: (testId: string) => void;
  called: { name: string; also: string } | undefined;
}) {
  const change = step.changes.find((each) => each.name === step.about) ?? step.changes[0];
  return (
    <SortableRow
      id={step.testId}
      name={step.name}
      movable={movable}
      handleClassName="row-span-2 sm:row-span-1"
      className="grid min-h-12 grid-cols-[2.75rem_minmax(0,1fr)_auto] items-center border-b border-line text-read sm:grid-cols-[2.75rem_13rem_minmax(0,1fr)_auto]"
    >
      <span className="leading-tight font-semibold">
        {called?.name ?? step.name}
        <span className="block text-note font-normal text-soft">
          {called?.also && `${called.also} · `}
          {secondWords(step)}
          {step.equipment.length > 0 && ` · ${step.equipment.join(", ")}`}
        </span>
      </span>
      <span className="col-start-2 flex min-w-0 flex-wrap items-center gap-x-3 py-0.5 text-note leading-snug sm:col-start-auto">
        {change && <TwoWay change={change} />}
        <span className="min-w-0 flex-1 basis-40">
          {byHand && <strong>yours; </strong>}
          {whyWords(step)}
          {step.movements.length > 0 && (
            <span className="block text-soft">Only {step.movements.map(sentence).join(" · ")}</span>
          )}
        </span>
      </span>
      {movable && (
        <button
          type="button"
          aria-label={`Leave out ${step.name}`}
          onClick={() => {
            onLeaveOut(step.testId);
          }}
          className="no-print col-start-3 row-start-1 size-11 text-read text-soft hover:bg-tan sm:col-start-auto sm:row-start-auto"
        >
          ✕
        </button>
      )}
    </SortableRow>
  );
}
