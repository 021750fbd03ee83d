import type { ReactNode } from "react";
import { NavLink } from "react-router";
import { Wordmark } from "../shared/ui/Wordmark";
import { AccountMenu } from "./AccountMenu";
import { usePerson } from "./session";

/** The head of every view outside an examination: where to go, who is here. */
export function TopBar({ children }: { children?: ReactNode }) {
  const { roles } = usePerson();
  return (
    <header className="no-print flex flex-wrap items-center gap-x-4 border-b sm:gap-y-1 border-line py-1">
      <Wordmark />
      <nav
        aria-label="Parts of Lexicor"
        className="order-last flex basis-full overflow-x-auto sm:order-none sm:basis-auto"
      >
        {roles.includes("THERAPIST") && <Part to="/" name="Cases" />}
        {(roles.includes("THERAPIST") || roles.includes("STEWARD")) && <Part to="/outcomes" name="Outcomes" />}
        <Part to="/library" name="Library" />
        <Part to="/practice" name="Practice" />
        <Part to="/setup" name="Setup" />
      </nav>
      <span className="ml-auto flex flex-wrap items-center gap-x-3">
        {children}
        <AccountMenu />
      </span>
    </header>
  );
}

function Part({ to, name }: { to: string; name: string }) {
  return (
    <NavLink
      to={to}
      end={to === "/"}
      className={({ isActive }) =>
        `flex min-h-12 items-center border-b-4 px-1.5 text-note sm:px-3 sm:text-read ${isActive ? "border-ink font-semibold" : "border-transparent text-soft hover:border-line"}`
      }
    >
      {name}
    </NavLink>
  );
}
