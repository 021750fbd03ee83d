import { useEffect, useState } from "react";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { MeasureField } from "./MeasureField";

interface RefillTimerProps {
  part: Schemas["PartDefinitionJson"];
  side: string;
  value: number | undefined;
  main: boolean;
  onSet: (seconds: number) => void;
}

/** Seconds from letting an artery go until the palm is pink: one tap at each end, or typed. */
export function RefillTimer({ part, side, value, main, onSet }: RefillTimerProps) {
  const [from, setFrom] = useState<number>();
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (from === undefined) {
      return undefined;
    }
    const timer = setInterval(() => {
      setNow(Date.now());
    }, 100);
    return () => {
      clearInterval(timer);
    };
  }, [from]);
  const running = from !== undefined;
  const seconds = running ? Math.max(0, now - from) / 1000 : 0;
  return (
    <span className="flex items-center gap-1.5">
      {running ? (
        <Button
          id={main ? "hold-main" : undefined}
          look="primary"
          keycap={main ? "Space" : undefined}
          className="w-40 whitespace-nowrap"
          onClick={() => {
            setFrom(undefined);
            onSet(Math.min(part.most ?? 60, Math.max(0, Math.round((Date.now() - from) / 1000))));
          }}
        >
          Pink: {Math.floor(seconds)} s
        </Button>
      ) : (
        <Button
          id={main ? "hold-main" : undefined}
          look={value === undefined && main ? "primary" : "quiet"}
          keycap={main ? "Space" : undefined}
          className="w-40 whitespace-nowrap"
          onClick={() => {
            setNow(Date.now());
            setFrom(Date.now());
          }}
        >
          Let go now
        </Button>
      )}
      <MeasureField part={part} side={side} plain value={value} onSet={onSet} />
      <span className="text-note">s</span>
    </span>
  );
}
