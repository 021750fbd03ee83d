import { stateWord, waitsFor, type VisitState } from "./states";

const WIDTH = 116;

interface StateMarkProps {
  state: VisitState;
  done: number;
  total: number;
  /** Whether it says what the examination waits for in place of what has been done. */
  waits?: boolean;
}

/** How far an examination has got: a bar for the share of its tests, or a stop sign of its own shape, and words. */
export function StateMark({ state, done, total, waits = false }: StateMarkProps) {
  if (state === "SUSPENDED") {
    return (
      <span className="flex items-center gap-2 text-note font-semibold">
        <svg width={22} height={22} aria-hidden="true">
          <path d="M3 3h16v16H3z" fill="none" stroke="var(--color-for)" strokeWidth={3} />
          <path d="M7 11h8" stroke="var(--color-for)" strokeWidth={3} />
        </svg>
        {waits ? waitsFor(state, done, total) : stateWord(state)}
      </span>
    );
  }
  const was = state === "TESTING" ? `${String(done)} of ${String(total)} done` : stateWord(state);
  const words = (waits && waitsFor(state, done, total)) || was;
  return (
    <span className="text-note">
      <svg width={WIDTH} height={14} aria-hidden="true" className="mb-0.5 block">
        <path d={`M0 7h${String(WIDTH)}`} stroke="var(--color-line)" strokeWidth={6} />
        {total > 0 && <path d={`M0 7h${String((WIDTH * done) / total)}`} stroke="var(--color-ink)" strokeWidth={6} />}
      </svg>
      {words}
    </span>
  );
}
