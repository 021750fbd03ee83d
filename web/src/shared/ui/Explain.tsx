import type { ReactNode } from "react";

/** A question mark beside a figure that says, in a few sentences with this patient's numbers, what it shows. */
export function Explain({ what, children }: { what: string; children: ReactNode }) {
  return (
    <details className="no-print max-w-2xl">
      <summary
        aria-label={`What ${what} shows`}
        className="flex size-11 cursor-pointer items-center justify-center rounded-full border border-edge text-read font-semibold text-soft marker:content-[''] hover:bg-tan"
      >
        ?
      </summary>
      <p className="border-l-4 border-line py-1 pl-3 text-note">{children}</p>
    </details>
  );
}
