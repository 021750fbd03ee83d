import type { ReactNode } from "react";
import { useEfforts } from "../devices";
import { type Attempt, choices, type Context, measure } from "../record";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { ArcDial } from "./ArcDial";

interface ArcPartProps {
  measures: Schemas["PartDefinitionJson"][];
  attempt: Attempt | undefined;
  side: "LEFT" | "RIGHT";
  /** Whether it is the way down. */
  down: boolean;
  onSet: (key: string, value: number, unit: string, context: Context) => void;
  children: ReactNode;
}

/**
 * The painful arc on its dial, on the way up and, where it is worth noting, on the way down. A goniometer that is joined
 * sets the next angle that is missing.
 */
export function ArcPart({ measures, attempt, side, down, onSet, children }: ArcPartProps) {
  const context: Context = down ? { direction: "down" } : {};
  useEfforts("angle", (effort) => {
    const open = measures.find((part) => measure(attempt, part.key, context) === undefined);
    if (open && hurts) {
      const step = open.step ?? 1;
      onSet(open.key, Math.round(effort.peak / step) * step, open.unit ?? "", context);
    }
  });
  const hurts = choices(attempt, "pain").some((choice) => choice !== "none");
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <ArcDial
        disabled={!hurts}
        measures={measures}
        values={measures.map((part) => measure(attempt, part.key, context))}
        side={side}
        onSet={(key, value) => {
          onSet(key, value, measures.find((part) => part.key === key)?.unit ?? "", context);
        }}
      />
      <div className="[&>div]:sm:max-w-30">{children}</div>
    </div>
  );
}

/** Which way of the arc is noted. */
export function ArcWay({ down, onDown }: { down: boolean; onDown: (down: boolean) => void }) {
  return (
    <span role="group" aria-label="Way" className="ml-auto flex gap-1">
      <Button
        look="choice"
        chosen={!down}
        onClick={() => {
          onDown(false);
        }}
      >
        Up
      </Button>
      <Button
        look="choice"
        chosen={down}
        onClick={() => {
          onDown(true);
        }}
      >
        Down
      </Button>
    </span>
  );
}
