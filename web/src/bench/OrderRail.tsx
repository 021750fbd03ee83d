import { useEffect, useRef } from "react";
import { LockGlyph } from "../intake/LockNotice";
import type { Schemas } from "../shared/api/client";
import { ProgressGlyph, progressWords, type Progress } from "../shared/drawings/ProgressGlyph";
import { AddTest } from "./AddTest";

interface OrderRailProps {
  region: Schemas["RegionJson"];
  /** Tests done beyond the order. */
  added: string[];
  progress: (testId: string) => Progress;
  /** Whether a test is locked and nobody decided otherwise. */
  locked: (testId: string) => boolean;
  current: string;
  onGo: (testId: string) => void;
}

/** The order of the tests, gathered by the patient's position. The current one is the sheet one stands on. */
export function OrderRail({ region, added, progress, locked, current, onGo }: OrderRailProps) {
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => { here.current?.scrollIntoView({ inline: "center", block: "nearest" }); }, [current]);
  const steps = added.length > 0 ? [...region.steps, { position: "Added", testIds: added }] : region.steps;
  const names = new Map(region.tests.map((test) => [test.id, test.shortName]));
  return (
    <nav aria-label="Order of the tests" className="relative flex gap-4 overflow-x-auto border-b border-line py-2 pl-4 lg:block lg:overflow-y-auto lg:border-r lg:border-b-0 lg:py-4 lg:pl-0">
      {steps.map((step) => {
        const done = step.testIds.filter((id) => progress(id) !== "OPEN" && progress(id) !== "PARTLY").length;
        return (
          <section key={step.position} className="shrink-0 lg:mb-5">
            <h2 className="flex justify-between gap-3 text-note font-semibold text-soft lg:pr-3 lg:pl-4">
              {step.position} <span>{done} of {step.testIds.length}</span>
            </h2>
            <ul className="mt-1 flex lg:block">
              {step.testIds.map((id) => (
                <li key={id}>
                  <button type="button" ref={id === current ? here : undefined} aria-current={id === current ? "step" : undefined} onClick={() => { onGo(id); }}
                    className={`flex min-h-12 w-full items-center gap-2 py-1 pr-2 pl-3 text-left text-read leading-tight lg:pl-3 ${id === current ? "border-b-4 border-ink bg-sheet font-semibold lg:border-b-0 lg:border-l-4 lg:pl-2" : "text-soft hover:bg-tan"}`}>
                    {locked(id) ? <LockGlyph /> : <ProgressGlyph progress={progress(id)} />}
                    <span>{names.get(id)}</span>
                    <span className="sr-only">, {progressWords(progress(id))}</span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      <AddTest tests={region.tests.filter((test) => !steps.some((step) => step.testIds.includes(test.id)))} onGo={onGo} />
    </nav>
  );
}
