import { useRef, useState, type PointerEvent } from "react";
import type { Schemas } from "../shared/api/client";
import { StepButton } from "./StepButton";

interface MeasureFieldProps {
  part: Schemas["PartDefinitionJson"];
  value: number | undefined;
  /** Names the side in the label that is read out. */
  side: string;
  /** Label above the value in place of beside it. */
  narrow?: boolean;
  /** Without a visible label or steps, for a table that has them. */
  plain?: boolean;
  /** With steps, without a visible label. */
  bare?: boolean;
  /** A narrow field without its unit, for short numbers. */
  short?: boolean;
  /** Where an empty field starts; the part's own usual value where absent. */
  start?: number | undefined;
  onSet: (value: number) => void;
  onPick?: () => void;
}

/** Pixels of drag for one step. */
const DRAG = 9;

/**
 * A measure: typed, stepped, held for many steps, or dragged across the value. What is out of range is named and stays as it was typed until it
 * is mended.
 */
export function MeasureField({
  part,
  value,
  side,
  narrow = false,
  plain = false,
  bare = false,
  short = false,
  start,
  onSet,
  onPick,
}: MeasureFieldProps) {
  const [typed, setTyped] = useState<string>();
  const drag = useRef<{ x: number; from: number; moved: boolean }>(undefined);
  const least = part.least ?? 0;
  const most = part.most ?? 999;
  const step = part.step ?? 1;
  const number = typed === undefined || typed.trim() === "" ? undefined : Number(typed.replace(",", "."));
  const wrong = number !== undefined && !(number >= least && number <= most);
  const within = (raw: number) => Math.min(most, Math.max(least, raw));
  const keep = () => {
    if (number !== undefined && !wrong) {
      onSet(number);
    }
    if (!wrong) {
      setTyped(undefined);
    }
  };
  const begin = start ?? part.usual ?? undefined;
  const by = (steps: number) => {
    setTyped(undefined);
    onSet(within(value === undefined && begin !== undefined ? begin : (value ?? least) + steps * step));
  };
  const press = (event: PointerEvent<HTMLInputElement>) => {
    drag.current = { x: event.clientX, from: value ?? begin ?? least, moved: false };
  };
  const pull = (event: PointerEvent<HTMLInputElement>) => {
    const held = drag.current;
    if (held && event.buttons > 0 && Math.abs(event.clientX - held.x) >= DRAG) {
      held.moved = true;
      event.currentTarget.setPointerCapture(event.pointerId);
      setTyped(String(within(held.from + Math.round((event.clientX - held.x) / DRAG) * step)));
    }
  };
  const release = () => {
    if (drag.current?.moved) {
      keep();
    }
    drag.current = undefined;
  };
  const name = `${part.label}, ${side}`;
  return (
    <div role="group" aria-label={name} className={narrow || plain ? "" : "flex flex-wrap items-center gap-x-1.5"}>
      {!plain && !bare && (
        <span className={`text-note leading-tight font-semibold text-soft ${narrow ? "block" : "w-32"}`}>
          {part.label}
        </span>
      )}
      <span className="flex items-center gap-1">
        {!plain && (
          <StepButton
            label={`${name}: less`}
            sign="−"
            onStep={() => {
              by(-1);
            }}
            onMore={() => {
              setTyped(String(within((number ?? value ?? begin ?? least) + -1 * step)));
            }}
            onDone={keep}
          />
        )}
        <input
          aria-label={`${name}, in ${part.unit ?? ""}`}
          aria-invalid={wrong}
          inputMode="decimal"
          value={typed ?? (value === undefined ? "" : String(value))}
          placeholder={part.unit ?? ""}
          onFocus={onPick}
          onChange={(event) => {
            setTyped(event.target.value);
          }}
          onBlur={keep}
          onPointerDown={press}
          onPointerMove={pull}
          onPointerUp={release}
          onKeyDown={(event) => {
            if (event.key === "Enter") {
              event.currentTarget.blur(); /* which keeps it, once */
            }
            if (!event.key.startsWith("Page")) {
              event.stopPropagation();
            }
          }}
          className={`min-h-12 touch-pan-y rounded border border-edge bg-white px-1 text-center text-read placeholder:text-soft aria-invalid:border-2 aria-invalid:border-for ${narrow || short ? "w-12" : "w-18"}`}
        />
        {!plain && (
          <StepButton
            label={`${name}: more`}
            sign="+"
            onStep={() => {
              by(1);
            }}
            onMore={() => {
              setTyped(String(within((number ?? value ?? begin ?? least) + 1 * step)));
            }}
            onDone={keep}
          />
        )}
        {!narrow && !plain && !short && <span className="text-note">{part.unit}</span>}
      </span>
      {wrong && (
        <span role="alert" className="block text-note text-for">
          {least} to {most}
          {part.unit}
        </span>
      )}
    </div>
  );
}
