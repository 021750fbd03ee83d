import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type UniqueIdentifier,
} from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import type { ReactNode } from "react";

interface SortableProps {
  rows: readonly { id: string; name: string }[];
  /** Puts a row where another one is. */
  onMove: (id: string, toPlaceOf: string) => void;
  children: ReactNode;
}

/** Rows that are dragged by their handle, or taken, moved and put down with the keyboard. Every row is a {@link SortableRow}. */
export function Sortable({ rows, onMove, children }: SortableProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = rows.map((row) => row.id);
  const name = (id: UniqueIdentifier) => rows.find((row) => row.id === id)?.name ?? "";
  const place = (id: UniqueIdentifier) => `place ${String(ids.indexOf(String(id)) + 1)} of ${String(ids.length)}`;
  const end = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) {
      onMove(String(active.id), String(over.id));
    }
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={end}
      accessibility={{
        screenReaderInstructions: {
          draggable:
            "Press Space to take the row, the arrow keys to move it, Space to put it down, Escape to put it back.",
        },
        announcements: {
          onDragStart: ({ active }) => `${name(active.id)} taken, ${place(active.id)}.`,
          onDragOver: ({ active, over }) => (over ? `${name(active.id)} is at ${place(over.id)}.` : undefined),
          onDragEnd: ({ active, over }) =>
            over ? `${name(active.id)} put at ${place(over.id)}.` : `${name(active.id)} put back.`,
          onDragCancel: ({ active }) => `${name(active.id)} put back.`,
        },
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

interface SortableRowProps {
  id: string;
  name: string;
  /** Whether it can be moved; its handle is there only then. */
  movable: boolean;
  className: string;
  handleClassName?: string;
  children: ReactNode;
}

/** A row with its handle before it. */
export function SortableRow({ id, name, movable, className, handleClassName = "", children }: SortableRowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
    disabled: !movable,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`${className} ${isDragging ? "relative z-10 bg-sheet outline-2 outline-ink" : ""}`}
    >
      {movable ? (
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
          className={`no-print flex size-11 cursor-grab touch-none items-center justify-center text-soft hover:bg-tan ${handleClassName}`}
        >
          <svg width={14} height={18} viewBox="0 0 14 18" aria-hidden="true">
            <path d="M1 4h12M1 9h12M1 14h12" stroke="currentColor" strokeWidth={2} />
          </svg>
        </button>
      ) : (
        <span className={handleClassName} />
      )}
      {children}
    </li>
  );
}
