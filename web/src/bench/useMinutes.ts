import { useEffect, useState } from "react";
import type { LiveExamination } from "../examination/useExamination";

const PAUSED = 2 * 60 * 60 * 1000;

/** Minutes since the first entry of the hands; undefined before it, and once nothing was recorded for two hours. */
export function useMinutes(live: LiveExamination): number | undefined {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => { setNow(Date.now()); }, 15_000);
    return () => { clearInterval(timer); };
  }, []);
  const records = [...live.examination.commands, ...live.queue.pending].filter((command) => command.kind === "RECORD").map((command) => Date.parse(command.at));
  const first = records[0];
  const last = records.at(-1);
  return first === undefined || last === undefined || now - last > PAUSED ? undefined : Math.max(0, now - first) / 60_000;
}
