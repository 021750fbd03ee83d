import { useEffect, useRef } from "react";
import { Button } from "../shared/ui/Button";

interface StepButtonProps {
  label: string;
  sign: string;
  /** One step, kept at once. */
  onStep: () => void;
  /** One step of many while the button is held, shown and not kept yet. */
  onMore: () => void;
  /** The button was let go after many steps. */
  onDone: () => void;
}

/** Milliseconds until a held button begins to repeat, and between its steps. */
const HELD = 450;
const EVERY = 80;

/** A button that takes one step; held, it goes on stepping until it is let go, which is one entry. */
export function StepButton({ label, sign, onStep, onMore, onDone }: StepButtonProps) {
  const timer = useRef<number>(undefined);
  const repeated = useRef(false);
  const more = useRef(onMore);
  useEffect(() => {
    more.current = onMore;
  });
  const stop = () => {
    window.clearInterval(timer.current);
    if (repeated.current && timer.current !== undefined) {
      onDone();
    }
    timer.current = undefined;
  };
  const hold = () => {
    repeated.current = false;
    timer.current = window.setTimeout(() => {
      repeated.current = true;
      timer.current = window.setInterval(() => {
        more.current();
      }, EVERY);
    }, HELD);
  };
  useEffect(
    () => () => {
      window.clearInterval(timer.current);
    },
    [],
  );
  return (
    <Button
      aria-label={label}
      className="touch-none justify-center select-none"
      onPointerDown={hold}
      onPointerUp={stop}
      onPointerLeave={stop}
      onPointerCancel={stop}
      onContextMenu={(event) => {
        event.preventDefault();
      }}
      onClick={() => {
        if (!repeated.current) {
          onStep();
        }
        repeated.current = false;
      }}
    >
      {sign}
    </Button>
  );
}
