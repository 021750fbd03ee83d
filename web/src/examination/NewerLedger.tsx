import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { inHundred, onDay } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { useLive } from "./ExaminationFrame";

type Newer = Schemas["NewerEvidenceJson"];

/** How many moves and changes are told at most. */
const SHOWN = 6;

/**
 * Offers today's figures where the ledger has changed since the examination began; nothing otherwise. What would move is
 * shown before anything does.
 */
export function NewerLedger() {
  const live = useLive();
  const { id } = live.examination;
  const newer = useQuery({
    queryKey: keys.newerEvidence(id),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/evidence", { params: { path: { id } } })),
    enabled: !live.readOnly,
    staleTime: 60_000,
    retry: false,
  });
  return newer.data?.newer && !live.readOnly ? <Offer newer={newer.data} id={id} mine={live.mine} /> : null;
}

function Offer({ newer, id, mine }: { newer: Newer; id: string; mine: boolean }) {
  const cache = useQueryClient();
  const [open, setOpen] = useState(false);
  const take = useMutation({
    mutationFn: () =>
      dataOf(
        api.POST("/api/examinations/{id}/evidence", {
          params: { path: { id } },
          body: { revision: newer.revision },
        }),
      ),
    onSuccess: () => cache.invalidateQueries(),
    onError: () => cache.invalidateQueries({ queryKey: keys.newerEvidence(id) }),
  });
  return (
    <section aria-label="Newer figures" className="no-print mb-4 border-l-4 border-ink bg-sheet px-4 py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <p className="text-read">
          The evidence ledger has changed since this examination began. It is weighed as it was then.
        </p>
        <Button
          aria-expanded={open}
          onClick={() => {
            setOpen(!open);
          }}
        >
          {open ? "Leave it" : "See what would move"}
        </Button>
      </div>
      {open && (
        <div className="mt-2 flex flex-col gap-3">
          <Moved newer={newer} />
          {newer.changes.length > 0 && (
            <ul className="text-note">
              {newer.changes.slice(0, SHOWN).map((change) => (
                <li key={change.number}>
                  {change.record} {change.words}, by {change.by} on {onDay(change.at)}
                  {change.why && `: ${change.why}`}
                </li>
              ))}
              {newer.changes.length > SHOWN && <li>and {newer.changes.length - SHOWN} earlier changes</li>}
            </ul>
          )}
          <FormFault>{faultsOf(take.error).other}</FormFault>
          {mine ? (
            <div>
              <Button
                look="primary"
                disabled={take.isPending}
                onClick={() => {
                  take.mutate();
                }}
              >
                {take.isPending ? "Weighing anew …" : "Weigh it by today’s ledger"}
              </Button>
            </div>
          ) : (
            <p className="text-note text-soft">Whoever is responsible for the examination can take them over.</p>
          )}
        </div>
      )}
    </section>
  );
}

function Moved({ newer }: { newer: Newer }) {
  if (newer.moved.length === 0) {
    return <p className="text-read">No chance would move by a whole point.</p>;
  }
  return (
    <ul className="text-read">
      {newer.moved.slice(0, SHOWN).map((chance) => (
        <li key={chance.conditionId}>
          {chance.name}: {inHundred(chance.before)} → <strong>{inHundred(chance.after)}</strong> in 100
        </li>
      ))}
      {newer.moved.length > SHOWN && (
        <li className="text-soft">and {newer.moved.length - SHOWN} more that move less</li>
      )}
    </ul>
  );
}
