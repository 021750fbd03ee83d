import { useState } from "react";
import type { Answer } from "../record";
import type { Schemas } from "../shared/api/client";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";

type Flag = Schemas["FlagJson"];

/** Says that testing is suspended, why, and what comes next; somebody may release it with a reason that is kept. */
export function StopPanel({ safety, onTell }: { safety: Schemas["SafetyJson"]; onTell: (answer: Answer) => void }) {
  const open = safety.present.filter((flag) => !flag.release);
  const released = safety.present.filter((flag) => flag.release);
  return (
    <>
      {open.length > 0 && (
        <section role="alert" aria-labelledby="suspended" className="border-4 border-for bg-sheet px-5 py-4">
          <h2 id="suspended" className="font-serif text-head font-semibold">
            Testing is suspended
          </h2>
          {open.map((flag) => (
            <OpenFlag key={flag.id} flag={flag} onTell={onTell} />
          ))}
        </section>
      )}
      {released.map((flag) => (
        <ReleasedFlag key={flag.id} flag={flag} />
      ))}
    </>
  );
}

/** Who released a flag, and why. */
function ReleasedFlag({ flag }: { flag: Flag }) {
  return (
    flag.release && (
      <p className="border-l-4 border-ink bg-sheet px-4 py-2 text-note">
        <strong>Red flag released:</strong> {flag.sign}. By {flag.release.by}, {when(flag.release.at)}: “
        {flag.release.reason}”
      </p>
    )
  );
}

/** What a flag that is present leads to, right where it was answered. */
export function FlagOutcome({ flag, onTell }: { flag: Flag; onTell: (answer: Answer) => void }) {
  if (flag.release) {
    return <ReleasedFlag flag={flag} />;
  }
  return (
    <section role="alert" aria-label="Testing is suspended" className="mb-1 border-4 border-for bg-sheet px-4 py-3">
      <p className="font-serif text-2xl font-semibold">Testing is suspended</p>
      <OpenFlag flag={flag} onTell={onTell} />
    </section>
  );
}

function OpenFlag({ flag, onTell }: { flag: Flag; onTell: (answer: Answer) => void }) {
  const [reason, setReason] = useState("");
  const [asked, setAsked] = useState(false);
  return (
    <div className="mt-3 border-t border-line pt-3">
      <p className="text-read">
        <strong>{flag.sign}.</strong> Think of: {flag.thinkOf.charAt(0).toLowerCase() + flag.thinkOf.slice(1)}.
      </p>
      <p className="mt-1 text-xl font-semibold">{flag.then}.</p>
      {asked ? (
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim().length >= 3) {
              onTell({ question: `release:${flag.id}`, values: [], words: reason.trim() });
            }
          }}
        >
          <label className="min-w-64 flex-1 text-read font-semibold">
            Why may testing go on?
            <input
              value={reason}
              autoFocus
              onChange={(event) => {
                setReason(event.target.value);
              }}
              maxLength={1000}
              className="mt-1 block min-h-12 w-full rounded border border-edge bg-white px-3 font-normal"
            />
          </label>
          <Button type="submit" look="primary" disabled={reason.trim().length < 3}>
            Release, with my name
          </Button>
          <Button
            onClick={() => {
              setAsked(false);
            }}
          >
            Cancel
          </Button>
        </form>
      ) : (
        <Button
          className="mt-2"
          onClick={() => {
            setAsked(true);
          }}
        >
          Looked into: release …
        </Button>
      )}
    </div>
  );
}
