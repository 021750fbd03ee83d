import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";

interface HeadButtonsProps {
  canUndo: boolean;
  onUndo: () => void;
  canRedo: boolean;
  onRedo: () => void;
  onKeys: () => void;
}

/** The way back, at the head of every card. */
export function HeadButtons({ canUndo, onUndo, canRedo, onRedo, onKeys }: HeadButtonsProps) {
  return (
    <div className="flex shrink-0 items-center gap-2">
      <Button onClick={onUndo} disabled={!canUndo} keycap="⌫">
        Undo
      </Button>
      {canRedo && <Button onClick={onRedo}>Redo</Button>}
      <span className="hidden md:block">
        <Button onClick={onKeys} keycap="?">
          Keys
        </Button>
      </span>
    </div>
  );
}

interface LastReadingProps {
  weighing: Schemas["WeighingJson"] | undefined;
  testName: (id: string) => string;
  current: string;
}

/** What the test before came to; nothing where one is still at it. */
export function LastReading({ weighing, testName, current }: LastReadingProps) {
  const last =
    weighing?.lastTest && weighing.lastTest !== current
      ? weighing.tests.find((test) => test.testId === weighing.lastTest)
      : undefined;
  const first = last?.statements[0];
  return last ? (
    <p className="line-clamp-2 text-note leading-tight">
      <strong>{testName(last.testId)}.</strong>{" "}
      {last.progress === "LEFT_OUT"
        ? "Left out."
        : first
          ? `${first.lead}: ${first.phrase}.`
          : last.progress === "READ"
            ? "Noted."
            : "Not yet read."}
    </p>
  ) : null;
}
