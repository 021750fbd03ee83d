import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { useChoose, useMayChange } from "./useChoose";

interface NumberFieldProps {
  setting: Pick<Schemas["NumberSettingJson"], "name" | "value" | "shipped">;
  label: string;
  most: number;
}

/** A plain number from 0 that can be changed, beside the one that ships. */
export function NumberField({ setting, label, most }: NumberFieldProps) {
  const may = useMayChange();
  const choose = useChoose();
  const [typed, setTyped] = useState<string>();
  const valid = typed === undefined || (typed.trim() !== "" && Number(typed) >= 0 && Number(typed) <= most);
  const fault = valid ? (faultsOf(choose.error).value ?? faultsOf(choose.error).other) : `From 0 to ${String(most)}.`;
  const keep = () => {
    if (typed !== undefined && valid && typed !== setting.value.toFixed(2)) {
      choose.mutate({ name: setting.name, value: String(Number(typed)) }, { onSuccess: () => { setTyped(undefined); } });
    } else if (valid) {
      setTyped(undefined);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <input id={setting.name} aria-label={label} inputMode="decimal" value={typed ?? setting.value.toFixed(2)} disabled={!may} aria-invalid={fault !== undefined} aria-describedby={fault ? `${setting.name}-fault` : undefined}
        onChange={(event) => { setTyped(event.target.value); choose.reset(); }} onBlur={keep} onKeyDown={(event) => { if (event.key === "Enter") { keep(); } }}
        className="min-h-11 w-20 rounded border border-edge bg-sheet px-2 text-right text-read aria-invalid:border-2 aria-invalid:border-for disabled:border-transparent disabled:bg-transparent" />
      {Math.abs(setting.value - setting.shipped) > 0.005 && (
        <span className="text-note text-soft">ships as {setting.shipped.toFixed(2)}{may && <button type="button" onClick={() => { setTyped(undefined); choose.mutate({ name: setting.name }); }} className="ml-2 min-h-8 underline">put back</button>}</span>
      )}
      {fault && <p id={`${setting.name}-fault`} role="alert" className="basis-full text-note text-for">{fault}</p>}
    </div>
  );
}
