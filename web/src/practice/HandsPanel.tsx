import { useEffect, useMemo, useRef, useState } from "react";
import { CueCard, WayRow } from "../bench";
import type { Schemas } from "../shared/api/client";
import { AddTest } from "../shared/tests/AddTest";
import { useRegion } from "../shared/tests/useRegion";
import { Button } from "../shared/ui/Button";
import { Waiting } from "../shared/ui/Message";
import type { Practising } from "./usePracticeCase";
import { WriteDown } from "./WriteDown";

type Done = Schemas["PracticeTestJson"];

const USUAL = "usual";

/** Says in this browser that one writes answers down. */
const WRITES = "lexicor.practice.writes";

/** Tests: one is chosen, done on both sides or one, and answered by the patient. */
export function HandsPanel({ practising }: { practising: Practising }) {
  const { known } = practising;
  const region = useRegion(known.region);
  const [chosen, setChosen] = useState(known.tests.at(-1)?.testId);
  const [listed, setListed] = useState(chosen === undefined);
  const choose = (test: string) => {
    setChosen(test);
    setListed(false);
  };
  const tests = useMemo(() => new Map(region.data?.tests.map((test) => [test.id, test])), [region.data]);
  if (!region.data) {
    return <Waiting what="the tests" />;
  }
  const test = chosen === undefined ? undefined : tests.get(chosen);
  const goes = known.tests.filter((each) => each.testId === chosen);
  const shared = region.data.sharedNames;
  return (
    <section aria-labelledby="hands" className="grid gap-4 sm:grid-cols-[10.5rem_minmax(0,1fr)]">
      <div>
        <div className="flex items-center justify-between">
          <h2 id="hands" className="text-xl font-semibold">
            Hands
          </h2>
          {!listed && (
            <Button
              className="sm:hidden"
              onClick={() => {
                setListed(true);
              }}
            >
              Another test
            </Button>
          )}
        </div>
        <div className={`-mx-3 mt-1 ${listed ? "" : "hidden sm:block"}`}>
          <AddTest tests={region.data.tests} shared={shared} region={known.region} onGo={choose} />
        </div>
        <ul
          className={`mt-1 max-h-56 overflow-y-auto sm:max-h-[34rem] ${listed ? "" : "hidden sm:block"}`}
          aria-label="Tests in the usual order"
        >
          {region.data.steps.map((step, place) => (
            <li key={place}>
              <p className="sticky top-0 bg-paper pt-1 text-note font-semibold text-soft">{step.name}</p>
              <ul>
                {step.testIds.map((id) => {
                  const each = tests.get(id);
                  const done = known.tests.some((go) => go.testId === id);
                  return (
                    each && (
                      <li key={id}>
                        <button
                          type="button"
                          aria-pressed={id === chosen}
                          onClick={() => {
                            choose(id);
                          }}
                          className={`flex min-h-11 w-full items-center justify-between gap-2 border-l-4 px-2 text-left text-read leading-tight ${id === chosen ? "border-ink bg-tan font-semibold" : "border-transparent hover:bg-tan"}`}
                        >
                          {each.shortName}
                          {done && <span className="text-note text-soft">done</span>}
                        </button>
                      </li>
                    )
                  );
                })}
              </ul>
            </li>
          ))}
        </ul>
      </div>
      <div className="min-w-0">
        {test ? (
          <ChosenTest key={test.id} test={test} goes={goes} practising={practising} />
        ) : (
          <Invitation practising={practising} onGo={choose} />
        )}
      </div>
    </section>
  );
}

function Invitation({ practising, onGo }: { practising: Practising; onGo: (test: string) => void }) {
  return (
    <div>
      <p className="max-w-prose text-read text-soft">
        Choose a test. Before you do, put your chances on what you think it is: then see whether the answer moves you as
        far as it should.
      </p>
      <Hint practising={practising} onGo={onGo} />
    </div>
  );
}

