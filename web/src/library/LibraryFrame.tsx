import { NavLink, Outlet } from "react-router";
import { Wordmark } from "../shared/ui/Wordmark";

const PLACES = [
  { to: "/", label: "Examinations" },
  { to: "/library", label: "Library" },
  { to: "/library/ledger", label: "Ledger" },
  { to: "/library/calculators", label: "Calculators" },
];

/** The desk: library, ledger and calculators under one head. */
export function LibraryFrame() {
  return (
    <div className="mx-auto max-w-7xl px-5 pb-12">
      <header className="no-print flex flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
        <Wordmark />
        <nav aria-label="Places" className="flex flex-wrap gap-x-1">
          {PLACES.map((place) => (
            <NavLink key={place.to} to={place.to} end
              className={({ isActive }) => `flex min-h-12 items-center border-b-4 px-2 text-note sm:px-3 sm:text-read ${isActive ? "border-ink font-semibold" : "border-transparent hover:border-line"}`}>
              {place.label}
            </NavLink>
          ))}
        </nav>
      </header>
      <Outlet />
    </div>
  );
}
