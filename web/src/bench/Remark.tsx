import { useId, useState } from "react";
import { Button } from "../shared/ui/Button";

/** The most that is kept of one remark. */
const MOST = 500;

interface RemarkProps {
  value: string;
  onSay: (words: string) => void;
}

/** Words on the test at hand, typed or dictated to the device: one tap opens the field, leaving it keeps them. */
export function Remark({ value, onSay }: RemarkProps) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const keep = () => {
    const words = (typed ?? "").trim();
    setTyped(undefined);
    if (words !== value) {
      onSay(words);
    }
  };
  if (typed === undefined) {
    return <Button className="px-1.5" onClick={() => { setTyped(value); }}>{value === "" ? "Remark" : `“${value.length > 24 ? `${value.slice(0, 24)}…` : value}”`}</Button>;
  }
  return (
    <span className="flex min-w-60 flex-1 items-center gap-1">
      <label htmlFor={id} className="sr-only">Remark</label>
      <input id={id} autoFocus value={typed} maxLength={MOST} placeholder="in your words" onChange={(event) => { setTyped(event.target.value); }} onBlur={keep}
        onKeyDown={(event) => { event.stopPropagation(); if (event.key === "Enter") { event.currentTarget.blur(); } if (event.key === "Escape") { setTyped(undefined); } }}
        className="min-h-12 w-full rounded border border-edge bg-sheet px-2 text-read placeholder:text-soft" />
    </span>
  );
}
