import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";

type Sent = Schemas["SendingJson"];
type One = Schemas["SendingOneJson"];

/** How often a page looks whether what was just asked for has arrived, and what waits after a try, in milliseconds. */
const SOON = 3000;
const LATER = 30_000;

interface SendingProps {
  examination: string;
  /** The last signed version. */
  version: number;
}

/** To whom a signed examination goes, what would go, and what became of it. Nothing where nobody receives any. */
export function Sending({ examination, version }: SendingProps) {
  const cache = useQueryClient();
  const key = keys.sending(examination, version);
  const sending = useQuery({
    queryKey: key,
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/sending", { params: { path: { id: examination } } })),
    refetchInterval: (query) => {
      const waiting = query.state.data?.sent.filter((one) => one.state === "WAITING") ?? [];
      return waiting.length > 0 && (waiting.some((one) => isSoon(one)) ? SOON : LATER);
    },
  });
  const keep = (fresh: Sent) => {
    cache.setQueryData(key, fresh);
  };
  const again = useMutation({
    mutationFn: () =>
      dataOf(api.POST("/api/examinations/{id}/sending/again", { params: { path: { id: examination } } })),
    onSuccess: keep,
  });
  const { receiver, sent = [], holds = [], nameStored = false } = sending.data ?? {};
  if (!receiver && sent.length === 0) {
    return null;
  }
  const asked = sent.some((one) => one.version === version && one.to === receiver?.called);
  return (
    <section aria-label="Sending" className="no-print mb-4 border-l-4 border-ink pl-4">
      {sent.map((one) => (
        <Line
          key={one.id}
          one={one}
          busy={again.isPending}
          onAgain={() => {
            again.mutate();
          }}
        />
      ))}
      <FormFault>{faultsOf(again.error).other}</FormFault>
      {receiver && !asked && (
        <Asking examination={examination} to={receiver} holds={holds} nameStored={nameStored} onAsked={keep} />
      )}
    </section>
  );
}

function Line({ one, busy, onAgain }: { one: One; busy: boolean; onAgain: () => void }) {
  return (
    <div className="my-1 flex flex-wrap items-center gap-x-4 gap-y-1">
      <p role="status" className={`text-read ${one.state === "REFUSED" ? "font-semibold text-for" : ""}`}>
        {became(one)}
      </p>
      {one.mayBeTried && (
        <Button disabled={busy} onClick={onAgain}>
          Try now
        </Button>
      )}
    </div>
  );
}

/** Whether the next try of one that waits is about to be made. */
function isSoon(one: One): boolean {
  return Date.parse(one.nextAt ?? one.askedAt) - Date.now() < LATER;
}

/** What became of one that was asked for, in a sentence or two. */
function became(one: One): string {
  const what = `Version ${String(one.version)}${one.withName ? ", with the name," : ""}`;
  if (one.state === "ARRIVED") {
    return `${what} arrived at ${one.to} ${when(one.doneAt ?? one.askedAt)}, kept there as ${one.said}.`;
  }
  if (one.state === "REFUSED") {
    return `${one.to} refused version ${String(one.version)}: ${one.said}`;
  }
  return one.tries === 0
    ? `${what} is on its way to ${one.to}.`
    : `${what} waits for ${one.to}. ${one.said} Next try ${when(one.nextAt ?? one.askedAt)}.`;
}

interface AskingProps {
  examination: string;
  to: Schemas["ReceiverJson"];
  holds: string[];
  nameStored: boolean;
  onAsked: (fresh: Sent) => void;
}

/** What would leave and to whom, before it does. */
function Asking({ examination, to, holds, nameStored, onAsked }: AskingProps) {
  const [open, setOpen] = useState(false);
  const [withName, setWithName] = useState(false);
  const ask = useMutation({
    mutationFn: () =>
      dataOf(
        api.POST("/api/examinations/{id}/sending", {
          params: { path: { id: examination } },
          body: { withName },
        }),
      ),
    onSuccess: onAsked,
  });
  if (!open) {
    return (
      <Button
        onClick={() => {
          setOpen(true);
        }}
      >
        Send to {to.called}
      </Button>
    );
  }
  return (
    <>
      <h2 className="text-xl font-semibold">Send to {to.called}?</h2>
      <p className="text-read text-soft">
        To {to.address}. Who may read it there is for {to.called} to say. It cannot be called back.
      </p>
      <ul className="mt-1 list-disc pl-6 text-read">
        {holds.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {nameStored && (
        <label className="mt-1 flex min-h-11 items-center gap-3 text-read">
          <input
            type="checkbox"
            checked={withName}
            className="size-6"
            onChange={(event) => {
              setWithName(event.target.checked);
            }}
          />
          With the patient’s name
        </label>
      )}
      <FormFault>{faultsOf(ask.error).other}</FormFault>
      <div className="mt-2 flex gap-3">
        <Button
          look="primary"
          disabled={ask.isPending}
          onClick={() => {
            ask.mutate();
          }}
        >
          Send it
        </Button>
        <Button
          onClick={() => {
            setOpen(false);
          }}
        >
          Cancel
        </Button>
      </div>
    </>
  );
}
