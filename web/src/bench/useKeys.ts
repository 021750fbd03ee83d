import { useEffect, useState } from "react";

const SWITCH = "lexicor.single-keys";

/** Whether single keys act at the bench; remembered in this browser. */
export function useSingleKeys(): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => window.localStorage.getItem(SWITCH) !== "off");
  return [on, (next) => { window.localStorage.setItem(SWITCH, next ? "on" : "off"); setOn(next); }];
}

/**
 * Runs an action for a key pressed anywhere but in a field. Page keys and chords always act; single characters only
 * while `single` is on.
 */
export function useKeys(actions: Record<string, (() => void) | undefined>, single: boolean): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (target.closest("input, textarea, select, [role=dialog]") || event.altKey || event.metaKey) {
        return;
      }
      const name = event.ctrlKey ? `Ctrl+${event.key.toLowerCase()}` : event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const action = actions[name];
      if (action && (single || name.length > 1)) {
        event.preventDefault();
        action();
      }
    };
    window.addEventListener("keydown", press);
    return () => { window.removeEventListener("keydown", press); };
  }, [actions, single]);
}
