import type { ReactNode } from "react";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";

interface ChoiceRowProps {
  label: string;
  /** Shown in place of the label, where the answers speak for themselves. */
  heading?: ReactNode;
  /** Without a visible label: the answers stand in a row that has one. */
  bare?: boolean;
  options: Schemas["OptionJson"][];
  chosen: string[];
  keycaps: string[];
  onChoose: (value: string) => void;
}

/** A part with a list of answers: its name, then one button an answer. */
export function ChoiceRow({ label, heading, bare = false, options, chosen, keycaps, onChoose }: ChoiceRowProps) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap items-center gap-1">
      {heading ?? (bare ? null : <span aria-hidden="true" className="w-15 shrink-0 text-note font-semibold text-soft">{label}</span>)}
      {options.map((option, index) => (
        <Button key={option.value} look="choice" chosen={chosen.includes(option.value)} keycap={keycaps[index]} onClick={() => { onChoose(option.value); }}>
          {option.label}
        </Button>
      ))}
    </div>
  );
}
