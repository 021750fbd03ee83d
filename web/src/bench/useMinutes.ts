import { useEffect, useState } from "react";
import type { LiveExamination } from "../examination";

/** A gap longer than this is a break: somebody came back to it later. */
const BREAK = 20 * 60 * 1000;

/** Minutes spent with the hands so far, breaks left out; undefined before the first entry. */
export function useMinutes(live: LiveExamination): number | undefined {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now());
    }, 15_000);
    return () => {
      clearInterval(timer);
    };
  }, []);
  const records = [...live.examination.commands, ...live.queue.pending]
    .filter((command) => command.kind === "RECORD")
    .map((command) => Date.parse(command.at));
  return minutesSpent(records, now);
}

/** Minutes between entries and since the last one, each gap counted unless it is a break. */
export function minutesSpent(entries: readonly number[], now: number): number | undefined {
  const sorted = [...entries].sort((a, b) => a - b);
  return sorted.length === 0
    ? undefined
    : sorted.reduce((sum, at, index) => {
        const gap = (sorted[index + 1] ?? now) - at;
        return sum + (gap > 0 && gap <= BREAK ? gap : 0);
      }, 0) / 60_000;
}
