import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { onDay } from "../shared/format";

/** Says that an examination is signed, or that it is being amended; nothing of a first draft. */
export function SigningStrip({ signing }: { signing: Schemas["SigningJson"] }) {
  const last = signing.versions.at(-1);
  if (!last) {
    return null;
  }
  return (
    <p className="flex flex-wrap items-center gap-x-4 border-b border-line bg-tan px-5 py-1 text-read">
      {signing.closed ? (
        <>
          <span>
            <strong>{last.countersigned ? "Countersigned" : "Signed"}</strong> by {last.author} on {onDay(last.at)},
            version {last.version}. Read only.
          </span>
          <Link to="conclude" className="inline-flex min-h-11 items-center underline">
            Versions, amend
          </Link>
        </>
      ) : (
        <>
          <span>
            <strong>Being amended</strong> after version {last.version}: {signing.amending?.reason}
          </span>
          <Link to="conclude#sign" className="inline-flex min-h-11 items-center underline">
            Sign again
          </Link>
        </>
      )}
    </p>
  );
}
