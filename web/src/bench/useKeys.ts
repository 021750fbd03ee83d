import { useEffect, useState } from "react";
import type { BenchKey } from "./benchKeys";

const SWITCH = "lexicor.single-keys";

/** Whether single keys act at the bench; remembered in this browser. */
export function useSingleKeys(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => window.localStorage.getItem(SWITCH) !== "off");
  return [
    on,
    (next) => {
      window.localStorage.setItem(SWITCH, next ? "on" : "off");
      setOn(next);
    },
  ];
}

/**
 * Runs an action for a key pressed anywhere but in a field. Page keys and chords always act; single characters only
 * while `single` is on.
 */
export function useKeys(keys: readonly BenchKey[], single: boolean): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (target.closest("input, textarea, select, [role=dialog]") || event.altKey || event.metaKey) {
        return;
      }
      const name = keyName(event);
      const onButton = target.closest("button, a, [role=slider]") !== null;
      const found = keys.find((each) => each.key === name);
      if (found && (single || name.length > 1) && !(name === " " && onButton)) {
        event.preventDefault();
        found.act();
      }
    };
    window.addEventListener("keydown", press);
    return () => {
      window.removeEventListener("keydown", press);
    };
  }, [keys, single]);
}

/** A key as the bench names it: single letters small, "L" with shift, chords as "Ctrl+z", "Ctrl+ArrowUp". */
export function keyName(event: Pick<KeyboardEvent, "key" | "ctrlKey" | "shiftKey">): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  if (event.ctrlKey) {
    return event.shiftKey && key.length === 1 ? `Ctrl+shift+${key}` : `Ctrl+${key}`;
  }
  return event.shiftKey && /^[a-z]$/.test(key) ? key.toUpperCase() : key;
}
