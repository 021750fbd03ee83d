import { stateWord, type VisitState } from "./states";

const WIDTH = 116;

/** How far an examination has got: a bar for the share of its tests, or a stop sign of its own shape, and words. */
export function StateMark({ state, done, total }: { state: VisitState; done: number; total: number }) {
  if (state === "SUSPENDED") {
    return (
      <span className="flex items-center gap-2 text-note font-semibold">
        <svg width={22} height={22} aria-hidden="true">
          <path d="M3 3h16v16H3z" fill="none" stroke="var(--color-for)" strokeWidth={3} />
          <path d="M7 11h8" stroke="var(--color-for)" strokeWidth={3} />
        </svg>
        Suspended
      </span>
    );
  }
  const words = state === "TESTING" ? `${String(done)} of ${String(total)} done` : stateWord(state);
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
