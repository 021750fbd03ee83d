import { Button } from "../shared/ui/Button";
import type { OrderSection } from "./order";

interface PositionBeatProps {
  to: OrderSection;
  /** Names of rows of the last position that are still open. */
  left: string[];
  /** What will be needed at hand. */
  equipment: string[];
  onReady: () => void;
  onBack: () => void;
}

/** The patient changes position: where to, what comes there, and what is still open where they are. */
export function PositionBeat({ to, left, equipment, onReady, onBack }: PositionBeatProps) {
  return (
    <section aria-label="Change of position" className="flex flex-1 flex-col gap-3 py-4">
      <p className="text-read text-soft">The patient now</p>
      <h1 className="font-serif text-5xl font-semibold">{to.position}</h1>
      <p className="max-w-prose text-read">
        <strong>{to.items.length === 1 ? "One test" : `${String(to.items.length)} tests`} there:</strong>{" "}
        {to.items.map((item) => item.name).join(", ")}.
      </p>
      {equipment.length > 0 && (
        <p className="text-read">
          <strong>At hand:</strong> {equipment.join(", ")}.
        </p>
      )}
      {left.length > 0 && (
        <p className="max-w-prose border-l-4 border-ink pl-3 text-read">
          <strong>Still open in the last position:</strong> {left.join(", ")}.
        </p>
      )}
      <div className="mt-auto flex flex-wrap gap-2">
        <Button className="min-h-16" keycap="PgUp" onClick={onBack}>
          Back
        </Button>
        <Button look="primary" keycap="PgDn" className="min-h-16 flex-1" onClick={onReady}>
          Ready
        </Button>
      </div>
    </section>
  );
}
