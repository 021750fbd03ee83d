import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, complaintWords, onDay } from "../shared/format";
import { Fetched } from "../shared/ui/Fetched";

type Waits = Schemas["WaitingComplaintJson"];

/** Complaints of which nobody has said yet whether it was so. */
export function WaitingView() {
  const waiting = useQuery({
    queryKey: keys.waitingComplaints,
    queryFn: () => dataOf(api.GET("/api/outcomes/waiting")),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">Waiting for an answer</h1>
      <Fetched query={waiting} what="The list">
        {(list) => (
          <>
            <p className="text-read text-soft">
              {list.signed === 0
                ? "A complaint stands here once its examination is signed with a working diagnosis."
                : `${String(list.answered)} of ${String(list.signed)} signed complaints have a result.`}
            </p>
            {list.signed > 0 && list.waiting.length === 0 && (
              <p className="mt-4 text-read">Nothing is waiting. Every working diagnosis has an answer.</p>
            )}
            {list.all > list.waiting.length && (
              <p className="text-read">
                {list.all} are waiting; these {list.waiting.length} come first.
              </p>
            )}
            <ul className="mt-3">
              {list.waiting.map((each) => (
                <WaitingLine key={each.complaint} waits={each} />
              ))}
            </ul>
          </>
        )}
      </Fetched>
    </>
  );
}

function WaitingLine({ waits }: { waits: Waits }) {
  return (
    <li className="border-t border-line">
      <Link
        to={`/cases/${waits.caseId}?result=${waits.complaint}`}
        className="grid min-h-14 gap-x-6 gap-y-1 px-1 py-2 text-read hover:bg-sheet sm:grid-cols-[10rem_1fr_14rem]"
      >
        <span>
          <strong>{waits.code}</strong>
          <br />
          <span className="text-note text-soft">{complaintWords(waits.side, waits.region)}</span>
        </span>
        <span>
          {capital(waits.working || "No working diagnosis")}
          {waits.askedFor.length > 0 && (
            <>
              <br />
              <span className="text-note text-soft">Asked for: {waits.askedFor.join(", ")}</span>
            </>
          )}
        </span>
        <span className="text-note">
          Examined {onDay(waits.visited)}
          <br />
          {waits.due ? (
            waits.overdue ? (
              <strong>Next visit was {onDay(waits.due)}</strong>
            ) : (
              <>Next visit {onDay(waits.due)}</>
            )
          ) : (
            <span className="text-soft">No day set</span>
          )}
        </span>
      </Link>
    </li>
  );
}
