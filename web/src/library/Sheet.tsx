import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { Refused } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";

/** The ground of every sheet: waiting, not there, not fetched, or the sheet itself. */
export function Sheet<T>({
  query,
  what,
  children,
}: {
  query: UseQueryResult<T>;
  what: string;
  children: (data: T) => ReactNode;
}) {
  if (query.isPending) {
    return (
      <main>
        <Waiting what={what} />
      </main>
    );
  }
  if (query.isError) {
    const missing = query.error instanceof Refused && query.error.problem.status === 404;
    return (
      <main>
        <Message
          title={missing ? "Not in the library" : "The sheet could not be fetched"}
          action={
            missing ? (
              <Link className="underline" to="/library">
                Search the library
              </Link>
            ) : (
              <Button look="primary" onClick={() => void query.refetch()}>
                Try again
              </Button>
            )
          }
        >
          {missing
            ? "The address may be misspelt, or the entry has been removed."
            : "Nothing was lost. The server may have stopped."}
        </Message>
      </main>
    );
  }
  return <main>{children(query.data)}</main>;
}

/** A part of a sheet under a heading of its own. */
export function Part({ title, note, children }: { title: string; note?: ReactNode; children: ReactNode }) {
  return (
    <section className="mt-8">
      <h2 className="break-after-avoid border-b border-ink pb-1 font-serif text-2xl font-semibold">{title}</h2>
      {note && <p className="mt-1 text-note text-soft">{note}</p>}
      <div className="mt-3">{children}</div>
    </section>
  );
}

/** A short list under a small heading; nothing where it is empty. */
export function ShortList({ title, items }: { title: string; items: ReactNode[] }) {
  return items.length === 0 ? null : (
    <section className="break-inside-avoid">
      <h3 className="text-note font-semibold text-soft">{title}</h3>
      <ul className="mt-0.5 text-read">
        {items.map((item, index) => (
          <li key={index} className="border-b border-line py-1">
            {item}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The way to a test's, a condition's or a set's sheet. */
export function ToSheet({
  kind,
  id,
  children,
}: {
  kind: "tests" | "conditions" | "sets";
  id: string;
  children: ReactNode;
}) {
  return (
    <Link className="underline decoration-edge underline-offset-2 hover:decoration-ink" to={`/library/${kind}/${id}`}>
      {children}
    </Link>
  );
}

/** Back to the library and a way onto paper. */
export function SheetHead({ kind }: { kind: string }) {
  return (
    <div className="no-print mt-3 flex flex-wrap items-center justify-between gap-3 text-note">
      <Link to="/library" className="flex min-h-12 items-center underline">
        Library
      </Link>
      <span className="flex items-center gap-4">
        <span className="text-soft">{kind}</span>
        <button
          type="button"
          className="min-h-12 underline"
          onClick={() => {
            window.print();
          }}
        >
          Print
        </button>
      </span>
    </div>
  );
}
