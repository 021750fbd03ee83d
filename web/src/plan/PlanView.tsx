import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { move, tell } from "../record";
import { useLive } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { affected, alsoCalled } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { BudgetCurve } from "./BudgetCurve";
import { Budgets } from "./Budgets";
import { Comparison } from "./Comparison";
import { inOrderOf, placeOf } from "./ordering";
import { PlanLimits } from "./PlanLimits";
import { PlanOut } from "./PlanOut";
import { PlanSteps } from "./PlanSteps";
import { PlanStrip } from "./PlanStrip";
import { PocketCard } from "./PocketCard";
import { useMyHands } from "../shared/useMyHands";
import { usePlan } from "./usePlan";
import { PLAN_ANSWERS } from "./useReplan";
import { forgoneWords, minuteWords, share, summary } from "./words";

/** The tests to do in the time there is, in the order that spares the patient, each with why; to be changed at will. */
export function PlanView() {
  const live = useLive();
  const navigate = useNavigate();
  const desk = usePlan(live);
  const hands = useMyHands(live.examination.id);
  const { examination, region } = live;
  const routines = useQuery({
    queryKey: keys.routines(region.region),
    queryFn: () => dataOf(api.GET("/api/routines", { params: { query: { region: region.region } } })),
  });
  const { proposed, own, draft } = desk;
  if (proposed.isError) {
    return (
      <Message
        page
        title="The plan could not be made"
        action={
          <Button look="primary" onClick={() => void proposed.refetch()}>
            Try again
          </Button>
        }
      >
        The usual order at the bench is there all the same.
      </Message>
    );
  }
  if (!proposed.data) {
    return <Waiting page what="the plan" />;
  }
  const mine = draft ? own.data : undefined;
  const weighed = mine?.plan ?? proposed.data;
  const plan = mine && draft ? { ...weighed, steps: inOrderOf(weighed.steps, draft.tests) } : weighed;
  const most = desk.curve.data?.points.at(-1)?.bits ?? desk.free.data?.bits ?? 0;
  const busy = proposed.isFetching || own.isFetching;
  const take = () => {
    const values = plan.steps.map((step) => step.testId);
    const [first] = values;
    if (first) {
      const positions = plan.steps
        .filter((step) => step.positions.length > 1)
        .map((step) => placeOf(step.testId, step.position));
      const byHand = draft?.byHand.filter((id) => values.includes(id)) ?? [];
      live.add(
        tell(
          [
            { question: PLAN_ANSWERS.order, values },
            { question: PLAN_ANSWERS.plan, values },
            { question: PLAN_ANSWERS.byHand, values: byHand },
            { question: PLAN_ANSWERS.positions, values: positions },
            {
              question: PLAN_ANSWERS.kept,
              values: plan.steps.filter((step) => step.why === "BY_HAND").map((step) => step.testId),
            },
          ],
          first,
        ),
      );
      live.add(move(first));
      desk.forget();
      void navigate("..", { relative: "path" });
    }
  };
  const tests = new Map(region.tests.map((test) => [test.id, test]));
  const called = (id: string) => {
    const test = tests.get(id);
    return test && { name: test.shortName, also: alsoCalled(test) };
  };
  const change = live.readOnly
    ? {}
    : {
        onMove: desk.move,
        onPutIn: (id: string) => {
          desk.putIn(id, region.tests);
        },
      };
  return (
    <main className="mx-auto w-full max-w-6xl flex-1 px-5 py-4 lg:overflow-y-auto print:overflow-visible print:p-0">
      <div className="no-print">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h1 className="font-serif text-head font-semibold">Plan</h1>
          <Budgets minutes={desk.minutes} onChoose={desk.setMinutes} />
        </div>
        <p role="status" className="mt-2 min-h-7 text-read">
          {busy ? (
            "Planning …"
          ) : (
            <>
              {draft && <strong>Mine, from {draft.from}: </strong>}
              {summary(plan)} {share(plan, most)} {!draft && forgoneWords(plan, most)}
            </>
          )}
        </p>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button
            look="primary"
            className="px-6"
            disabled={live.readOnly || plan.steps.length === 0 || own.isFetching}
            onClick={take}
          >
            Do it in this order
          </Button>
          {draft && <Button onClick={desk.propose}>Back to the proposal</Button>}
          {desk.undo && <Button onClick={desk.undo}>Undo</Button>}
          {routines.data && !live.readOnly && <RoutineChoice routines={routines.data} onChoose={desk.begin} />}
          <Button
            disabled={plan.steps.length === 0}
            onClick={() => {
              window.print();
            }}
          >
            Print a pocket card
          </Button>
        </div>
        <div className="mt-4 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
          <div className="min-w-0">
            {!draft && plan.spared != null && (
              <p className="mb-3 border-l-4 border-ink pl-3 text-read">
                <strong>Only the most valuable tests,</strong> up to {minuteWords(plan.spared)}: the pain is strong and
                stays. Put others in if you must.
              </p>
            )}
            {draft?.gone && draft.gone.length > 0 && (
              <p className="mb-3 border-l-4 border-for pl-3 text-read">
                <strong>Not in the library any more:</strong> {draft.gone.join(", ")}. The others can be done.
              </p>
            )}
            {mine && <Faults mine={mine} />}
            {own.isError && (
              <p role="alert" className="border-l-4 border-for pl-3 text-read">
                Your order could not be weighed. The proposal is shown; yours is kept.
              </p>
            )}
            {plan.steps.length === 0 ? (
              <p className="border-l-4 border-ink pl-3 text-read">
                {plan.locked.length > 0 && plan.out.length === 0
                  ? "Every test is done or locked. See below why, or conclude from what there is."
                  : draft
                    ? "No test is left in. Put some in below."
                    : "Nothing fits into this time, or nothing that is left is worth doing."}{" "}
                <Link to="../conclude" relative="path" className="underline">
                  Conclude
                </Link>
              </p>
            ) : (
              <>
                <PlanStrip steps={plan.steps} />
                <PlanSteps
                  steps={plan.steps}
                  byHand={draft?.byHand ?? []}
                  onMove={change.onMove}
                  onLeaveOut={desk.leaveOut}
                  called={called}
                />
              </>
            )}
            <PlanOut
              out={plan.out}
              locked={plan.locked}
              onPutIn={change.onPutIn}
              onMine={(test, mine) => {
                hands.mutate({ test, mine });
              }}
            />
            {hands.isError && (
              <p role="alert" className="border-l-4 border-for pl-3 text-read">
                {hands.error.message}
              </p>
            )}
            <p className="mt-5 text-note text-soft">
              A proposal by published figures and working estimates. The therapist decides; local scope and protocols
              rule.
            </p>
          </div>
          <aside aria-label="What it takes and tells" className="flex flex-col gap-5 lg:pt-2">
            {desk.curve.data ? (
              <BudgetCurve curve={desk.curve.data} most={most} proposed={proposed.data} own={mine?.plan} />
            ) : desk.curve.isError ? null : (
              <p className="text-note text-soft lg:min-h-60">The curve of time against information follows.</p>
            )}
            {mine && <Comparison own={mine.plan} proposed={proposed.data} most={most} />}
            <PlanLimits plan={plan} />
            <Link to="../two-stories" relative="path" className={QUIET_LINK}>
              Beside another patient’s plan
            </Link>
          </aside>
        </div>
      </div>
      <PocketCard
        plan={plan}
        title={`${examination.person.code}, ${affected(examination.side, examination.otherSideInvolved, examination.region)}`}
      />
    </main>
  );
}

