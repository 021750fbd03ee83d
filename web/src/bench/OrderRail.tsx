import { useEffect, useRef, useState, type ReactNode } from "react";
import { LockGlyph } from "../intake";
import type { Schemas } from "../shared/api/client";
import { ProgressGlyph, progressWords, type Progress } from "../shared/drawings/ProgressGlyph";
import { Button } from "../shared/ui/Button";
import { AddTest } from "../shared/tests/AddTest";
import { ADDED, unplaced, type OrderItem, type OrderSection } from "./order";

interface OrderRailProps {
  region: Schemas["RegionJson"];
  /** Tests on record that the library no longer has. */
  gone: readonly Schemas["GoneJson"][];
  order: OrderSection[];
  progress: (item: OrderItem) => Progress;
  /** Whether a row is closed and nobody decided otherwise. */
  locked: (item: OrderItem) => boolean;
  current: string;
  /** Minutes so far, of those planned; undefined before the first entry. */
  elapsed: number | undefined;
  planned: number;
  onGo: (testId: string) => void;
  onMove: (item: OrderItem, by: 1 | -1) => void;
  /** Puts the usual order back; absent where it is in force. */
  onUsual: (() => void) | undefined;
  /** What stands below the order. */
  children?: ReactNode;
}

/** The order of the tests, gathered by the patient's position: the position at hand is open, the others are a line each. */
export function OrderRail({
  region,
  gone,
  order,
  progress,
  locked,
  current,
  elapsed,
  planned,
  onGo,
  onMove,
  onUsual,
  children,
}: OrderRailProps) {
  const here = useRef<HTMLButtonElement>(null);
  const [opened, setOpened] = useState<string>();
  const [changing, setChanging] = useState(false);
  useEffect(() => {
    here.current?.scrollIntoView({ inline: "center", block: "nearest" });
  }, [current]);
  const at = order.findIndex((section) => section.items.some((item) => item.testIds.includes(current)));
  const inOrder = new Set(order.flatMap((section) => section.items.flatMap((item) => item.testIds)));
  return (
    <nav
      aria-label="Order of the tests"
      className="relative flex min-h-0 flex-row gap-3 overflow-x-auto border-b border-line py-1 pl-3 lg:flex-col lg:gap-0 lg:overflow-x-hidden lg:overflow-y-auto lg:border-r lg:border-b-0 lg:py-0 lg:pl-0"
    >
      {order.map((section, index) => {
        const done = section.items.filter((item) => !["OPEN", "PARTLY"].includes(progress(item))).length;
        const name = `${section.name} ${String(index)}`;
        const open = changing || index === at || opened === name || section.position === ADDED;
        return (
          <section key={name} className="flex shrink-0 items-center gap-2 lg:block">
            <h2>
              <button
                type="button"
                aria-expanded={open}
                onClick={() => {
                  setOpened(opened === name ? undefined : name);
                }}
                className="flex min-h-12 w-full items-center justify-between gap-3 text-left text-note font-semibold text-soft hover:bg-tan lg:pr-3 lg:pl-3"
              >
                <span>
                  <span aria-hidden="true" className="inline-block w-4">
                    {open ? "▾" : "▸"}
                  </span>
                  {section.name}
                </span>{" "}
                <span className="whitespace-nowrap">
                  {done} of {section.items.length}
                </span>
              </button>
            </h2>
            {open && (
              <ul className="flex lg:block">
                {section.items.map((item) => {
                  const isHere = item.testIds.includes(current);
                  return (
                    <li key={item.id} className="flex">
                      <button
                        type="button"
                        ref={isHere ? here : undefined}
                        aria-current={isHere ? "step" : undefined}
                        onClick={(event) => {
                          if (event.detail > 0) {
                            event.currentTarget.blur();
                          }
                          onGo(item.id);
                        }}
                        className={`flex min-h-12 w-full items-center gap-2 py-1 pr-2 pl-3 text-left text-read leading-tight lg:pl-3 ${isHere ? "border-b-4 border-ink bg-sheet font-semibold lg:border-b-0 lg:border-l-4 lg:pl-2" : "text-soft hover:bg-tan"}`}
                      >
                        {locked(item) ? <LockGlyph /> : <ProgressGlyph progress={progress(item)} />}
                        <span>{item.name}</span>
                        <span className="sr-only">, {locked(item) ? "closed" : progressWords(progress(item))}</span>
                      </button>
                      {changing && !unplaced(section) && (
                        <span className="flex">
                          <button
                            type="button"
                            aria-label={`${item.name}: earlier`}
                            className="size-12 text-read hover:bg-tan"
                            onClick={() => {
                              onMove(item, -1);
                            }}
                          >
                            ↑
                          </button>
                          <button
                            type="button"
                            aria-label={`${item.name}: later`}
                            className="size-12 text-read hover:bg-tan"
                            onClick={() => {
                              onMove(item, 1);
                            }}
                          >
                            ↓
                          </button>
                        </span>
                      )}
                    </li>
                  );
                })}
              </ul>
            )}
          </section>
        );
      })}
      <AddTest
        tests={region.tests}
        shared={region.sharedNames}
        region={region.region}
        inOrder={(id) => inOrder.has(id)}
        onGo={onGo}
      />
      {children}
      {gone.length > 0 && (
        <section
          aria-label="No longer in the library"
          className="shrink-0 border-t border-line px-3 py-2 text-note text-soft"
        >
          <h2 className="font-semibold">On record, not weighed</h2>
          <ul>
            {gone.map((test) => (
              <li key={test.testId}>{test.name}</li>
            ))}
          </ul>
          <p>What was found stands in the note.</p>
        </section>
      )}
      <div className="flex shrink-0 items-center gap-1 pr-3 lg:mt-auto lg:flex-wrap lg:px-3">
        <Button
          look="choice"
          chosen={changing}
          className="text-note"
          onClick={() => {
            setChanging(!changing);
          }}
        >
          {changing ? "Done" : "Reorder"}
        </Button>
        {changing && onUsual && (
          <Button className="text-note" onClick={onUsual}>
            Usual order
          </Button>
        )}
        <p className="text-note whitespace-nowrap text-soft lg:ml-auto">
          {elapsed === undefined
            ? `about ${String(Math.round(planned))} min`
            : `${String(Math.floor(elapsed))} of ${String(Math.round(planned))} min`}
        </p>
      </div>
    </nav>
  );
}
