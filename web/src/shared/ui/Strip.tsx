import type { ReactNode } from "react";

interface StripProps {
  /** Names the group, for those who do not see that it is one; or the id of what names it. None where a group is around it. */
  label?: string;
  labelledBy?: string;
  className?: string;
  children: ReactNode;
}

/** Answers that belong together, as one strip: they touch, and thin lines tell them apart. A phone gives it its whole width. */
export function Strip({ label, labelledBy, className = "", children }: StripProps) {
  return (
    <div
      role={label !== undefined || labelledBy !== undefined ? "group" : undefined}
      aria-label={label}
      aria-labelledby={labelledBy}
      className={`strip ${className}`}
    >
      {children}
    </div>
  );
}
