/** Where visits stand on the line of time, and where values stand in a row, in one place for all rows. */

/** Free space at either end of the line, in percent of its width. */
const EDGE = 6;

/** Least distance between two labels on the line, in percent. */
const LABEL = 11;

/** Least distance between two visits, in percent, as far as there is room for it. */
const APART = 4;

/**
 * Places of days on the line, in percent of its width: in proportion, but for visits so close, or on one day, that their
 * marks would cover each other; a single one stands in the middle.
 */
export function places(days: readonly number[]): number[] {
  const first = days[0] ?? 0;
  const last = days.length - 1;
  const span = (days[last] ?? 0) - first;
  if (span === 0) {
    return days.map((_, index) => (last === 0 ? 50 : EDGE + ((100 - 2 * EDGE) * index) / last));
  }
  const apart = Math.min(APART, (100 - 2 * EDGE) / last);
  const at = days.map((day) => EDGE + ((100 - 2 * EDGE) * (day - first)) / span);
  for (let index = 1; index <= last; index++) {
    at[index] = Math.max(at[index] ?? 0, (at[index - 1] ?? 0) + apart);
  }
  at[last] = 100 - EDGE;
  for (let index = last - 1; index > 0; index--) {
    at[index] = Math.min(at[index] ?? 0, (at[index + 1] ?? 0) - apart);
  }
  return at;
}

/** Which places have room for a label: the first and the last, and of the others those that leave room for both sides. */
export function labelled(at: readonly number[], room = LABEL): boolean[] {
  const last = at.length - 1;
  const end = at[last] ?? 0;
  let before = -Infinity;
  return at.map((place, index) => {
    const free = place - before >= room;
    const shown = index === last ? true : free && (index === 0 || end - place >= room);
    if (shown) {
      before = place;
    }
    return shown;
  });
}

/** A scale of values, upwards, with a little room above and below; all equal values stand in the middle. */
export function heights(values: readonly number[], height: number, room: number): (value: number) => number {
  const low = Math.min(...values);
  const high = Math.max(...values);
  return (value) => (high === low ? height / 2 : height - room - ((height - 2 * room) * (value - low)) / (high - low));
}