/** What to do next, for whoever asks; it is counted. */
function Hint({ practising, onGo }: { practising: Practising; onGo: (test: string) => void }) {
  const { hint } = practising.known;
  if (!hint) {
    return (
      <Button
        className="mt-3"
        disabled={practising.busy}
        onClick={() => {
          practising.take({ hint: true });
        }}
      >
        I am stuck: what next?
      </Button>
    );
  }
  const { testId, name } = hint;
  return testId ? (
    <p className="mt-3 text-read" role="status">
      Most for its time now:{" "}
      <button
        type="button"
        className="min-h-11 font-semibold underline"
        onClick={() => {
          onGo(testId);
        }}
      >
        {name}
      </button>
    </p>
  ) : (
    <p className="mt-3 text-read" role="status">
      No test promises enough to be worth doing.
    </p>
  );
}

function ChosenTest({ test, goes, practising }: { test: Schemas["TestJson"]; goes: Done[]; practising: Practising }) {
  const [way, setWay] = useState(USUAL);
  const [writes, setWrites] = useState(() => window.localStorage.getItem(WRITES) !== null);
  const startWriting = () => {
    window.localStorage.setItem(WRITES, "yes");
    setWrites(true);
  };
  const last = useRef<HTMLDivElement>(null);
  const count = goes.length;
  const before = useRef(count);
  useEffect(() => {
    if (count > before.current) {
      last.current?.scrollIntoView({ block: "nearest" });
      before.current = count;
    }
  }, [count]);
  const doIt = (wellFirst: boolean) => {
    practising.take({ test: { testId: test.id, way, wellFirst } });
  };
  const sides = test.wellSideParts.length > 0;
  const again = count > 0 ? "Pause, then again" : "Do it";
  return (
    <div>
      <CueCard
        test={test}
        form={writes && count > 0 ? "name" : "short"}
        way={undefined}
        done={<WayRow test={test} way={way === USUAL ? (test.ways[0]?.value ?? USUAL) : way} onChoose={setWay} />}
      />
      <div className="mt-3 flex flex-wrap gap-2">
        {sides ? (
          <>
            <Button
              look="primary"
              disabled={practising.busy}
              onClick={() => {
                doIt(true);
              }}
            >
              {again}, well side first
            </Button>
            <Button
              disabled={practising.busy}
              onClick={() => {
                doIt(false);
              }}
            >
              {again}, this side only
            </Button>
          </>
        ) : (
          <Button
            look="primary"
            disabled={practising.busy}
            onClick={() => {
              doIt(true);
            }}
          >
            {again}
          </Button>
        )}
      </div>
      <div className="mt-4 flex flex-col gap-3">
        {goes.toReversed().map((go, place) => (
          <div key={go.step} ref={place === 0 ? last : undefined}>
            <Answer go={go} />
            {place === 0 && (
              <div className="mt-2">
                {writes ? (
                  <WriteDown test={test} practising={practising} />
                ) : (
                  <Button onClick={startWriting}>Write it down</Button>
                )}
              </div>
            )}
          </div>
        ))}
      </div>
    </div>
  );
}

function Answer({ go }: { go: Done }) {
  return (
    <article className="border-l-4 border-ink bg-sheet px-4 py-2" aria-label={`Answer to ${go.name}`}>
      {go.hurt && (
        <p role="alert" className="border-y-2 border-for py-1 font-serif text-lg font-semibold">
          “{go.hurt}”
        </p>
      )}
      <Lines lines={go.here} />
      {go.well.length > 0 && (
        <>
          <p className="mt-1 text-note font-semibold text-soft">Well side</p>
          <Lines lines={go.well} quiet />
        </>
      )}
      {go.way && <p className="mt-1 text-note text-soft">Done: {go.way.toLowerCase()}</p>}
    </article>
  );
}

function Lines({ lines, quiet }: { lines: Schemas["PracticeLineJson"][]; quiet?: boolean }) {
  return (
    <dl className={`grid grid-cols-[auto_1fr] gap-x-3 ${quiet ? "text-note" : "text-read"}`}>
      {lines.map((line, place) => (
        <div key={place} className="contents">
          <dt className="text-soft">{line.label}</dt>
          <dd className={line.said ? "font-serif" : "font-semibold"}>{line.said ? `“${line.words}”` : line.words}</dd>
        </div>
      ))}
    </dl>
  );
}
