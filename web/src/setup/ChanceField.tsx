import { useState } from "react";
import type { Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { useChoose, useMayChange } from "./useChoose";

/** A chance in 100 that can be changed, beside the one that ships. */
export function ChanceField({ setting, label }: { setting: Schemas["NumberSettingJson"]; label: string }) {
  const may = useMayChange();
  const choose = useChoose();
  const [typed, setTyped] = useState<string>();
  const shown = typed ?? inHundredths(setting.value);
  const fault = typed !== undefined && !(Number(typed) >= 0.1 && Number(typed) <= 99.9) ? "From 0.1 to 99.9." : faultsOf(choose.error).value ?? faultsOf(choose.error).other;
  const keep = () => {
    if (typed !== undefined && !(Number(typed) >= 0.1 && Number(typed) <= 99.9)) {
      return;
    }
    if (typed !== undefined && typed !== inHundredths(setting.value)) {
      choose.mutate({ name: setting.name, value: String(Math.round(Number(typed) * 10) / 1000) }, { onSuccess: () => { setTyped(undefined); } });
    } else {
      setTyped(undefined);
    }
  };
  const changed = setting.value !== setting.shipped;
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <input id={setting.name} aria-label={label} inputMode="decimal" value={shown} disabled={!may} aria-invalid={fault !== undefined} aria-describedby={fault ? `${setting.name}-fault` : undefined}
        onChange={(event) => { setTyped(event.target.value); choose.reset(); }} onBlur={keep} onKeyDown={(event) => { if (event.key === "Enter") { keep(); } }}
        className="min-h-11 w-20 rounded border border-edge bg-sheet px-2 text-right text-read aria-invalid:border-2 aria-invalid:border-for disabled:border-transparent disabled:bg-transparent" />
      {changed && <span className="text-note text-soft">ships as {inHundredths(setting.shipped)}{may && <button type="button" onClick={() => { setTyped(undefined); choose.mutate({ name: setting.name }); }} className="ml-2 min-h-8 underline">put back</button>}</span>}
      {fault && <p id={`${setting.name}-fault`} role="alert" className="basis-full text-note text-for">{fault}</p>}
    </div>
  );
}

function inHundredths(chance: number): string {
  return String(Math.round(1000 * chance) / 10);
}
