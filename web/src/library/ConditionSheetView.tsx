import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { inHundred } from "../shared/format";
import { Part, Sheet, SheetHead, ShortList, ToSheet } from "./Sheet";
import { WeightBars } from "./WeightBars";

/** A condition in full: what moves it and how far, its pattern, its rivals, and what would settle it. */
export function ConditionSheetView() {
  const { id = "" } = useParams();
  const sheet = useQuery({
    queryKey: keys.conditionSheet(id),
    queryFn: () => dataOf(api.GET("/api/library/conditions/{id}", { params: { path: { id } } })),
    staleTime: 60_000,
  });
  return (
    <Sheet query={sheet} what="the condition">
      {(data) => <ConditionSheet sheet={data} />}
    </Sheet>
  );
}

function ConditionSheet({ sheet }: { sheet: Schemas["ConditionSheetJson"] }) {
  return (
    <>
      <title>{`${sheet.name} · Lexicor`}</title>
      <SheetHead kind="Condition" />
      <h1 className="font-serif text-head font-semibold">{sheet.name}</h1>
      <p className="text-read text-soft">{sheet.scope}</p>
      {sheet.serious && (
        <p className="mt-2 border-l-4 border-for bg-sheet px-4 py-2 text-read">
          <strong>Not to be missed.</strong> {sheet.serious}, per local pathway.
        </p>
      )}
      <dl className="mt-3 grid grid-cols-[8rem_1fr] gap-x-2 gap-y-0.5 text-read">
        <dt className="text-soft">Starts at</dt>
        <dd>
          {inHundred(sheet.start.FIRST_CONTACT ?? 0)} in 100 at first contact, {inHundred(sheet.start.SPECIALIST ?? 0)}{" "}
          in 100 in a specialist clinic{sheet.onlyIf && `, ${sheet.onlyIf}`}{" "}
          <span className="text-note text-soft">(working estimates)</span>
        </dd>
        {sheet.settles && (
          <>
            <dt className="text-soft">Settled by</dt>
            <dd>
              {sheet.settles.by}
              {sheet.settles.soon && `; ${sheet.settles.soon}`}{" "}
              <span className="text-note text-soft">(to consider, per local pathway)</span>
            </dd>
          </>
        )}
        {sheet.wider.length > 0 && (
          <>
            <dt className="text-soft">Part of</dt>
            <dd>{links(sheet.wider)}</dd>
          </>
        )}
        {sheet.narrower.length > 0 && (
          <>
            <dt className="text-soft">Takes in</dt>
            <dd>{links(sheet.narrower)}</dd>
          </>
        )}
      </dl>
      <Part
        title="What moves it"
        note={
          sheet.weights.length > 0
            ? "What either answer of each test weighs by the study in use. The farther from the pivot, the more it moves."
            : undefined
        }
      >
        {sheet.weights.length > 0 ? (
          <WeightBars weights={sheet.weights} />
        ) : (
          <p className="text-read">No test has usable figures for it. Its pattern below is what there is to go by.</p>
        )}
        {sheet.unmeasured.length > 0 && (
          <details className="mt-4" open={sheet.weights.length === 0}>
            <summary className="min-h-12 cursor-pointer text-read font-semibold">
              Not weighed: {sheet.unmeasured.length} more{" "}
              {sheet.unmeasured.length === 1 ? "test speaks" : "tests speak"} about it
            </summary>
            <ul className="text-read">
              {sheet.unmeasured.map((test) => (
                <li key={test.id} className="border-b border-line py-1">
                  <ToSheet kind="tests" id={test.id}>
                    {test.name}
                  </ToSheet>{" "}
                  <span className="text-note text-soft">{test.because}</span>
                </li>
              ))}
            </ul>
          </details>
        )}
      </Part>
      <Part title="Pattern" note="Typical findings as the field teaches them: a count with its list, never a chance.">
        <div className="grid gap-x-10 gap-y-6 md:grid-cols-2">
          <ShortList
            title="Speaks for it"
            items={sheet.expects.map((finding) => (
              <Finding key={finding.says} finding={finding} />
            ))}
          />
          <div className="space-y-6">
            <ShortList
              title="Unlikely without"
              items={sheet.defining.map((finding) => (
                <Finding key={finding.says} finding={finding} />
              ))}
            />
            <ShortList
              title="Speaks against it"
              items={sheet.against.map((finding) => (
                <Finding key={finding.says} finding={finding} />
              ))}
            />
            <ShortList
              title="Told or seen before the hands"
              items={sheet.clues.map((clue) => (
                <>
                  {clue.label}
                  {clue.when && <span className="text-soft"> ({clue.when})</span>}{" "}
                  <span className="text-note text-soft">
                    {shifted(clue.step)}: {clue.reason}
                  </span>
                </>
              ))}
            />
            <ShortList
              title="Counted in"
              items={sheet.clusters.map((cluster) => (
                <ToSheet key={cluster.id} kind="sets" id={cluster.id}>
                  {cluster.name}
                </ToSheet>
              ))}
            />
          </div>
        </div>
      </Part>
      {sheet.rivals.length > 0 && (
        <Part title="Rivals, and what separates them">
          <ul>
            {sheet.rivals.map((rival) => (
              <Rival key={rival.conditionId} rival={rival} />
            ))}
          </ul>
        </Part>
      )}
    </>
  );
}

/** What a working step does to the odds, in words. */
function shifted(step: number | null | undefined): string {
  if (step == null) {
    return "leaves it out";
  }
  const times = Math.exp(Math.abs(step));
  return `odds ${step > 0 ? "times" : "divided by"} ${times.toFixed(1).replace(".0", "")}`;
}

function links(conditions: Schemas["NamedJson"][]) {
  return conditions.map((condition, index) => (
    <span key={condition.id}>
      {index > 0 && ", "}
      <ToSheet kind="conditions" id={condition.id}>
        {condition.name}
      </ToSheet>
    </span>
  ));
}

function Finding({ finding }: { finding: Schemas["ExpectedJson"] }) {
  return (
    <>
      {finding.says}{" "}
      <span className="text-note text-soft">
        ·{" "}
        <ToSheet kind="tests" id={finding.testId}>
          {finding.testName}
        </ToSheet>
      </span>
    </>
  );
}

function Rival({ rival }: { rival: Schemas["RivalJson"] }) {
  return (
    <li className="grid break-inside-avoid gap-x-8 gap-y-1 border-b border-line py-3 md:grid-cols-[16rem_1fr]">
      <strong className="text-read">
        <ToSheet kind="conditions" id={rival.conditionId}>
          {rival.name}
        </ToSheet>
      </strong>
      <div>
        <p className="text-read">{rival.how}</p>
        <p className="text-note text-soft">
          Tests:{" "}
          {rival.tests.map((test, index) => (
            <span key={test.id}>
              {index > 0 && ", "}
              <ToSheet kind="tests" id={test.id}>
                {test.name}
              </ToSheet>
            </span>
          ))}
        </p>
        {rival.measured.length > 0 && (
          <p className="text-note text-soft">
            Figures for both, best first:{" "}
            {rival.measured.slice(0, 4).map((test, index) => (
              <span key={test.testId}>
                {index > 0 && ", "}
                {test.testName} ({test.decibans.toFixed(1)} dB apart)
              </span>
            ))}
          </p>
        )}
      </div>
    </li>
  );
}
