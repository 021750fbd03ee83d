import { onDay, sentence } from "../shared/format";
import type { Again, Change } from "./useAgain";
import { measure, verdictWords } from "./words";

/** Every measure of this visit beside the one before, with what the difference is worth. */
export function AgainTable({ again }: { again: Again }) {
  const rows: { name: string; change: Change }[] = [
    ...again.scales.map((change) => ({ name: "", change })),
    ...again.tests.flatMap((test) => test.changes.map((change) => ({ name: test.name, change }))),
  ];
  return (
    <section aria-labelledby="again">
      <h2 id="again" className="text-read font-semibold">
        Compared with {onDay(again.before)}
      </h2>
      {rows.length === 0 ? (
        <p className="text-note text-soft">Nothing that was measured then has been measured again.</p>
      ) : (
        <table className="mt-1 w-full max-w-3xl text-read">
          <thead>
            <tr className="text-left text-note text-soft">
              <th className="py-1 font-normal">Measure</th>
              <th className="px-2 text-right font-normal">Then</th>
              <th className="px-2 text-right font-normal">Now</th>
              <th className="pl-4 font-normal">Change</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, change }) => (
              <tr key={name + change.label} className="border-t border-line align-baseline">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {name && <span>{name}: </span>}
                  {name ? sentence(change.label) : change.label}
                </th>
                <td className="px-2 text-right whitespace-nowrap">{measure(change.before, change.unit)}</td>
                <td className="px-2 text-right whitespace-nowrap">{measure(change.now, change.unit)}</td>
                <td className="pl-4">
                  <span className={["BETTER", "WORSE"].includes(change.verdict) ? "font-semibold" : ""}>
                    {verdictWords(change)}
                  </span>
                  {change.least != null && (
                    <span className="block text-note text-soft sm:inline">
                      {" "}
                      <span className="hidden sm:inline">· </span>counts beyond {measure(change.least, change.unit)}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {again.estimate && rows.length > 0 && (
        <p className="mt-1 text-note text-soft">What counts as a change is a working estimate of measurement noise.</p>
      )}
    </section>
  );
}
