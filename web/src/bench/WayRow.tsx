import type { Test } from "../record";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";

interface WayRowProps {
  test: Test;
  /** The way in force, by its name in the record. */
  way: string;
  onChoose: (way: string) => void;
}

const EFFECTS = { SAME: "", WIDER: "Weighed with more room", NOTED: "Noted, not weighed" };

/** How the test is done: the usual way first, another with one tap, and what becomes of the answer then. */
export function WayRow({ test, way, onChoose }: WayRowProps) {
  const chosen = test.ways.find((each) => each.value === way) ?? test.ways[0];
  if (test.ways.length < 2 || !chosen) {
    return null;
  }
  const effect = chosen === test.ways[0] ? "" : EFFECTS[chosen.effect];
  return (
    <div>
      <div role="group" aria-label="Done" className="flex items-center gap-1 overflow-x-auto">
        <span aria-hidden="true" className="w-9 shrink-0 text-note leading-tight font-semibold text-soft">
          Done
        </span>
        <Strip className="w-auto max-w-none shrink-0 flex-nowrap">
          {test.ways.map((each) => (
            <Button
              key={each.value}
              look="choice"
              chosen={each === chosen}
              className="shrink-0 px-1.5 whitespace-nowrap"
              title={each.differs}
              onClick={() => {
                onChoose(each.value);
              }}
            >
              {each.label}
            </Button>
          ))}
        </Strip>
      </div>
      {chosen !== test.ways[0] && (
        <p className="text-note leading-tight text-soft">
          {chosen.differs && `${chosen.differs}. `}
          {effect && <strong className="text-ink">{effect}</strong>}
          {effect && chosen.because && `: ${chosen.because}.`}
        </p>
      )}
    </div>
  );
}
