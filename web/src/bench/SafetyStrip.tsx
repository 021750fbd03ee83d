import { Link } from "react-router";
import type { Answer } from "../record";
import { StopPanel } from "../intake";
import type { Schemas } from "../shared/api/client";

/** What the safety screen says to the bench: suspended, or not asked yet. Nothing where all is well. */
export function SafetyStrip({ safety, onTell }: { safety: Schemas["SafetyJson"]; onTell: (answer: Answer) => void }) {
  return (
    <>
      <StopPanel safety={safety} onTell={onTell} />
      {safety.state === "NOT_YET_ASKED" && (
        <p className="text-note">
          <strong>Red flags are not all asked.</strong>{" "}
          <Link to="intake" className="inline-flex min-h-8 items-center underline">
            Ask now
          </Link>
        </p>
      )}
    </>
  );
}
