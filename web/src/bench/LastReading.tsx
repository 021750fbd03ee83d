import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";

interface LastReadingProps {
  weighing: Schemas["WeighingJson"] | undefined;
  testName: (id: string) => string;
  current: string;
  canUndo: boolean;
  onUndo: () => void;
  canRedo: boolean;
  onRedo: () => void;
  onKeys: () => void;
}

/** The head of the card: what the test before came to, and the way back. */
export function LastReading({ weighing, testName, current, canUndo, onUndo, canRedo, onRedo, onKeys }: LastReadingProps) {
  const last = weighing?.lastTest && weighing.lastTest !== current ? weighing.tests.find((test) => test.testId === weighing.lastTest) : undefined;
  const first = last?.statements[0];
  return (
    <div className="flex min-h-12 items-center gap-2">
      <p className="line-clamp-2 min-w-0 flex-1 text-note leading-tight">
        {last && <><strong>{testName(last.testId)}.</strong> {first ? `${first.lead}: ${first.phrase}.` : "Not yet read."}</>}
      </p>
      <Button onClick={onUndo} disabled={!canUndo} keycap="⌫">Undo</Button>
      {canRedo && <Button onClick={onRedo}>Redo</Button>}
      <span className="hidden md:block"><Button onClick={onKeys} keycap="?">Keys</Button></span>
    </div>
  );
}
