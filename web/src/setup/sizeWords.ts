const STEPS = ["bytes", "kB", "MB", "GB", "TB"];

/** A size as "3.2 MB": one decimal below ten, none above; a kB has 1,000 bytes. */
export function sizeWords(bytes: number): string {
  let size = bytes;
  let step = 0;
  while (size >= 999.5 && step < STEPS.length - 1) {
    size /= 1000;
    step++;
  }
  const shown = step > 0 && size < 9.95 ? size.toFixed(1) : String(Math.round(size));
  return `${shown} ${bytes === 1 ? "byte" : (STEPS[step] ?? "")}`;
}
