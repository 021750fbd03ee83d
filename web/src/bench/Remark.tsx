import { useId, useState } from "react";
import { Button } from "../shared/ui/Button";

/** The most that is kept of one remark. */
const MOST = 500;

interface RemarkProps {
  value: string;
  /** Told the words once they are kept; undefined where nothing is to change. */
  onDone: (words: string | undefined) => void;
}

/** Words on the test at hand, typed or dictated to the device. */
export function Remark({ value, onDone }: RemarkProps) {
  const id = useId();
  const [typed, setTyped] = useState(value);
  const keep = () => {
    onDone(typed.trim() === value ? undefined : typed.trim());
  };
  return (
    <div className="flex flex-wrap gap-2">
      <label htmlFor={id} className="sr-only">
        Remark
      </label>
      <input
        id={id}
        autoFocus
        value={typed}
        maxLength={MOST}
        placeholder="In your words"
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Enter") {
            keep();
          }
          if (event.key === "Escape") {
            onDone(undefined);
          }
        }}
        className="min-h-12 min-w-40 flex-1 rounded border border-edge bg-sheet px-2 text-read placeholder:text-soft"
      />
      <Button look="primary" onClick={keep}>
        Keep
      </Button>
      <Button
        onClick={() => {
          onDone(undefined);
        }}
      >
        Cancel
      </Button>
    </div>
  );
}
