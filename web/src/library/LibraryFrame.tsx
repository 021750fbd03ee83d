import { NavLink, Outlet } from "react-router";
import { TopBar } from "../session";

const PLACES = [
  { to: "/library", label: "Tests and conditions" },
  { to: "/library/ledger", label: "Ledger" },
  { to: "/library/calculators", label: "Calculators" },
];

/** The desk: library, ledger and calculators under one head. */
export function LibraryFrame() {
  return (
    <div className="mx-auto max-w-7xl px-5 pb-12">
      <TopBar />
      <nav aria-label="Places in the library" className="no-print flex flex-wrap gap-x-1">
        {PLACES.map((place) => (
          <NavLink
            key={place.to}
            to={place.to}
            end={place.to === "/library"}
            className={({ isActive }) =>
              `flex min-h-11 items-center px-2 text-read ${isActive ? "font-semibold underline decoration-2 underline-offset-8" : "text-soft hover:underline"}`
            }
          >
            {place.label}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </div>
  );
}
