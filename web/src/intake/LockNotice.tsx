import { useState } from "react";
import type { Answer } from "../record";
import type { Schemas } from "../shared/api/client";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";

interface LockNoticeProps {
  testId: string;
  lock: Schemas["TestLockJson"];
  onTell: (answer: Answer) => void;
}

/** Why a test is locked; it is opened by a written reason, and locked again by taking that back. */
export function LockNotice({ testId, lock, onTell }: LockNoticeProps) {
  const [reason, setReason] = useState("");
  const question = `override:${testId}`;
  return (
    <div className="border-l-4 border-ink bg-sheet px-4 py-2">
      {lock.why.map((why) => (
        <p key={why} className="text-read">
          <LockGlyph /> {why}.
        </p>
      ))}
      {lock.override ? (
        <p className="mt-1 flex flex-wrap items-center gap-x-4 text-read">
          Done all the same by {lock.override.by}, {when(lock.override.at)}: “{lock.override.reason}”
          <Button
            onClick={() => {
              onTell({ question, values: [] });
            }}
          >
            Lock again
          </Button>
        </p>
      ) : (
        <form
          className="mt-1 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim().length >= 3) {
              onTell({ question, values: [], words: reason.trim() });
            }
          }}
        >
          <label className="min-w-60 flex-1 text-note">
            To do it all the same, why?
            <input
              value={reason}
              maxLength={1000}
              onChange={(event) => {
                setReason(event.target.value);
              }}
              className="mt-1 block min-h-12 w-full rounded border border-edge bg-white px-3 text-read"
            />
          </label>
          <Button type="submit" disabled={reason.trim().length < 3}>
            Unlock this test
          </Button>
        </form>
      )}
    </div>
  );
}

/** A padlock. */
export function LockGlyph() {
  return (
    <svg
      width={16}
      height={18}
      viewBox="0 0 16 18"
      role="img"
      aria-label="Locked"
      className="mr-1 inline-block align-[-2px]"
    >
      <path d="M4 8V5a4 4 0 0 1 8 0v3" fill="none" stroke="currentColor" strokeWidth={2} />
      <path d="M2 8h12v9H2z" fill="currentColor" />
    </svg>
  );
}