/** What speaks against an order by hand, and what of it may not be done now. */
function Faults({ mine }: { mine: Schemas["OwnPlanJson"] }) {
  return (
    <>
      {mine.faults.length > 0 && (
        <ul aria-label="What speaks against this order" className="mb-3 border-l-4 border-for pl-3 text-read">
          {mine.faults.map((fault) => (
            <li key={fault}>{fault}</li>
          ))}
        </ul>
      )}
      {mine.skipped.length > 0 && (
        <p className="mb-3 border-l-4 border-ink pl-3 text-read">
          <strong>Left out for now:</strong> {mine.skipped.map((test) => `${test.name} (${test.why})`).join("; ")}.
        </p>
      )}
    </>
  );
}

function RoutineChoice({
  routines,
  onChoose,
}: {
  routines: readonly Schemas["RoutineJson"][];
  onChoose: (routine: Schemas["RoutineJson"]) => void;
}) {
  return (
    <select
      aria-label="Start from a routine"
      value=""
      className="min-h-12 max-w-full rounded border border-edge bg-sheet px-2.5 text-read"
      onChange={(event) => {
        const routine = routines.find((each) => `${String(each.own)} ${each.id}` === event.target.value);
        if (routine) {
          onChoose(routine);
        }
      }}
    >
      <option value="" disabled>
        Start from a routine …
      </option>
      {routines.map((each) => (
        <option key={`${String(each.own)} ${each.id}`} value={`${String(each.own)} ${each.id}`}>
          {each.name}
          {each.own ? " (ours)" : ""}
        </option>
      ))}
    </select>
  );
}
