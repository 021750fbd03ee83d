import type { ReactNode } from "react";

/** A calm block that says what happened, what is safe and what to do. */
export function Message({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <section role="status" className="mx-auto my-10 max-w-xl border-l-4 border-ink bg-sheet px-6 py-5">
      <h2 className="font-serif text-2xl">{title}</h2>
      <div className="mt-2 text-read">{children}</div>
      {action && <div className="mt-4">{action}</div>}
    </section>
  );
}

/** Shown while something is on its way. */
export function Waiting({ what }: { what: string }) {
  return (
    <p role="status" className="m-10 text-center text-read text-soft">
      Fetching {what} …
    </p>
  );
}
