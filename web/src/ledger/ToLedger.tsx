import { Link } from "react-router";

/** The way back to the ledger. */
export function ToLedger() {
  return (
    <p className="no-print mt-3 text-note">
      <Link to="/library/ledger" className="inline-flex min-h-11 items-center underline">
        Ledger
      </Link>
    </p>
  );
}
