import { useEffect, useMemo, useRef } from "react";
import { stableOrder } from "./stableOrder";

/** The standings in an order that changes only where the shown numbers do. */
export function useStableOrder<T extends { conditionId: string; now: number }>(standings: readonly T[]): T[] {
  const before = useRef<string[]>([]);
  const ordered = useMemo(() => stableOrder(standings, before.current), [standings]);
  useEffect(() => {
    before.current = ordered.map((standing) => standing.conditionId);
  }, [ordered]);
  return ordered;
}
