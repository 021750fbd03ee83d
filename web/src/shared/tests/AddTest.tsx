import { useEffect, useId, useMemo, useRef, useState } from "react";
import type { Schemas } from "../api/client";
import { alsoCalled } from "../format";
import { Button } from "../ui/Button";
import { sharedName, TestFinder, type Shared } from "./findTest";

interface AddTestProps {
  tests: Schemas["TestJson"][];
  /** Names that several tests go by. */
  shared: readonly Shared[];
  /** Tests of this region come first. */
  region: string;
  /** Whether a test stands in the order already. */
  inOrder?: (testId: string) => boolean;
  onGo: (testId: string) => void;
}

/** Any test, by two letters of a name it goes by, in any spelling. Where a name is that of several, it is asked which is meant. */
export function AddTest({ tests, shared, region, inOrder, onGo }: AddTestProps) {
  const [typed, setTyped] = useState("");
  const id = useId();
  const finder = useMemo(() => new TestFinder(tests, region), [tests, region]);
  const byId = useMemo(() => new Map(tests.map((test) => [test.id, test])), [tests]);
  const name = sharedName(shared, typed);
  const meant =
    name?.meant.flatMap(({ value, label }) => {
      const test = byId.get(value);
      return test ? [{ test, how: label }] : [];
    }) ?? [];
  const asked = meant.length > 1 ? meant : [];
  const hits = asked.length > 0 ? [] : finder.find(typed);
  const first = asked.length > 0 ? undefined : hits[0];
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (typed.trim().length > 1) {
      list.current?.scrollIntoView({ block: "nearest" });
    }
  }, [typed]);
  const go = (testId: string) => {
    setTyped("");
    onGo(testId);
  };
  return (
    <div className="shrink-0 px-3 pb-1 lg:w-full">
      <label htmlFor={id} className="text-note font-semibold text-soft">
        Another test
      </label>
      <input
        id={id}
        type="search"
        value={typed}
        autoComplete="off"
        placeholder="two letters"
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Enter" && first) {
            event.preventDefault();
            event.currentTarget.blur();
            go(first.id);
          }
          if (event.key === "Escape") {
            setTyped("");
          }
        }}
        className="block min-h-12 w-36 rounded border border-edge bg-sheet px-2 text-read placeholder:text-soft lg:w-full"
      />
      <div ref={list} className="scroll-mb-2">
        {asked.length > 0 && name && (
          <section aria-label={`Tests called ${name.name}`} className="mt-1">
            <p className="text-note font-semibold">
              “{name.name}” is the name of {asked.length}. Which one?
            </p>
            <ul className="flex flex-col gap-1">
              {asked.map(({ test, how }) => (
                <li key={test.id}>
                  <Button
                    className="w-full"
                    onClick={() => {
                      go(test.id);
                    }}
                  >
                    {test.shortName}
                    <span className="block text-note text-soft">{how}</span>
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
        {asked.length === 0 && typed.trim().length > 1 && (
          <ul aria-label="Tests found" className="mt-1 flex flex-col gap-1">
            {hits.map((test) => (
              <li key={test.id}>
                <Button
                  className="w-full"
                  onClick={() => {
                    go(test.id);
                  }}
                >
                  {test.shortName}
                  <Where test={test} region={region} inOrder={inOrder?.(test.id) ?? false} />
                </Button>
              </li>
            ))}
            {hits.length === 0 && <li className="text-note">No test by that name.</li>}
          </ul>
        )}
      </div>
    </div>
  );
}

/** What else the test is called, and where it stands. */
function Where({ test, region, inOrder }: { test: Schemas["TestJson"]; region: string; inOrder: boolean }) {
  const said = [alsoCalled(test), inOrder ? "in the order" : "", test.region === region ? "" : test.region].filter(
    (each) => each !== "",
  );
  return said.length === 0 ? null : <span className="block text-note text-soft">{said.join(", ")}</span>;
}
