import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { inHundred, when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { FormFault } from "../shared/ui/FormFault";
import { Message, Waiting } from "../shared/ui/Message";
import { TextField } from "../shared/ui/TextField";
import { ToLedger } from "./ToLedger";
import { WorkedOut } from "./Effect";
import { useEffectOf, useKeepsLedger } from "./useLedger";
import { METHODS, METHOD_DOES } from "./words";

type Policy = Schemas["LedgerPolicyJson"];
type Request = Schemas["PolicyRequest"];

/** How the clinic puts studies together, and whether its own results weigh with them. */
export function PolicyView() {
  const policy = useQuery({
    queryKey: keys.ledgerPolicy,
    queryFn: () => dataOf(api.GET("/api/ledger/policy")),
    staleTime: 0,
  });
  if (policy.isPending) {
    return <Waiting what="how studies are put together" page />;
  }
  if (policy.isError) {
    return (
      <Message title="It could not be fetched" page>
        {policy.error.message}
      </Message>
    );
  }
  return <Chosen key={policy.data.knows} policy={policy.data} />;
}

function Chosen({ policy }: { policy: Policy }) {
  const keeps = useKeepsLedger();
  const [method, setMethod] = useState(policy.method);
  const [own, setOwn] = useState<Request["own"]>(policy.weigh ? "AS_BEFORE" : "NONE");
  const same = method === policy.method && own === (policy.weigh ? "AS_BEFORE" : "NONE");
  return (
    <main className="max-w-4xl">
      <title>How studies are put together · Lexicor</title>
      <ToLedger />
      <h1 className="font-serif text-head font-semibold">How studies are put together</h1>
      {keeps ? (
        <>
          <div className="mt-3">
            <ChoiceGroup
              id="policy-method"
              label="What a test weighs is taken from"
              value={method}
              options={METHODS}
              onChoose={(chosen) => {
                setMethod(chosen as Policy["method"]);
              }}
            />
            <p className="mt-1 max-w-2xl text-read text-soft">{METHOD_DOES[method]}</p>
          </div>
          <div className="mt-4">
            <ChoiceGroup
              id="policy-own"
              label="Our own results"
              value={own}
              options={ownOptions(policy)}
              onChoose={(chosen) => {
                setOwn(chosen as Request["own"]);
              }}
            />
            <p className="mt-1 max-w-2xl text-read text-soft">
              They count as one more study that is nearer to ourselves: few leave a weight nearly as it is, many
              outweigh what others found. They stay as they were on the day they were taken.
            </p>
          </div>
          {same ? (
            <p className="mt-4 text-read">This is how it is now.</p>
          ) : (
            <Change key={`${method} ${own}`} policy={policy} method={method} own={own} />
          )}
        </>
      ) : (
        <p className="mt-2 text-read">
          {METHODS.find(([id]) => id === policy.method)?.[1]}. {METHOD_DOES[policy.method]} A steward can choose another
          way.
        </p>
      )}
      {policy.weigh && (
        <section className="mt-6">
          <h2 className="font-serif text-xl font-semibold">Our own results that weigh</h2>
          <p className="text-note text-soft">
            Taken by {policy.weigh.by} on {when(policy.weigh.at)}.
          </p>
          <Results label="Our own results that weigh" results={policy.weigh.results} />
        </section>
      )}
      <section className="mt-6">
        <h2 className="font-serif text-xl font-semibold">
          {policy.weigh ? "Our own results today" : "Our own results so far"}
        </h2>
        {policy.ready.length === 0 ? (
          <p className="text-read">
            No test has results after a positive and after a negative answer yet. Enter what turned out on the page of a
            case.
          </p>
        ) : (
          <Results label="Our own results" results={policy.ready} />
        )}
      </section>
      {policy.history.length > 0 && (
        <section className="mt-6">
          <h2 className="font-serif text-xl font-semibold">Changes</h2>
          <ol className="text-read">
            {policy.history.map((change) => (
              <li key={change.number} className="border-t border-line py-1">
                {when(change.at)}, {change.by}: {change.words}. <span className="text-soft">{change.why}</span>
              </li>
            ))}
          </ol>
        </section>
      )}
    </main>
  );
}

function ownOptions(policy: Policy): [string, string][] {
  const options: [string, string][] = [["NONE", "Do not weigh"]];
  if (policy.weigh) {
    options.push(["AS_BEFORE", "Weigh as they do now"]);
  }
  if (policy.more) {
    options.push(["AS_NOW", policy.weigh ? "Weigh as they are today" : "Weigh"]);
  }
  return options;
}

function Change({ policy, method, own }: { policy: Policy; method: Policy["method"]; own: Request["own"] }) {
  const cache = useQueryClient();
  const [id] = useState(() => crypto.randomUUID());
  const [why, setWhy] = useState("");
  const asked: Request = { id, knows: policy.knows, method, own, why };
  const preview = useEffectOf(`policy ${method} ${own}`, () =>
    dataOf(api.POST("/api/ledger/policy/preview", { body: { ...asked, why: "" } })),
  );
  const change = useMutation({
    mutationFn: () => dataOf(api.POST("/api/ledger/policy", { body: asked })),
    onSuccess: () => cache.invalidateQueries(),
  });
  const faults = faultsOf(change.error);
  return (
    <form
      noValidate
      aria-label="Change how studies are put together"
      className="mt-4 flex flex-col gap-3 border-l-4 border-line pl-4"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate();
      }}
    >
      <WorkedOut preview={preview} />
      <TextField
        id="policy-why"
        label="Why?"
        value={why}
        fault={faults.why}
        onChange={(text) => {
          setWhy(text);
          change.reset();
        }}
      />
      <FormFault>{faults.other}</FormFault>
      <div>
        <Button type="submit" look="primary" disabled={change.isPending}>
          {change.isPending ? "Changing it …" : "Weigh so from now on"}
        </Button>
      </div>
    </form>
  );
}

function Results({ label, results }: { label: string; results: Schemas["LedgerOwnResultJson"][] }) {
  return (
    <div className="mt-1 overflow-x-auto" role="region" tabIndex={0} aria-label={label}>
      <table className="w-full border-collapse text-note">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 pr-3 font-semibold">Test</th>
            <th className="hidden pr-3 font-semibold sm:table-cell">For</th>
            <th className="pr-3 text-right font-semibold">Positive with it</th>
            <th className="pr-3 text-right font-semibold">without it</th>
            <th className="text-right font-semibold">Worth, in patients</th>
          </tr>
        </thead>
        <tbody>
          {results.map((result) => (
            <tr key={`${result.testId} ${result.conditionId}`} className="border-b border-line align-top">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                <Link className="underline" to={`/library/tests/${result.testId}?for=${result.conditionId}`}>
                  {result.testName}
                </Link>
                <span className="block text-soft sm:hidden">{result.conditionName}</span>
              </th>
              <td className="hidden py-1 pr-3 sm:table-cell">{result.conditionName}</td>
              <td className="py-1 pr-3 text-right">{result.with == null ? "–" : inHundred(result.with)}</td>
              <td className="py-1 pr-3 text-right">{result.without == null ? "–" : inHundred(result.without)}</td>
              <td className="py-1 text-right">{Math.round(result.patients)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-note text-soft">
        Of 100, corrected for patients whose result is not known; they are worth fewer patients than were seen.
      </p>
    </div>
  );
}
