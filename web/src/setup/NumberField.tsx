import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { useChoose, useMayChange } from "./useChoose";

interface NumberFieldProps {
  setting: Pick<Schemas["NumberSettingJson"], "name" | "value" | "shipped">;
  label: string;
  /** How many of the shown unit make 1. */
  scale?: number;
  /** Least and most, in the shown unit. */
  least?: number;
  most: number;
  digits?: number;
}

/** A number that can be changed, beside the one that ships. */
export function NumberField({ setting, label, scale = 1, least = 0, most, digits = 2 }: NumberFieldProps) {
  const may = useMayChange();
  const choose = useChoose();
  const [typed, setTyped] = useState<string>();
  const words = (value: number) => String(Number((value * scale).toFixed(digits)));
  const valid = typed === undefined || (typed.trim() !== "" && Number(typed) >= least && Number(typed) <= most);
  const fault = valid
    ? (faultsOf(choose.error).value ?? faultsOf(choose.error).other)
    : `From ${String(least)} to ${String(most)}.`;
  const keep = () => {
    if (!valid) {
      return;
    }
    if (typed !== undefined && typed !== words(setting.value)) {
      choose.mutate(
        { name: setting.name, value: String(Number((Number(typed) / scale).toFixed(digits + 2))) },
        {
          onSuccess: () => {
            setTyped(undefined);
          },
        },
      );
    } else {
      setTyped(undefined);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <input
        id={setting.name}
        aria-label={label}
        inputMode="decimal"
        value={typed ?? words(setting.value)}
        disabled={!may}
        aria-invalid={fault !== undefined}
        aria-describedby={fault ? `${setting.name}-fault` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          choose.reset();
        }}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === "Enter") {
            keep();
          }
        }}
        className="min-h-11 w-20 rounded border border-edge bg-sheet px-2 text-right text-read aria-invalid:border-2 aria-invalid:border-for disabled:border-transparent disabled:bg-transparent"
      />
      {words(setting.value) !== words(setting.shipped) && (
        <span className="text-note text-soft">
          ships as {words(setting.shipped)}
          {may && (
            <button
              type="button"
              onClick={() => {
                setTyped(undefined);
                choose.mutate({ name: setting.name });
              }}
              className="ml-2 min-h-8 underline"
            >
              put back
            </button>
          )}
        </span>
      )}
      {fault && (
        <p id={`${setting.name}-fault`} role="alert" className="basis-full text-note text-for">
          {fault}
        </p>
      )}
    </div>
  );
}
