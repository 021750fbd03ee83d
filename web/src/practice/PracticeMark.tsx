/** Says on every screen that nobody here is a patient. */
export function PracticeMark() {
  return (
    <p className="inline-flex min-h-8 items-center rounded border-2 border-dashed border-ink bg-sheet px-2.5 text-note font-semibold">
      Practice: nobody here is real
    </p>
  );
}
