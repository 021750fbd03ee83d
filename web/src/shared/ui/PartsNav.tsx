import type { ReactNode } from "react";
import { NavLink } from "react-router";

interface PartsNavProps {
  /** What the parts are of, for a screen reader: "Parts of the outcomes". */
  label: string;
  /** Addresses and names. */
  places: readonly (readonly [string, string])[];
  /** At the end of the line. */
  children?: ReactNode;
}

/** The parts of a place, a line of links under the head. One whose address others begin with is only marked at its own. */
export function PartsNav({ label, places, children }: PartsNavProps) {
  return (
    <nav aria-label={label} className="no-print mt-3 flex flex-wrap items-center">
      {places.map(([to, name]) => (
        <NavLink
          key={to}
          to={to}
          end={places.some(([other]) => other.startsWith(`${to}/`))}
          className={({ isActive }) =>
            `flex min-h-11 items-center border-b-4 px-3 text-read ${isActive ? "border-ink font-semibold" : "border-transparent text-soft hover:border-line"}`
          }
        >
          {name}
        </NavLink>
      ))}
      {children}
    </nav>
  );
}
