import type { Schemas } from "../shared/api/client";
import { capital } from "../shared/format";

/** Each way of judging the answer: when it counts, when it speaks against, when it cannot be read. */
export function ReadingRules({ sheet }: { sheet: Schemas["TestSheetJson"] }) {
  const [all] = sheet.criteria;
  const common =
    all?.voids.filter((gate) =>
      sheet.criteria.every((criterion) => criterion.voids.some((other) => other.because === gate.because)),
    ) ?? [];
  return (
    <>
      <ul className="grid gap-4 md:grid-cols-2">
        {sheet.criteria.map((criterion) => {
          const readers = sheet.reads.filter((reading) => reading.criteria.includes(criterion.id));
          const own = criterion.voids.filter(
            (gate) => !common.includes(gate) && !common.some((other) => other.because === gate.because),
          );
          return (
            <li key={criterion.id} className="break-inside-avoid border border-line bg-sheet p-3">
              <h3 className="text-read font-semibold">
                {readers.length > 0
                  ? `For ${readers.map((reading) => reading.conditionName).join(", ")}`
                  : "Asked by another test"}
              </h3>
              <dl className="mt-1 grid grid-cols-[6.5rem_1fr] gap-x-2 gap-y-1 text-note">
                <dt className="text-soft">Positive</dt>
                <dd>
                  <span className="text-read">{capital(criterion.counts)}</span>
                  <span className="block text-soft">{criterion.positive}</span>
                </dd>
                <dt className="text-soft">Negative</dt>
                <dd>
                  <span className="text-read">{capital(criterion.clear)}</span>
                  <span className="block text-soft">{criterion.negative}</span>
                </dd>
                {criterion.unread && (
                  <>
                    <dt className="text-soft">Neither</dt>
                    <dd>{capital(criterion.unread)}</dd>
                  </>
                )}
                {own.map((gate) => (
                  <div key={gate.because} className="contents">
                    <dt className="text-soft">Not read</dt>
                    <dd>
                      {capital(gate.because)}
                      {gate.everything ? "" : " (a negative only)"}
                    </dd>
                  </div>
                ))}
              </dl>
            </li>
          );
        })}
      </ul>
      <p className="mt-3 text-note">
        <strong>Not interpretable at all:</strong>{" "}
        {common
          .filter((gate) => gate.everything)
          .map((gate) => gate.because)
          .join("; ")}
        .{" "}
        {common.some((gate) => !gate.everything) && (
          <>
            <strong>A negative cannot be read</strong> (a positive still counts):{" "}
            {common
              .filter((gate) => !gate.everything)
              .map((gate) => gate.because)
              .join("; ")}
            .
          </>
        )}
      </p>
    </>
  );
}
