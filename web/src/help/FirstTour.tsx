import { useState } from "react";
import { Button } from "../shared/ui/Button";
import { Tour } from "./Tour";

const SEEN = "lexicor.tour";

/** The tour on a device that has not seen it; once put away it comes back only in Help. */
export function FirstTour() {
  const [seen, setSeen] = useState(wasSeen);
  return seen ? null : (
    <section aria-label="How an examination goes" className="mb-5 border-2 border-ink bg-sheet p-4">
      <Tour />
      <Button
        look="primary"
        className="mt-3"
        onClick={() => {
          keepSeen();
          setSeen(true);
        }}
      >
        Put it away
      </Button>
    </section>
  );
}

/** A browser that keeps nothing is not told every time. */
function wasSeen(): boolean {
  try {
    return localStorage.getItem(SEEN) !== null;
  } catch {
    return true;
  }
}

function keepSeen() {
  try {
    localStorage.setItem(SEEN, "seen");
  } catch {
    // it is put away for this visit alone
  }
}
