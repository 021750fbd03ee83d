import type { ReactNode } from "react";

/** Something that changes what the hands do next, in one clear line. */
export function StopLine({ lead, children, action }: { lead: string; children: ReactNode; action?: ReactNode }) {
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-y-2 border-ink bg-tan px-3 py-1 text-read leading-snug"
    >
      <p className="min-w-60 flex-1">
        <strong>{lead}</strong> {children}
      </p>
      {action}
    </div>
  );
}
