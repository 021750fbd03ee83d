import { useEffect, useEffectEvent, useState } from "react";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { pulse } from "./pulse";

type Hold = Schemas["HoldJson"] | Schemas["HeldJson"];

/** The clock of a hold. */
export interface HoldClock {
  hold: Hold;
  running: boolean;
  seconds: number;
  start: () => void;
  /** Stops it; the seconds that had passed. */
  stop: () => number;
  tick: boolean;
  setTick: (tick: boolean) => void;
}

interface HoldTimerProps {
  clock: HoldClock;
  /** Seconds already recorded; undefined while it was not held. */
  heldFor: number | undefined;
  onset: number | undefined;
  /** The symptom came after so many seconds. */
  onOnset: (seconds: number) => void;
  /** It was let go, or its time was up, without the symptom. */
  onEnd: (seconds: number) => void;
}

const PREFIX = "lexicor.hold.";

function began(name: string): number | undefined {
  const kept = window.localStorage.getItem(PREFIX + name);
  return kept === null ? undefined : Number(kept);
}

/**
 * Keeps the time of a hold, which ends by itself when the studied time is up.
 *
 * @param name names the hold in this browser, so that it goes on through a reload and a locked page
 * @param onEnd its time was up, after so many seconds
 */
export function useHold(name: string, hold: Hold, onEnd: (seconds: number) => void): HoldClock {
  const [from, setFrom] = useState(() => began(name));
  const [now, setNow] = useState(() => Date.now());
  const [tick, setTick] = useState(false);
  const passed = (at: number) =>
    from === undefined ? 0 : Math.min(hold.to, Math.max(0, Math.floor((at - from) / 1000)));
  const stop = () => {
    window.localStorage.removeItem(PREFIX + name);
    setFrom(undefined);
    return passed(Date.now());
  };
  const start = () => {
    const at = Date.now();
    window.localStorage.setItem(PREFIX + name, String(at));
    setNow(at);
    setFrom(at);
  };
  const step = useEffectEvent(() => {
    const at = Date.now();
    setNow(at);
    if (from !== undefined && at - from >= hold.to * 1000) {
      stop();
      onEnd(hold.to);
      pulse(3);
    } else if (
      tick &&
      from !== undefined &&
      Math.floor((at - from) / 10_000) > Math.floor((at - from - 200) / 10_000)
    ) {
      pulse(1);
    }
  });
  const running = from !== undefined;
  useEffect(() => {
    if (!running) {
      return undefined;
    }
    const timer = setInterval(() => {
      step();
    }, 200);
    return () => {
      clearInterval(timer);
    };
  }, [running]);
  return { hold, running, seconds: passed(now), start, stop, tick, setTick };
}

/** Times a hold: one tap begins it, one tap says that the symptom is there. */
export function HoldTimer({ clock, heldFor, onset, onOnset, onEnd }: HoldTimerProps) {
  const { hold, running, seconds, start, stop, tick, setTick } = clock;
  return (
    <div role="group" aria-label="Hold" className="flex flex-wrap items-center gap-2">
      <Ring
        share={(running ? seconds : (heldFor ?? 0)) / hold.to}
        mark={onset === undefined ? undefined : onset / hold.to}
      />
      <p role="timer" aria-live="off" className="w-28 leading-tight">
        <strong className="block text-head">{running ? seconds : (onset ?? heldFor ?? 0)} s</strong>
        <span className="text-note text-soft">
          {onset !== undefined && !running
            ? "to onset"
            : `of ${hold.from === hold.to ? String(hold.to) : `${String(hold.from)} to ${String(hold.to)}`} s`}
        </span>
      </p>
      {running ? (
        <>
          <Button
            id="hold-main"
            look="primary"
            keycap="Space"
            className="min-h-16 px-5"
            onClick={() => {
              onOnset(stop());
            }}
          >
            It begins
          </Button>
          <Button
            className="min-h-16"
            onClick={() => {
              onEnd(stop());
            }}
          >
            Let go
          </Button>
        </>
      ) : (
        <Button
          id="hold-main"
          look={heldFor === undefined && onset === undefined ? "primary" : "quiet"}
          keycap="Space"
          className="min-h-16 px-5"
          onClick={start}
        >
          {heldFor === undefined && onset === undefined ? "Start the time" : "Time it again"}
        </Button>
      )}
      <Button
        look="choice"
        chosen={tick}
        onClick={() => {
          setTick(!tick);
        }}
      >
        Tick
      </Button>
    </div>
  );
}

/** How much of the time is gone; a mark where the symptom came. */
function Ring({ share, mark }: { share: number; mark: number | undefined }) {
  const radius = 26;
  const round = 2 * Math.PI * radius;
  const at = (part: number) => ({
    x: 32 + radius * Math.sin(2 * Math.PI * part),
    y: 32 - radius * Math.cos(2 * Math.PI * part),
  });
  return (
    <svg width={64} height={64} viewBox="0 0 64 64" aria-hidden="true">
      <circle cx={32} cy={32} r={radius} fill="none" stroke="var(--color-line)" strokeWidth={7} />
      <circle
        cx={32}
        cy={32}
        r={radius}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth={7}
        strokeDasharray={`${String(round * Math.min(1, share))} ${String(round)}`}
        transform="rotate(-90 32 32)"
      />
      {mark !== undefined && (
        <circle
          cx={at(mark).x}
          cy={at(mark).y}
          r={6}
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          strokeWidth={3}
        />
      )}
    </svg>
  );
}
