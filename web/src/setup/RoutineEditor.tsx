import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { AddTest } from "../shared/tests/AddTest";
import type { Shared } from "../shared/tests/findTest";
import { minuteWords, moved, withTest } from "../plan";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { Sortable, SortableRow } from "../shared/ui/Sortable";
import { TextField } from "../shared/ui/TextField";
import { readRoutine, routineId, routineText, type Entry } from "./routineText";
import { useChoose, useMayChange } from "./useChoose";

/** A pause in typing after which the check follows. */
const PAUSE_MS = 300;

const MOST_SECONDS = 900;

/** What was changed and not kept yet stays in this browser over a reload. */
const DRAFT = "lexicor.routine.";

function keyOf(routine: Schemas["RoutineJson"]): string {
  return `${routine.region}.${routine.own ? "own" : "ready"}.${routine.id}`;
}

interface RoutineEditorProps {
  routine: Schemas["RoutineJson"];
  tests: readonly Schemas["TestJson"][];
  /** Names that several tests go by. */
  shared: readonly Shared[];
  /** Ids of the clinic's own routines of the region. */
  taken: readonly string[];
  /** Told the id under which it was kept; undefined once it was removed. */
  onKept: (id: string | undefined) => void;
}

/** One routine: its tests in order, each to be moved, timed or left out, and what the whole takes and what speaks against it. */
export function RoutineEditor({ routine, tests, shared, taken, onKept }: RoutineEditorProps) {
  const may = useMayChange();
  const cache = useQueryClient();
  const choose = useChoose();
  const [removing, setRemoving] = useState(false);
  const [text, setText] = useState(() => window.localStorage.getItem(DRAFT + keyOf(routine)) ?? routine.text);
  const { name, entries } = readRoutine(text);
  const settled = useSettled(text);
  const check = useQuery({
    queryKey: keys.routineCheck(routine.region, settled),
    queryFn: () => dataOf(api.POST("/api/routines/check", { body: { region: routine.region, text: settled } })),
    enabled: may && settled !== routine.text && readRoutine(settled).entries.length > 0,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const changed = text !== routine.text;
  const checked = changed ? (check.data ?? routine) : routine;
  const known = new Map(tests.map((test) => [test.id, test]));
  const steps = new Map(checked.steps.map((step) => [step.testId, step]));
  const write = (next: string) => {
    choose.reset();
    setText(next);
    if (next === routine.text) {
      window.localStorage.removeItem(DRAFT + keyOf(routine));
    } else {
      window.localStorage.setItem(DRAFT + keyOf(routine), next);
    }
  };
  const set = (next: Entry[], called = name) => {
    write(routineText({ name: called, entries: next }));
  };
  const ids = entries.map((entry) => entry.testId);
  const moveTo = (id: string, to: string) => {
    set(
      moved(ids, ids.indexOf(id), ids.indexOf(to)).flatMap(
        (each) => entries.find((entry) => entry.testId === each) ?? [],
      ),
    );
  };
  const putIn = (id: string) => {
    set(withTest(ids, id, tests).map((each) => entries.find((entry) => entry.testId === each) ?? { testId: each }));
  };
  const keep = (id: string, value?: string) => {
    choose.mutate(
      { name: `routine.${routine.region}.${id}`, ...(value === undefined ? {} : { value }) },
      {
        onSuccess: () => {
          window.localStorage.removeItem(DRAFT + keyOf(routine));
          void cache.invalidateQueries({ queryKey: keys.routines(routine.region) });
          onKept(value === undefined ? undefined : id);
        },
      },
    );
  };
  const copy = () => {
    keep(
      routineId(name === routine.name ? `${name} ours` : name, taken),
      routineText({
        name: name === routine.name ? `${name}, ours` : name,
        entries: entries.filter((entry) => known.has(entry.testId)),
      }),
    );
  };
  const fault =
    faultsOf(choose.error).value ??
    faultsOf(choose.error).other ??
    faultsOf(check.error).text ??
    faultsOf(check.error).other;
  const unreachable = checked.missing.length > 0 || checked.faults.some((each) => each.unreachable);
  const nameFault = name.trim() === "" ? "A name, please." : name.length > 60 ? "At most 60 characters." : undefined;
  return (
    <div className="mt-4 grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_17rem]">
      <div className="min-w-0">
        {may && (
          <TextField
            id="routine-name"
            label="Name"
            value={name}
            fault={nameFault}
            onChange={(value) => {
              set(entries, value);
            }}
            className="mb-3 max-w-md"
          />
        )}
        {routine.missing.length > 0 && (
          <p role="note" className="mb-3 border-l-4 border-for pl-3 text-read">
            Not in the library any more: {routine.missing.join(", ")}. The others can be done.{" "}
            {may && "Leave it out to keep the routine."}
          </p>
        )}
        <Sortable rows={ids.map((id) => ({ id, name: known.get(id)?.shortName ?? id }))} onMove={moveTo}>
          <ol className="border-t-2 border-ink">
            {entries.map((entry, index) => {
              const step = steps.get(entry.testId);
              const test = known.get(entry.testId);
              const before = steps.get(ids[index - 1] ?? "")?.position;
              const label = test?.shortName ?? entry.testId;
              return (
                <SortableRow
                  key={entry.testId}
                  id={entry.testId}
                  name={label}
                  movable={may}
                  className="grid min-h-12 grid-cols-[2.75rem_minmax(0,1fr)_auto_auto] items-center gap-x-2 border-b border-line text-read"
                >
                  <span className="leading-tight">
                    <span className="font-semibold">{label}</span>{" "}
                    <span className="text-note text-soft">
                      {step
                        ? before !== undefined && before !== step.position
                          ? `then ${step.position.toLowerCase()}`
                          : index === 0
                            ? step.position.toLowerCase()
                            : ""
                        : test
                          ? ""
                          : "not in the library any more"}
                    </span>
                  </span>
                  {may ? (
                    <label className="flex items-center gap-1 text-note text-soft">
                      <input
                        aria-label={`Seconds for ${label}`}
                        inputMode="numeric"
                        value={entry.seconds ?? ""}
                        placeholder={String(step?.seconds ?? "")}
                        onChange={(event) => {
                          const typed = event.target.value.replace(/\D/g, "");
                          set(
                            entries.map((each) =>
                              each === entry
                                ? {
                                    testId: each.testId,
                                    ...(typed === "" || Number(typed) === 0
                                      ? {}
                                      : { seconds: Math.min(MOST_SECONDS, Number(typed)) }),
                                  }
                                : each,
                            ),
                          );
                        }}
                        className="min-h-11 w-16 rounded border border-edge bg-sheet px-2 text-right text-read text-ink placeholder:text-soft"
                      />{" "}
                      s
                    </label>
                  ) : (
                    <span className="text-note text-soft">{step ? `${String(step.seconds)} s` : ""}</span>
                  )}
                  {may ? (
                    <button
                      type="button"
                      aria-label={`Leave out ${label}`}
                      onClick={() => {
                        set(entries.filter((each) => each !== entry));
                      }}
                      className="size-11 text-soft hover:bg-tan"
                    >
                      ✕
                    </button>
                  ) : (
                    <span />
                  )}
                </SortableRow>
              );
            })}
          </ol>
        </Sortable>
        {entries.length === 0 && <p className="mt-3 text-read">No test is in. Put one in beside the list.</p>}
      </div>
      <aside aria-label="What it takes" className="flex flex-col gap-3">
        <p className="text-read">
          <strong>
            {checked.steps.length} tests, {minuteWords(checked.minutes)}
          </strong>
          , {checked.moves === 1 ? "1 change" : `${String(checked.moves)} changes`} of position.
        </p>
        {checked.faults.length > 0 && (
          <ul aria-label="What speaks against this order" className="border-l-4 border-for pl-3 text-read">
            {checked.faults.map((each) => (
              <li key={each.words}>
                {each.words}
                {each.unreachable && " It cannot be kept so."}
              </li>
            ))}
          </ul>
        )}
        {may && (
          <>
            <div className="-mx-3">
              <AddTest
                tests={tests.filter((test) => !ids.includes(test.id))}
                shared={shared}
                region={routine.region}
                onGo={putIn}
              />
            </div>
            <div className="flex flex-wrap gap-2">
              {routine.own ? (
                <Button
                  look="primary"
                  disabled={
                    !changed || unreachable || nameFault !== undefined || entries.length === 0 || choose.isPending
                  }
                  onClick={() => {
                    keep(routine.id, text);
                  }}
                >
                  Keep
                </Button>
              ) : (
                <Button
                  look="primary"
                  disabled={unreachable || nameFault !== undefined || entries.length === 0 || choose.isPending}
                  onClick={copy}
                >
                  {changed ? "Keep as ours" : "Copy to ours"}
                </Button>
              )}
              <Button
                disabled={!changed}
                onClick={() => {
                  write(routine.text);
                }}
              >
                Undo changes
              </Button>
              {routine.own &&
                (removing ? (
                  <>
                    <Button
                      onClick={() => {
                        keep(routine.id);
                      }}
                    >
                      Yes, remove it
                    </Button>
                    <Button
                      onClick={() => {
                        setRemoving(false);
                      }}
                    >
                      No
                    </Button>
                  </>
                ) : (
                  <Button
                    onClick={() => {
                      setRemoving(true);
                    }}
                  >
                    Remove
                  </Button>
                ))}
            </div>
            <p role="status" className="text-note text-for empty:hidden">
              {fault}
            </p>
          </>
        )}
        {checked.locks.length > 0 && (
          <div className="text-note">
            <p className="font-semibold">Some patients may not have all of it</p>
            <ul>
              {checked.locks.map((lock) => (
                <li key={lock.when} className="mt-1 border-t border-line pt-1">
                  {lock.when}: <span className="text-soft">{lock.tests.join(", ")}</span>
                </li>
              ))}
            </ul>
          </div>
        )}
      </aside>
    </div>
  );
}

/** A text once nothing more was typed for a moment. */
function useSettled(text: string): string {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => {
      setSettled(text);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [text]);
  return settled;
}
