import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";

interface MeasureFieldProps {
  part: Schemas["PartDefinitionJson"];
  value: number | undefined;
  /** Names the side in the label that is read out. */
  side: string;
  /** Label above the value in place of beside it. */
  narrow?: boolean;
  onSet: (value: number) => void;
}

/** A measure, typed or stepped. What is out of range is named and stays as it was typed until it is mended. */
export function MeasureField({ part, value, side, narrow = false, onSet }: MeasureFieldProps) {
  const [typed, setTyped] = useState<string>();
  const least = part.least ?? 0;
  const most = part.most ?? 999;
  const step = part.step ?? 1;
  const number = typed === undefined || typed.trim() === "" ? undefined : Number(typed.replace(",", "."));
  const wrong = number !== undefined && !(number >= least && number <= most);
  const keep = () => {
    if (number !== undefined && !wrong) {
      onSet(number);
    }
    if (!wrong) {
      setTyped(undefined);
    }
  };
  const by = (steps: number) => {
    setTyped(undefined);
    onSet(Math.min(most, Math.max(least, (value ?? least) + steps * step)));
  };
  const name = `${part.label}, ${side}`;
  return (
    <div role="group" aria-label={name} className={narrow ? "" : "flex items-center gap-1.5"}>
      <span className={`text-note leading-tight font-semibold text-soft ${narrow ? "block" : "w-36"}`}>{part.label}</span>
      <span className="flex items-center gap-1">
        <Button aria-label={`${name}: less`} className="justify-center" onClick={() => { by(-1); }}>−</Button>
        <input aria-label={`${name}, in ${part.unit ?? ""}`} aria-invalid={wrong} inputMode="decimal" value={typed ?? (value === undefined ? "" : String(value))} placeholder={part.unit ?? ""}
          onChange={(event) => { setTyped(event.target.value); }} onBlur={keep} onKeyDown={(event) => { if (event.key === "Enter") { keep(); } event.stopPropagation(); }}
          className={`min-h-12 rounded border border-edge bg-white px-1 text-center text-read aria-invalid:border-2 aria-invalid:border-for ${narrow ? "w-12" : "w-18"}`} />
        <Button aria-label={`${name}: more`} className="justify-center" onClick={() => { by(1); }}>+</Button>
        {!narrow && <span className="text-note">{part.unit}</span>}
      </span>
      {wrong && <span role="alert" className="block text-note text-for">{least} to {most}{part.unit}</span>}
    </div>
  );
}
