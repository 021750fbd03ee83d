import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from "react";
import { EffortReader, type Effort } from "./effort";
import type { InstrumentKind, InstrumentStatus, Sample } from "./instrument";
import { StandIn } from "./standIn";

const instruments = new Map<InstrumentKind, StandIn>();

/** The instrument of a kind, the same for the whole page: what was connected once stays so from test to test. */
export function instrument(kind: InstrumentKind): StandIn {
  const known = instruments.get(kind) ?? new StandIn(kind);
  instruments.set(kind, known);
  return known;
}

/** Whether the instrument of a kind is connected. */
export function useStatus(kind: InstrumentKind): InstrumentStatus {
  const device = instrument(kind);
  const subscribe = useCallback((changed: () => void) => device.subscribe(() => undefined, changed), [device]);
  return useSyncExternalStore(subscribe, () => device.status);
}

/** Follows the efforts made at a gauge: the trace of the one under way, and each one once it ends. */
export function useEfforts(kind: InstrumentKind, onEffort: (effort: Effort) => void): readonly Sample[] {
  const [trace, setTrace] = useState<readonly Sample[]>([]);
  const heard = useRef(onEffort);
  useEffect(() => {
    heard.current = onEffort;
  });
  useEffect(() => {
    const reader = new EffortReader();
    return instrument(kind).subscribe(
      (sample) => {
        const effort = reader.take(sample);
        if (reader.trace.length > 0) {
          setTrace([...reader.trace]);
        }
        if (effort) {
          heard.current(effort);
        }
      },
      () => {
        reader.clear();
      },
    );
  }, [kind]);
  return trace;
}
