import type { ReactNode } from "react";

interface MessageProps {
  title: string;
  children: ReactNode;
  action?: ReactNode;
  /** Whether this is all there is on the page. */
  page?: boolean;
}

/** A calm block that says what happened, what is safe and what to do. */
export function Message({ title, children, action, page }: MessageProps) {
  const Title = page ? "h1" : "h2";
  const block = (
    <section role="status" className="mx-auto my-10 max-w-xl border-l-4 border-ink bg-sheet px-6 py-5">
      <Title className="font-serif text-2xl">{title}</Title>
      <div className="mt-2 text-read">{children}</div>
      {action && <div className="mt-4">{action}</div>}
    </section>
  );
  return page ? <main>{block}</main> : block;
}

/** Shown while something is on its way. */
export function Waiting({ what, page }: { what: string; page?: boolean }) {
  const words = (
    <p role="status" className="m-10 text-center text-read text-soft">
      Fetching {what} …
    </p>
  );
  return page ? <main>{words}</main> : words;
}
