import { useCallback, useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";

/**
 * Entries that also stand in the address, so that a view can be passed on and found again. What is typed is there at
 * once; the address follows. A value equal to its default is left out of the address.
 *
 * @example const [entries, set] = useAddress({ find: "" }); set({ find: "crank" });
 */
export function useAddress<T extends Record<string, string>>(defaults: T): [T, (changes: Partial<T>) => void] {
  const [params, setParams] = useSearchParams();
  const [first] = useState(defaults);
  const read = useCallback(
    (from: URLSearchParams) =>
      Object.fromEntries(Object.entries(first).map(([key, value]) => [key, from.get(key) ?? value])) as T,
    [first],
  );
  const [entries, setEntries] = useState<T>(() => read(params));
  const written = useRef(params.toString());

  useEffect(() => {
    if (params.toString() !== written.current) {
      written.current = params.toString();
      setEntries(read(params)); // somebody followed a link within the view
    }
  }, [params, read]);

  const set = useCallback((changes: Partial<T>) => {
    setEntries((before) => ({ ...before, ...changes }));
  }, []);

  useEffect(() => {
    const wanted = new URLSearchParams(written.current);
    Object.entries(entries).forEach(([key, value]) => {
      if (value === first[key]) {
        wanted.delete(key);
      } else {
        wanted.set(key, value);
      }
    });
    if (wanted.toString() !== written.current) {
      written.current = wanted.toString();
      setParams(wanted, { replace: true, preventScrollReset: true });
    }
  }, [entries, first, setParams]);

  return [entries, set];
}
