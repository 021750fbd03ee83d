import { NavLink, Outlet } from "react-router";
import { TopBar, usePerson } from "../session";

/** The setup: its parts at the side, the part in hand beside them. */
export function SetupFrame() {
  const { roles } = usePerson();
  const administrator = roles.includes("ADMINISTRATOR");
  const places = [
    ["schools", "Schools"],
    ["thresholds", "Thresholds"],
    ["estimates", "Starting estimates"],
    ["weighing", "Weighing"],
    ["routines", "Routines"],
    ["notes", "Notes"],
    ["noise", "Measurement noise"],
    ["screen", "Screen and units"],
    ...(administrator || roles.includes("STEWARD") ? [["changes", "Who changed what"]] : []),
    ...(administrator
      ? [
          ["accounts", "Accounts"],
          ["backups", "Backups"],
          ["sending", "Sending"],
          ["audit", "Audit"],
        ]
      : []),
    ["password", "My sign-in"],
  ];
  return (
    <div className="mx-auto max-w-6xl px-5 pb-12">
      <TopBar />
      <div className="mt-4 grid gap-x-10 gap-y-2 md:grid-cols-[12rem_minmax(0,1fr)]">
        <nav aria-label="Parts of the setup" className="no-print flex flex-wrap md:flex-col">
          {places.map(([to = "", name]) => (
            <NavLink
              key={to}
              to={`/setup/${to}`}
              className={({ isActive }) =>
                `flex min-h-11 items-center border-b-4 px-2 text-read md:border-b-0 md:border-l-4 md:px-3 ${isActive ? "border-ink font-semibold" : "border-transparent text-soft hover:border-line"}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <main>
          <Outlet />
        </main>
      </div>
    </div>
  );
}
