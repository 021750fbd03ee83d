import { inHundred } from "../shared/format";
import { chanceAt, logit, MARKS, oddsScale } from "../shared/oddsScale";

const WIDTH = 300;
const INSET = 14;
const STEP = 0.05;
const scale = oddsScale(WIDTH, INSET);

interface BeliefRailProps {
  name: string;
  chance: number;
  /** Where the weighing stands, once it may be seen. */
  weighed?: number | undefined;
  /** Absent where it cannot be dragged any more. */
  onDrag?: ((chance: number) => void) | undefined;
}

/** One's own chance as a ring on the log-odds scale, dragged; the weighing's as a tick, with the way between. */
export function BeliefRail({ name, chance, weighed, onDrag }: BeliefRailProps) {
  const own = scale(chance);
  const at = weighed === undefined ? undefined : scale(weighed);
  return (
    <div className="relative h-10 w-full max-w-80">
      <svg viewBox={`0 0 ${String(WIDTH)} 40`} aria-hidden="true" className="absolute inset-0 size-full">
        <path d={`M${String(INSET)} 20H${String(WIDTH - INSET)}`} stroke="var(--color-edge)" />
        {MARKS.map((mark) => (
          <path key={mark} d={`M${String(scale(mark))} 16v8`} stroke="var(--color-edge)" />
        ))}
        {at !== undefined && (
          <>
            <path
              d={`M${String(own)} 20H${String(at)}`}
              stroke="var(--color-ink)"
              strokeWidth={3}
              strokeDasharray="3 4"
            />
            <path d={`M${String(at)} 4v32`} stroke="var(--color-ink)" strokeWidth={5} />
          </>
        )}
        <circle cx={own} cy={20} r={9} fill="var(--color-paper)" stroke="var(--color-ink)" strokeWidth={4} />
      </svg>
      {onDrag && (
        <input
          type="range"
          aria-label={`My chance of ${name}`}
          aria-valuetext={`${inHundred(chance)} in 100`}
          min={logit(0.01)}
          max={logit(0.99)}
          step={STEP}
          value={logit(chance)}
          onChange={(event) => {
            onDrag(chanceAt(Number(event.target.value)));
          }}
          className="rail-range absolute inset-0 size-full cursor-grab"
        />
      )}
    </div>
  );
}
