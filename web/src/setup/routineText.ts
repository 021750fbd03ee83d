/** A test of a routine, with its seconds where they are the clinic's own. */
export interface Entry {
  testId: string;
  seconds?: number | undefined;
}

/** A routine as it is edited. */
export interface RoutineDraft {
  name: string;
  entries: Entry[];
}

/** A routine out of the text in which it is kept: its name, then a test a line. */
export function readRoutine(text: string): RoutineDraft {
  const [name = "", ...lines] = text.split("\n");
  return {
    name,
    entries: lines
      .filter((line) => line !== "")
      .map((line) => {
        const [testId = "", seconds] = line.split(" ");
        return seconds === undefined ? { testId } : { testId, seconds: Number(seconds) };
      }),
  };
}

/** The text in which a routine is kept. */
export function routineText({ name, entries }: RoutineDraft): string {
  return [
    name,
    ...entries.map((entry) =>
      entry.seconds === undefined ? entry.testId : `${entry.testId} ${String(entry.seconds)}`,
    ),
  ].join("\n");
}

/** An id for a new routine out of its name that none of the others has: "Ours, short" becomes "ours-short". */
export function routineId(name: string, taken: readonly string[]): string {
  const plain =
    name
      .toLowerCase()
      .normalize("NFD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 34) || "routine";
  let id = plain;
  for (let count = 2; taken.includes(id); count++) {
    id = `${plain}-${String(count)}`;
  }
  return id;
}
