import { useState, type ReactNode } from "react";
import { choices, measure, type Attempt, type Context } from "../examination/history";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { ArcDial } from "./ArcDial";

interface ArcPartProps {
  measures: Schemas["PartDefinitionJson"][];
  attempt: Attempt | undefined;
  side: "LEFT" | "RIGHT";
  onSet: (key: string, value: number, unit: string, context: Context) => void;
  children: ReactNode;
}

/** The painful arc on its dial, on the way up and, where it is worth noting, on the way down. */
export function ArcPart({ measures, attempt, side, onSet, children }: ArcPartProps) {
  const [down, setDown] = useState(false);
  const context: Context = down ? { direction: "down" } : {};
  const hurts = choices(attempt, "pain").some((choice) => choice !== "none");
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <ArcDial disabled={!hurts} measures={measures} values={measures.map((part) => measure(attempt, part.key, context))} side={side}
        onSet={(key, value) => { onSet(key, value, measures.find((part) => part.key === key)?.unit ?? "", context); }} />
      <div className="flex flex-col gap-1.5">
        {measures.some((part) => part.andBack) && (
          <div role="group" aria-label="Way" className="flex gap-1">
            <Button look="choice" chosen={!down} disabled={!hurts} onClick={() => { setDown(false); }}>Up</Button>
            <Button look="choice" chosen={down} disabled={!hurts} onClick={() => { setDown(true); }}>Down</Button>
          </div>
        )}
        <div className="[&>div]:sm:max-w-30">{children}</div>
      </div>
    </div>
  );
}
