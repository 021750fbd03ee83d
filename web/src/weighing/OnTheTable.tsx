import type { Schemas } from "../shared/api/client";

/** Findings beside the scale: seen, not weighed, and why. */
export function OnTheTable({
  unweighed,
  testName,
}: {
  unweighed: Schemas["UnweighedJson"][];
  testName: (id: string) => string;
}) {
  if (unweighed.length === 0) {
    return null;
  }
  return (
    <section className="mt-5">
      <h2 className="text-note font-semibold text-soft">On the table, seen but not weighed</h2>
      <ul className="mt-1 border-t border-dashed border-edge">
        {unweighed.map((finding) => (
          <li key={finding.testId} className="flex gap-3 border-b border-line py-2 text-read leading-tight">
            <svg width={20} height={20} aria-hidden="true" className="shrink-0">
              <circle
                cx={10}
                cy={10}
                r={7}
                fill="none"
                stroke="var(--color-soft)"
                strokeWidth={1.8}
                strokeDasharray="3 3"
              />
            </svg>
            <span>
              <strong>{testName(finding.testId)}</strong>:{" "}
              {finding.result === "NOT_INTERPRETABLE"
                ? finding.because
                : `${finding.phrase}. Not weighed: ${finding.because}`}
              .
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
