import { Dialog } from "radix-ui";
import { useState } from "react";
import type { Test } from "../record";
import { HandFigure } from "../shared/drawings/HandFigure";
import { handWords } from "../shared/drawings/handGeometry";
import { PoseFigure } from "../shared/drawings/PoseFigure";
import { poseWords } from "../shared/drawings/poseGeometry";
import { Button } from "../shared/ui/Button";

interface CardFigureProps {
  test: Test;
  /** Height and width beside the card; absent for a phone, which has a button in its place. */
  size?: string;
}

/** How a test looks, beside its card; a tap enlarges it. On a phone it comes when it is asked for. */
export function CardFigure({ test, size }: CardFigureProps) {
  const [large, setLarge] = useState(false);
  if (!test.pose && !test.hand) {
    return null;
  }
  const enlarge = () => {
    setLarge(true);
  };
  return (
    <>
      {size === undefined ? (
        <Button className="sm:hidden" onClick={enlarge}>
          Figure
        </Button>
      ) : (
        <button
          type="button"
          title="Enlarge"
          onClick={enlarge}
          className="hidden shrink-0 self-start bg-sheet sm:block"
        >
          <Drawn test={test} className={size} />
        </button>
      )}
      <Dialog.Root modal={false} open={large} onOpenChange={setLarge}>
        <Dialog.Portal>
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-1/2 left-1/2 z-30 flex max-h-[94dvh] w-[min(44rem,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 overflow-auto border-2 border-ink bg-sheet p-5"
          >
            <div className="flex items-start justify-between gap-4">
              <Dialog.Title className="font-serif text-2xl font-semibold">{test.name}</Dialog.Title>
              <Dialog.Close asChild>
                <Button>Close</Button>
              </Dialog.Close>
            </div>
            <Drawn test={test} className="mx-auto h-[60dvh] w-full" />
            <p className="text-read">{test.pose ? poseWords(test.pose) : test.hand && handWords(test.hand)}</p>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function Drawn({ test, className }: { test: Test; className: string }) {
  return test.pose ? (
    <PoseFigure pose={test.pose} className={className} />
  ) : test.hand ? (
    <HandFigure pose={test.hand} className={className} />
  ) : null;
}
