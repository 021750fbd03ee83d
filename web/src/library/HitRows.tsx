import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { inHundred } from "../shared/format";

const ROW =
  "relative grid min-h-16 items-center gap-x-5 gap-y-0.5 px-2 py-2 hover:bg-sheet md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_9rem]";

/** A test that was found: its names, what it speaks about, how long it takes. Names that were searched for are set strong. */
export function TestHit({
  test,
  by,
  conditions,
}: {
  test: Schemas["TestLine"];
  by: string[];
  conditions: Schemas["ConditionLine"][];
}) {
  const weighed = test.conditions.filter((id) => test.weighedFor.includes(id));
  const noted = test.conditions.filter((id) => !test.weighedFor.includes(id));
  const name = (id: string) => conditions.find((condition) => condition.id === id)?.shortName ?? id;
  return (
    <Link to={`/library/tests/${test.id}`} className={ROW}>
      <span className="min-w-0">
        <span className="text-read font-semibold">{test.name}</span>
        <br />
        <span className="text-note text-soft">
          {test.aliases.length === 0
            ? test.stage
            : test.aliases.map((alias, index) => (
                <span key={alias}>
                  {index > 0 && ", "}
                  {by.includes(alias) ? <strong className="text-ink">{alias}</strong> : alias}
                </span>
              ))}
        </span>
      </span>
      <span className="text-note">
        {weighed.length > 0 && (
          <>
            <Weighed />
            <span className="sr-only">Weighed for </span>
            {weighed.map(name).join(", ")}
          </>
        )}
        {noted.length > 0 && (
          <span className="block text-soft">
            <NotWeighed />
            <span className="sr-only">Noted, not weighed, for </span>
            {noted.map(name).join(", ")}
          </span>
        )}
        {test.conditions.length === 0 && <span className="text-soft">Noted only</span>}
      </span>
      <span className="text-note text-soft md:text-right">
        {test.positions[0]}
        <br />
        {test.seconds} s a side
      </span>
    </Link>
  );
}

/** A condition that was found. */
export function ConditionHit({ condition }: { condition: Schemas["ConditionLine"] }) {
  return (
    <Link to={`/library/conditions/${condition.id}`} className={ROW}>
      <span className="min-w-0">
        <span className="font-serif text-xl">{condition.name}</span>
        <br />
        <span className="text-note text-soft">{condition.scope}</span>
      </span>
      <span className="text-note">
        {condition.tests === 0
          ? "No test yet"
          : `${String(condition.weighed)} of ${String(condition.tests)} tests weighed`}
        {condition.serious && <span className="block">Not to be missed</span>}
      </span>
      <span className="text-note text-soft md:text-right">
        Condition
        <br />
        starts at {inHundred(condition.start.FIRST_CONTACT ?? 0)} in 100
      </span>
    </Link>
  );
}

/** A set that was found. */
export function ClusterHit({ cluster }: { cluster: Schemas["ClusterLine"] }) {
  return (
    <Link to={`/library/sets/${cluster.id}`} className={ROW}>
      <span className="min-w-0">
        <span className="text-read font-semibold">{cluster.name}</span>
        <br />
        <span className="text-note text-soft">{cluster.components.join(" · ")}</span>
      </span>
      <span className="text-note">{cluster.conditionName}</span>
      <span className="text-note text-soft md:text-right">Set of findings</span>
    </Link>
  );
}

/** Marks what has figures: a full weight. */
export function Weighed() {
  return (
    <Mark>
      <path d="M1 2h6l4 4-4 4H1z" fill="var(--color-ink)" />
    </Mark>
  );
}

/** Marks what has none: an open weight. */
export function NotWeighed() {
  return (
    <Mark>
      <path
        d="M1.8 2.8h5L10 6 6.8 9.2h-5z"
        fill="none"
        stroke="var(--color-soft)"
        strokeWidth={1.4}
        strokeDasharray="2 1.6"
      />
    </Mark>
  );
}

function Mark({ children }: { children: ReactNode }) {
  return (
    <svg width={12} height={12} viewBox="0 0 12 12" aria-hidden="true" className="mr-1.5 inline-block">
      {children}
    </svg>
  );
}
