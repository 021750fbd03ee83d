import type { Schemas } from "../shared/api/client";

/** Where a record says something else, before and after. */
export function Differences({ differences }: { differences: Schemas["LedgerDifferenceJson"][] }) {
  return (
    <ul className="text-read">
      {differences.map((difference) => (
        <li key={difference.field}>
          {difference.field}: <del className="text-soft">{difference.before || "nothing"}</del>{" "}
          <ins className="no-underline">{difference.after || "nothing"}</ins>
        </li>
      ))}
    </ul>
  );
}
