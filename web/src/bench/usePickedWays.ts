import { useState } from "react";
import { keepPicked, picked } from "../shared/offline/memory";

/** The way chosen for a test before anything of it is recorded; kept through a reload of this tab. */
interface PickedWays {
  of: (testId: string) => string | undefined;
  set: (testId: string, way: string) => void;
}

export function usePickedWays(examination: string): PickedWays {
  const name = `ways.${examination}`;
  const [ways, setWays] = useState(() => picked(name));
  return {
    of: (testId) => ways[testId],
    set: (testId, way) => {
      const next = { ...ways, [testId]: way };
      keepPicked(name, next);
      setWays(next);
    },
  };
}
