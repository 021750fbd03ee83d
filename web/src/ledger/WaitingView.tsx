import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { capital, when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { Message, Waiting } from "../shared/ui/Message";
import { ToLedger } from "./ToLedger";
import { Differences } from "./Differences";
import { WorkedOut } from "./Effect";
import { useEffectOf, useKeepsLedger, useWaiting } from "./useLedger";

type Of = Schemas["LedgerWaitingOfJson"];

/** Changed figures that wait for a second person. */
export function WaitingView() {
  const waiting = useWaiting();
  if (waiting.isPending) {
    return <Waiting what="what waits" page />;
  }
  if (waiting.isError) {
    return (
      <Message title="The list could not be fetched" page>
        {waiting.error.message}
      </Message>
    );
  }
  const { changes, needed } = waiting.data;
  return (
    <main className="max-w-4xl">
      <title>Waiting for a second person · Lexicor</title>
      <ToLedger />
      <h1 className="font-serif text-head font-semibold">Waiting for a second person</h1>
      {changes.length === 0 ? (
        <p className="mt-1 text-read">
          Nothing waits.{" "}
          {needed
            ? "A study that is added or corrected stands here until another steward agrees."
            : "In this clinic one steward changes a figure; whether it takes two is chosen under Setup."}
        </p>
      ) : (
        <Agreement key={changes.map((each) => each.change.number).join(" ")} changes={changes} />
      )}
    </main>
  );
}

function Agreement({ changes }: { changes: Of[] }) {
  const keeps = useKeepsLedger();
  const mayAgree = keeps ? changes.filter((each) => !each.mine).map((each) => each.change.number) : [];
  const [left, setLeft] = useState<number[]>([]);
  const numbers = mayAgree.filter((number) => !left.includes(number));
  return (
    <>
      <p className="mt-1 max-w-2xl text-read">
        Each was added or corrected by one person. Compare it with the original; it weighs once another steward agrees.
      </p>
      <ol className="mt-3 border-t border-line">
        {changes.map((each) => (
          <li key={each.change.number} className="border-b border-line py-2">
            <div className="flex flex-wrap items-start justify-between gap-x-4">
              <p className="text-read">
                <Link className="underline" to={`/library/ledger/${each.change.record}`}>
                  {each.change.record}
                </Link>
                : {capital(each.subject)}, for {each.condition}
                <span className="block text-note text-soft">
                  {each.change.by}, {when(each.change.at)}
                  {each.change.why && `: ${each.change.why}`}
                </span>
              </p>
              {mayAgree.includes(each.change.number) ? (
                <label className="inline-flex min-h-11 items-center gap-2 text-read">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={!left.includes(each.change.number)}
                    onChange={(event) => {
                      setLeft(
                        event.target.checked
                          ? left.filter((number) => number !== each.change.number)
                          : [...left, each.change.number],
                      );
                    }}
                  />
                  I agree
                </label>
              ) : (
                <p className="text-note text-soft">{each.mine ? "Yours: another person has to agree" : ""}</p>
              )}
            </div>
            {each.change.differences.length > 0 && <Differences differences={each.change.differences} />}
          </li>
        ))}
      </ol>
      {numbers.length > 0 && <Agree key={numbers.join(" ")} numbers={numbers} />}
    </>
  );
}

function Agree({ numbers }: { numbers: number[] }) {
  const cache = useQueryClient();
  const [asked] = useState(() => ({ id: crypto.randomUUID(), numbers }));
  const preview = useEffectOf(`waiting ${numbers.join(" ")}`, () =>
    dataOf(api.POST("/api/ledger/waiting/preview", { body: asked })),
  );
  const agree = useMutation({
    mutationFn: () => dataOf(api.POST("/api/ledger/waiting/agree", { body: asked })),
    onSuccess: () => cache.invalidateQueries(),
  });
  return (
    <div className="mt-4 flex flex-col gap-3">
      <WorkedOut preview={preview} />
      <FormFault>{faultsOf(agree.error).other}</FormFault>
      <div>
        <Button
          look="primary"
          disabled={agree.isPending}
          onClick={() => {
            agree.mutate();
          }}
        >
          {agree.isPending
            ? "Keeping it …"
            : `Agree to ${numbers.length === 1 ? "it" : `these ${String(numbers.length)}`}`}
        </Button>
      </div>
    </div>
  );
}
