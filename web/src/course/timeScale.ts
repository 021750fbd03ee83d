/** Where visits stand on the line of time, and where values stand in a row, in one place for all rows. */

/** Free space at either end of the line, in percent of its width. */
const EDGE = 6;

/** Least distance between two labels on the line, in percent. */
const LABEL = 11;

/** Places of days on the line, in percent of its width; a single day stands in the middle. */
export function places(days: readonly number[]): number[] {
  const first = days[0] ?? 0;
  const span = (days.at(-1) ?? 0) - first;
  return days.map((day) => (span === 0 ? 50 : EDGE + ((100 - 2 * EDGE) * (day - first)) / span));
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
