import type { Attempt, Test } from "../record";
import type { Schemas } from "../shared/api/client";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";

interface RivalsPanelProps {
  test: Test;
  rivals: Schemas["RivalEntryJson"][];
  /** Keeps one entry in place of all others of its side. */
  onKeep: (kept: Attempt, others: Attempt[]) => void;
}

/** The same test recorded differently on two devices: both stand here until one is chosen, and neither is weighed. */
export function RivalsPanel({ test, rivals, onKeep }: RivalsPanelProps) {
  const words = (attempt: Attempt) =>
    attempt.parts
      .map((part) => {
        const definition = test.parts.find((each) => each.key === part.key);
        const option = definition?.options.find((each) => each.value === part.choice)?.label;
        return option
          ? `${definition.label}: ${option.toLowerCase()}`
          : `${definition?.label ?? part.key}: ${String(part.measure ?? part.text ?? "")}${part.unit ?? ""}`;
      })
      .join(", ");
  return (
    <section role="alert" aria-labelledby="rivals" className="border-4 border-ink bg-sheet px-4 py-3">
      <h2 id="rivals" className="text-xl font-semibold">
        Recorded differently on two devices: which one holds?
      </h2>
      <p className="text-note text-soft">Until you choose, neither is weighed. Both stay in the record.</p>
      <ul className="mt-2 flex flex-col gap-2">
        {rivals.map(({ attempt, author, at }) => (
          <li key={attempt.id} className="flex flex-wrap items-center gap-3 border-t border-line pt-2">
            <span className="min-w-0 flex-1 text-read">
              <strong>{attempt.side === "LEFT" ? "Left" : "Right"}:</strong> {words(attempt)}
              <br />
              <span className="text-note text-soft">
                {author}, {when(at)}
              </span>
            </span>
            <Button
              look="primary"
              onClick={() => {
                onKeep(
                  attempt,
                  rivals
                    .map((each) => each.attempt)
                    .filter((each) => each.side === attempt.side && each.tryNumber === attempt.tryNumber),
                );
              }}
            >
              This one holds
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
