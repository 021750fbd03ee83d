import { Button } from "../shared/ui/Button";

const REASONS = ["No time", "Too sore", "Patient declined", "Cannot get there", "Not needed"];

/** Why a test is left out, in one tap; without a reason as well. */
export function LeaveOut({ onReason, onCancel }: { onReason: (reason?: string) => void; onCancel: () => void }) {
  return (
    <div role="group" aria-label="Left out because" className="flex flex-wrap items-center gap-1.5">
      <span className="text-note font-semibold text-soft">Left out</span>
      {REASONS.map((reason, index) => (
        <Button
          key={reason}
          keycap={String(index + 1)}
          onClick={() => {
            onReason(reason.toLowerCase());
          }}
        >
          {reason}
        </Button>
      ))}
      <Button
        keycap="0"
        onClick={() => {
          onReason();
        }}
      >
        No reason
      </Button>
      <Button keycap="Esc" onClick={onCancel}>
        Keep it
      </Button>
    </div>
  );
}

/** The reasons, for the keys. */
export { REASONS };
