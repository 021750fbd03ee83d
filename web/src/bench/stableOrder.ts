/** What is kept in order: an id and a chance. */
interface Ranked {
  conditionId: string;
  now: number;
}

/**
 * Orders by chance as it is shown, in whole hundredths; where two show the same they stay as they stood, so that rows do
 * not swap for a difference that nobody can see.
 */
export function stableOrder<T extends Ranked>(standings: readonly T[], before: readonly string[]): T[] {
  const place = (standing: T) => {
    const index = before.indexOf(standing.conditionId);
    return index < 0 ? before.length : index;
  };
  const shown = (standing: T) => Math.round(100 * standing.now);
  return [...standings].sort((a, b) => shown(b) - shown(a) || place(a) - place(b) || b.now - a.now);
}
