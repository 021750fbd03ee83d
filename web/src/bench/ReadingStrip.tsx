import type { ReactNode } from "react";
import type { Schemas } from "../shared/api/client";

/** What the response means, in plain sentences. It keeps its place while there is nothing to say. */
export function ReadingStrip({
  statements,
  note,
  children,
}: {
  statements: Schemas["StatementJson"][];
  note: string;
  children?: ReactNode;
}) {
  return (
    <section
      aria-label="Reading"
      aria-live="polite"
      className="min-h-13 border-l-4 border-ink pl-3 text-read leading-snug"
    >
      {statements.length === 0 && <p className="text-soft">{note}</p>}
      {statements.map((statement) => (
        <p key={statement.lead + statement.phrase}>
          <strong>{statement.lead}</strong>: {statement.phrase}.
        </p>
      ))}
      {children}
    </section>
  );
}
