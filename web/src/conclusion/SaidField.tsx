import { useEffect, useId, useRef, useState } from "react";

interface SaidFieldProps {
  label: string;
  hint?: string;
  value: string;
  /** Told once the typing pauses, and when the field is left. */
  onSay: (words: string) => void;
  rows?: number;
}

/** The most that is kept of one answer in words. */
const MOST = 1000;
/** A pause after which what was typed is told. */
const PAUSE_MS = 700;

/** Words of one's own, kept as they are typed. */
export function SaidField({ label, hint, value, onSay, rows = 1 }: SaidFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const unsaid = useRef<() => void>(undefined);
  const shown = typed ?? value;
  const say = (words: string) => {
    clearTimeout(timer.current);
    unsaid.current = undefined;
    setTyped(undefined);
    if (words.trim() !== value) {
      onSay(words.trim());
    }
  };
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      unsaid.current?.();
    },
    [],
  );
  return (
    <div>
      <label htmlFor={id} className="block text-read font-semibold">
        {label}
      </label>
      {hint && <p className="text-note text-soft">{hint}</p>}
      <textarea
        id={id}
        rows={rows}
        maxLength={MOST}
        value={shown}
        onBlur={() => {
          if (typed !== undefined) {
            say(typed);
          }
        }}
        onChange={(event) => {
          const words = event.target.value;
          setTyped(words);
          clearTimeout(timer.current);
          unsaid.current = () => {
            onSay(words.trim());
          };
          timer.current = setTimeout(() => {
            unsaid.current = undefined;
            onSay(words.trim());
          }, PAUSE_MS);
        }}
        className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-3 py-2 text-read"
      />
      {shown.length > MOST - 100 && <p className="text-note">{MOST - shown.length} characters left.</p>}
    </div>
  );
}
