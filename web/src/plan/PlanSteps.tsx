import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import type { Schemas } from "../shared/api/client";
import { TwoWay } from "./TwoWay";
import { byPosition, minuteWords, secondWords, whyWords } from "./words";

type Step = Schemas["PlanStepJson"];

interface PlanStepsProps {
  steps: readonly Step[];
  /** Absent where nothing can be changed. */
  onMove?: ((testId: string, toPlaceOf: string) => void) | undefined;
  onLeaveOut: (testId: string) => void;
}

/** The tests of a plan by the patient's position, each with its time, why it is in and what both answers would do. Rows are dragged by their handle, or moved with the keyboard. */
export function PlanSteps({ steps, onMove, onLeaveOut }: PlanStepsProps) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }), useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }));
  const ids = steps.map((step) => step.testId);
  const name = (id: string | number) => steps.find((step) => step.testId === id)?.name ?? "";
  const place = (id: string | number) => `place ${String(ids.indexOf(String(id)) + 1)} of ${String(ids.length)}`;
  const end = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) {
      onMove?.(String(active.id), String(over.id));
    }
  };
  const announcements = {
    onDragStart: ({ active }: { active: { id: string | number } }) => `${name(active.id)} taken, ${place(active.id)}.`,
    onDragOver: ({ active, over }: { active: { id: string | number }; over: { id: string | number } | null }) => (over ? `${name(active.id)} is at ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }: { active: { id: string | number }; over: { id: string | number } | null }) => (over ? `${name(active.id)} put at ${place(over.id)}.` : `${name(active.id)} put back.`),
    onDragCancel: ({ active }: { active: { id: string | number } }) => `${name(active.id)} put back.`,
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}
      accessibility={{ announcements, screenReaderInstructions: { draggable: "Press Space to take the row, the arrow keys to move it, Space to put it down, Escape to put it back." } }}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <div className="mt-3 flex flex-col gap-4">
          {byPosition(steps).map((group, index) => (
            <section key={`${group.position} ${String(index)}`}>
              <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-read font-semibold"><span>{index > 0 && "Then: "}{group.position}</span><span className="text-note font-normal text-soft">{minuteWords(group.steps.reduce((sum, step) => sum + step.minutes, 0))}</span></h2>
              <ol>{group.steps.map((step) => <Row key={step.testId} step={step} movable={onMove !== undefined} onLeaveOut={onLeaveOut} />)}</ol>
            </section>
          ))}
        </div>
      </SortableContext>
    </DndContext>
  );
}

function Row({ step, movable, onLeaveOut }: { step: Step; movable: boolean; onLeaveOut: (testId: string) => void }) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id: step.testId, disabled: !movable });
  const [change] = step.changes;
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`grid min-h-12 grid-cols-[2.75rem_minmax(0,1fr)_auto] items-center border-b border-line text-read sm:grid-cols-[2.75rem_13rem_minmax(0,1fr)_auto] ${isDragging ? "relative z-10 border-2 border-ink bg-sheet" : ""}`}>
      {movable ? (
        <button type="button" ref={setActivatorNodeRef} {...attributes} {...listeners} aria-label={`Move ${step.name}`} className="no-print row-span-2 flex size-11 cursor-grab touch-none items-center justify-center text-soft hover:bg-tan sm:row-span-1">
          <svg width={14} height={18} viewBox="0 0 14 18" aria-hidden="true"><path d="M1 4h12M1 9h12M1 14h12" stroke="currentColor" strokeWidth={2} /></svg>
        </button>
      ) : <span />}
      <span className="leading-tight font-semibold">{step.name}<span className="block text-note font-normal whitespace-nowrap text-soft">{secondWords(step)}{step.equipment.length > 0 && ` · ${step.equipment.join(", ")}`}</span></span>
      <span className="col-start-2 flex min-w-0 flex-wrap items-center gap-x-3 py-0.5 text-note leading-snug sm:col-start-auto">
        {change && <TwoWay change={change} />}<span className="min-w-0 flex-1 basis-40">{whyWords(step)}</span>
      </span>
      {movable && <button type="button" aria-label={`Leave out ${step.name}`} onClick={() => { onLeaveOut(step.testId); }} className="no-print col-start-3 row-start-1 size-11 text-read text-soft hover:bg-tan sm:col-start-auto sm:row-start-auto">✕</button>}
    </li>
  );
}
