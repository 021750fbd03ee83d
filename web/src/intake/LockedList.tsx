import type { Answer } from "../record";
import type { Schemas } from "../shared/api/client";
import { LockNotice } from "./LockNotice";

/** Every test that is locked, why, and the way to do it all the same. */
export function LockedList({
  locked,
  onTell,
}: {
  locked: Schemas["LockedTestJson"][];
  onTell: (answer: Answer) => void;
}) {
  return (
    <section aria-labelledby="locked">
      <h2 id="locked" className="font-serif text-2xl font-semibold">
        Locked today
      </h2>
      <p className="text-note text-soft">
        {locked.length} {locked.length === 1 ? "test" : "tests"}. A locked test can be done with a written reason, which
        is kept and printed.
      </p>
      <ul className="mt-1">
        {locked.map((test) => (
          <li key={test.testId} className="border-t border-line py-1.5">
            <details>
              <summary className="flex min-h-10 cursor-pointer items-center gap-2 text-read">
                <span className="font-semibold">{test.name}</span>
                {test.lock.override && <span className="text-note">done all the same</span>}
              </summary>
              <LockNotice testId={test.testId} lock={test.lock} onTell={onTell} />
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
