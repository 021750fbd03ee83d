import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { Waiting } from "../shared/ui/Message";
import { TextField } from "../shared/ui/TextField";
import { SetupPart } from "./SetupPart";

type Receiver = Schemas["ReceiverJson"];

/** To whom signed examinations can be sent. */
export function ReceiverView() {
  const receiver = useQuery({
    queryKey: keys.receiver,
    queryFn: () => dataOf(api.GET("/api/receiver")),
    staleTime: 0,
  });
  return (
    <SetupPart
      title="Sending"
      about={
        <>
          A server of FHIR R4, such as a hospital’s, to which therapists can send signed examinations. Without one,
          nothing ever leaves by itself.
        </>
      }
      shared={false}
    >
      <FormFault>{receiver.error?.message}</FormFault>
      {receiver.isPending && <Waiting what="the receiver" />}
      {receiver.data && <Form key={receiver.data.address} receiver={receiver.data} />}
    </SetupPart>
  );
}

function Form({ receiver }: { receiver: Receiver }) {
  const cache = useQueryClient();
  const [draft, setDraft] = useState(receiver);
  const decide = useMutation({
    mutationFn: (body: Receiver) => dataOf(api.PUT("/api/receiver", { body })),
    onSuccess: (fresh) => {
      cache.setQueryData(keys.receiver, fresh);
    },
  });
  const faults = faultsOf(decide.error);
  const change = (part: Partial<Receiver>) => {
    setDraft({ ...draft, ...part });
    decide.reset();
  };
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    decide.mutate(draft);
  };
  return (
    <form noValidate onSubmit={submit} className="flex max-w-2xl flex-col gap-4">
      <p className="border-l-4 border-ink pl-3 text-read" role="status">
        {receiver.address ? `Therapists can send to ${receiver.called}.` : "Nobody receives anything."}
      </p>
      <TextField
        id="receiver-called"
        label="Name, as therapists know it"
        value={draft.called}
        fault={faults.called}
        onChange={(called) => {
          change({ called });
        }}
      />
      <TextField
        id="receiver-address"
        label="Address"
        hint="Where its resources begin. With https://, or with http:// on this machine."
        value={draft.address}
        fault={faults.address}
        onChange={(address) => {
          change({ address });
        }}
      />
      <FormFault>{faults.other}</FormFault>
      <div className="flex flex-wrap gap-3">
        <Button
          type="submit"
          look="primary"
          disabled={decide.isPending || (draft.called === receiver.called && draft.address === receiver.address)}
        >
          Keep
        </Button>
        {receiver.address && (
          <Button
            disabled={decide.isPending}
            onClick={() => {
              decide.mutate({ called: "", address: "" });
            }}
          >
            Send to nobody any more
          </Button>
        )}
      </div>
      <p className="text-note text-soft">
        To try it without anybody’s system, start <code>./lexicor receiver</code> and name http://localhost:8090/fhir.
        Where the receiver asks for a secret, it is read from a file that is named when Lexicor is started.
      </p>
    </form>
  );
}
