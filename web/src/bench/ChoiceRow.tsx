import type { ReactNode } from "react";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";

interface ChoiceRowProps {
  label: string;
  /** Shown in place of the label, where the answers speak for themselves. */
  heading?: ReactNode;
  /** Without a visible label: the answers stand in a row that has one. */
  bare?: boolean;
  /** For a row of many answers. */
  tight?: boolean;
  options: Schemas["OptionJson"][];
  chosen: string[];
  keycaps: string[];
  onChoose: (value: string) => void;
  /** At the end of the row. */
  children?: ReactNode;
}

/** A part with a list of answers: its name, then one button an answer. */
export function ChoiceRow({
  label,
  heading,
  bare = false,
  tight = false,
  options,
  chosen,
  keycaps,
  onChoose,
  children,
}: ChoiceRowProps) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap items-center gap-x-1 gap-y-0.5 sm:flex-nowrap">
      {heading ??
        (bare ? null : (
          <span
            aria-hidden="true"
            className={`${tight ? "w-9 leading-tight" : "min-w-15 pr-1"} shrink-0 text-note font-semibold text-soft`}
          >
            {label}
          </span>
        ))}
      {options.length > 0 && (
        <Strip className="min-w-0">
          {options.map((option, index) => (
            <Button
              key={option.value}
              look="choice"
              chosen={chosen.includes(option.value)}
              keycap={keycaps[index]}
              className={tight ? "px-1.5" : undefined}
              onClick={() => {
                onChoose(option.value);
              }}
            >
              {option.label}
            </Button>
          ))}
        </Strip>
      )}
      {children}
    </div>
  );
}
