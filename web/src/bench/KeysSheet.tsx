import { Dialog } from "radix-ui";
import { Button } from "../shared/ui/Button";

interface KeysSheetProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  single: boolean;
  onSingle: (on: boolean) => void;
}

const KEYS = [
  ["0", "Nothing, both sides, and on to the next test"],
  ["1 2 3", "Uninvolved side: nothing, pain, weak"],
  ["4 5 6", "Involved side: no pain, familiar pain, other pain"],
  ["7 8 9", "Involved side: strength"],
  ["a s d f g", "Where it hurts"],
  ["j k l", "Painful arc: starts, worst, gone; then the arrow keys"],
  ["z x c v b", "What was seen"],
  ["Page Down, Page Up", "Next test, previous test (a foot pedal sends these)"],
  ["Backspace, Ctrl+Z", "Undo the last entry"],
  ["?", "This sheet"],
];

/**
 * Every key of the bench, and the switch for single keys. It lies over the page without locking it, so that nothing has
 * to be closed before a result can be recorded (and locking would need an inline style, which the page may not run).
 */
export function KeysSheet({ open, onOpenChange, single, onSingle }: KeysSheetProps) {
  return (
    <Dialog.Root modal={false} open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Content aria-describedby={undefined} className="fixed top-1/2 left-1/2 max-h-[92dvh] w-[min(40rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded border-2 border-ink bg-sheet p-6 shadow-[0_10px_40px_rgb(27_36_48/0.35)]">
          <Dialog.Title className="font-serif text-2xl">Keys at the bench</Dialog.Title>
          <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2 text-read">
            {KEYS.map(([key, what]) => (
              <div key={key} className="contents">
                <dt className="font-semibold whitespace-nowrap">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <div className="mt-5 flex flex-wrap justify-between gap-3">
            <Button look="choice" chosen={single} onClick={() => { onSingle(!single); }}>Single keys {single ? "are on" : "are off"}</Button>
            <Dialog.Close asChild>
              <Button look="primary">Close</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
