import { useMyHands } from "../shared/useMyHands";
import { useSettings } from "../shared/useSettings";

/** Whether the person at the screen does a test, so that plans propose it to them. */
export function InMyHands({ testId }: { testId: string }) {
  const settings = useSettings();
  const hands = useMyHands();
  return (
    settings && (
      <div className="mt-2 text-read">
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-6 accent-ink"
            checked={!settings.notMine.includes(testId)}
            disabled={hands.isPending}
            onChange={(event) => {
              hands.mutate({ test: testId, mine: event.target.checked });
            }}
          />
          In my hands: plans may propose it to me
        </label>
        {hands.isError && (
          <p role="alert" className="border-l-4 border-for pl-3">
            {hands.error.message}
          </p>
        )}
      </div>
    )
  );
}
