import { Dialog } from "radix-ui";
import { Button } from "../shared/ui/Button";
import type { BenchKey } from "./benchKeys";

interface KeysSheetProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** The keys as they act on the card at hand. */
  keys: BenchKey[];
  single: boolean;
  onSingle: (on: boolean) => void;
}

const ALWAYS: [string, string][] = [
  ["j k l", "Painful arc: starts, worst, gone; then the arrow keys"],
  ["Tab, Enter", "Any button or field without a key of its own"],
  ["Drag", "Across a number: more or less"],
];

/**
 * Every key of the bench, and the switch for single keys. It lies over the page without locking it, so that nothing has
 * to be closed before a result can be recorded (and locking would need an inline style, which the page may not run).
 */
export function KeysSheet({ open, onOpenChange, keys, single, onSingle }: KeysSheetProps) {
  return (
    <Dialog.Root modal={false} open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 max-h-[92dvh] w-[min(52rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded border-2 border-ink bg-sheet p-5 shadow-[0_10px_40px_rgb(27_36_48/0.35)]"
        >
          <Dialog.Title className="font-serif text-2xl">Keys at the bench</Dialog.Title>
          <dl className="mt-3 gap-x-8 text-read sm:columns-2">
            {[
              ...keys
                .filter((each) => each.what !== "")
                .map((each): [string, string] => [each.name ?? each.key, each.what]),
              ...ALWAYS,
            ].map(([key, what]) => (
              <div key={key} className="flex break-inside-avoid gap-3 py-0.5">
                <dt className="w-28 shrink-0 font-semibold">{key}</dt>
                <dd className="leading-snug">{what}</dd>
              </div>
            ))}
          </dl>
          <div className="mt-4 flex flex-wrap justify-between gap-3">
            <Button
              look="choice"
              chosen={single}
              onClick={() => {
                onSingle(!single);
              }}
            >
              Single keys {single ? "are on" : "are off"}
            </Button>
            <Dialog.Close asChild>
              <Button look="primary">Close</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
