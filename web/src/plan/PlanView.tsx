import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { move, tell } from "../examination/commands";
import { useLive } from "../examination/ExaminationFrame";
import { api, dataOf } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { PlanOut } from "./PlanOut";
import { PlanSteps } from "./PlanSteps";
import { share, summary } from "./words";

/** Minutes that can be chosen; undefined for as many tests as are worth doing. */
const BUDGETS: readonly [number | undefined, string][] = [[5, "5 min"], [10, "10 min"], [15, "15 min"], [20, "20 min"], [undefined, "As needed"]];

/** The tests to do in the time there is, in the order that spares the patient, each with why. */
export function PlanView() {
  const live = useLive();
  const navigate = useNavigate();
  const { id, commands } = live.examination;
  const number = commands.at(-1)?.number ?? 0;
  const [minutes, setMinutes] = useState<number | undefined>(15);
  const ask = (budget: number | undefined) => ({
    queryKey: keys.plan(id, number, budget ?? -1),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/plan", { params: { path: { id }, query: budget === undefined ? {} : { minutes: budget } } })),
    placeholderData: keepPreviousData,
  });
  const plan = useQuery(ask(minutes));
  const free = useQuery(ask(undefined));
  if (plan.isError) {
    return <Message page title="The plan could not be made" action={<Button look="primary" onClick={() => void plan.refetch()}>Try again</Button>}>The usual order at the bench is there all the same.</Message>;
  }
  if (!plan.data) {
    return <Waiting page what="the plan" />;
  }
  const { steps, out, locked } = plan.data;
  const [first] = steps;
  const take = () => {
    if (first) {
      const values = steps.map((step) => step.testId);
      live.add(tell([{ question: "order", values }, { question: "plan", values }], first.testId));
      live.add(move(first.testId));
      void navigate("..", { relative: "path" });
    }
  };
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 px-5 py-5 lg:overflow-y-auto">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="font-serif text-head font-semibold">Plan</h1>
        <div role="group" aria-label="Time there is" className="no-print flex flex-wrap gap-1.5">
          {BUDGETS.map(([value, name]) => <Button key={name} look="choice" chosen={minutes === value} onClick={() => { setMinutes(value); }}>{name}</Button>)}
        </div>
      </div>
      <p role="status" className="mt-2 text-read">{plan.isFetching ? "Planning …" : summary(plan.data)} {!plan.isFetching && free.data && share(plan.data, free.data)}</p>
      {steps.length === 0 ? (
        <p className="mt-4 border-l-4 border-ink pl-3 text-read">{locked.length > 0 && out.length === 0 ? "Every test is done or locked. See below why, or conclude from what there is." : "Nothing fits into this time, or nothing that is left is worth doing."} <Link to="../conclude" relative="path" className="underline">Conclude</Link></p>
      ) : (
        <>
          <div className="no-print mt-3 flex flex-wrap gap-2">
            <Button look="primary" className="px-6" disabled={live.readOnly} onClick={take}>Do it in this order</Button>
            <Button onClick={() => { window.print(); }}>Print</Button>
          </div>
          <PlanSteps steps={steps} />
        </>
      )}
      <PlanOut out={out} locked={locked} />
      <p className="mt-5 text-note text-soft">A proposal by published figures and working estimates. Leave out, add or reorder at the bench as you see fit.</p>
    </main>
  );
}
