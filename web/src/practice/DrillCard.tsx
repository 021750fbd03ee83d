import { useEffect, useRef, useState } from "react";
import type { Schemas } from "../shared/api/client";
import { HandFigure } from "../shared/drawings/HandFigure";
import { PoseFigure } from "../shared/drawings/PoseFigure";
import { inHundred } from "../shared/format";
import { useRegion } from "../shared/tests/useRegion";
import { Button } from "../shared/ui/Button";
import { BeliefRail } from "./BeliefRail";

type Drill = Schemas["DrillJson"];
type Option = Schemas["DrillOptionJson"];
type Marked = Schemas["DrillMarkedJson"];

interface DrillCardProps {
  drill: Drill;
  marked: Marked | undefined;
  busy: boolean;
  onAnswer: (values: string[], chance: number | null) => void;
  onNext: () => void;
}

/** One exercise: question, answer, why. */
export function DrillCard({ drill, marked, busy, onAnswer, onNext }: DrillCardProps) {
  const region = useRegion(drill.region);
  const tests = new Map(region.data?.tests.map((test) => [test.id, test]));
  const [head, ...lines] = drill.given;
  const next = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (marked) {
      next.current?.querySelector("button")?.focus({ preventScroll: true });
      next.current?.scrollIntoView({ block: "nearest" });
    }
  }, [marked]);
  return (
    <div className="mt-2 bg-sheet px-5 py-4">
      <div className="flex gap-5">
        {drill.figure && <Figure test={tests.get(drill.figure)} className="h-40 w-40 shrink-0" />}
        <div className="min-w-0">
          {head && <p className="font-serif text-lg font-semibold">{head}</p>}
          <ul className="mt-1">
            {lines.map((line) => (
              <li key={line} className="text-read">
                {line}
              </li>
            ))}
          </ul>
        </div>
      </div>
      <h2 className="mt-3 text-xl font-semibold">{drill.ask}</h2>
      <div className="mt-2">
        {drill.start != null ? (
          <Chance start={drill.start} marked={marked} busy={busy} onAnswer={onAnswer} />
        ) : drill.kind === "ORDER" ? (
          <Order drill={drill} marked={marked} busy={busy} onAnswer={onAnswer} />
        ) : (
          <Choices drill={drill} tests={tests} marked={marked} busy={busy} onAnswer={onAnswer} />
        )}
      </div>
      {marked && (
        <div ref={next} role="status" className="mt-4 border-l-4 border-ink pl-4">
          <p className="font-serif text-lg font-semibold">{marked.right ? "Right." : "Not quite."}</p>
          {marked.because.map((line) => (
            <p key={line} className="text-read">
              {line}
            </p>
          ))}
          <Button look="primary" className="mt-3" onClick={onNext}>
            Next
          </Button>
        </div>
      )}
    </div>
  );
}

function Figure({ test, className }: { test: Schemas["TestJson"] | undefined; className: string }) {
  if (test?.pose) {
    return <PoseFigure pose={test.pose} className={className} />;
  }
  return test?.hand ? <HandFigure pose={test.hand} className={className} /> : null;
}

interface AnsweredProps {
  marked: Marked | undefined;
  busy: boolean;
  onAnswer: (values: string[], chance: number | null) => void;
}

function Choices({
  drill,
  tests,
  marked,
  busy,
  onAnswer,
}: AnsweredProps & { drill: Drill; tests: Map<string, Schemas["TestJson"]> }) {
  const [chosen, setChosen] = useState<string>();
  const figures = drill.options.some((option) => option.figure);
  const mark = (option: Option) => (marked?.should.includes(option.value) ? "right" : "");
  return (
    <div className={figures ? "grid grid-cols-2 gap-2 sm:grid-cols-4" : "flex flex-col items-start gap-2"}>
      {drill.options.map((option, place) => (
        <Button
          key={option.value}
          look="choice"
          chosen={chosen === option.value}
          disabled={busy || marked !== undefined}
          aria-label={option.figure ? `Figure ${String(place + 1)}` : undefined}
          className={marked && option.value === chosen ? "disabled:opacity-100" : ""}
          onClick={() => {
            setChosen(option.value);
            onAnswer([option.value], null);
          }}
        >
          {option.figure ? (
            <span className="block rounded bg-sheet">
              <Figure test={tests.get(option.value)} className="h-36 w-full" />
            </span>
          ) : (
            option.label
          )}
          {mark(option) && <strong className="block text-note">this one</strong>}
        </Button>
      ))}
    </div>
  );
}

function Chance({ start, marked, busy, onAnswer }: AnsweredProps & { start: number }) {
  const [chance, setChance] = useState(start);
  return (
    <div>
      <p className="text-read">
        You: <strong>{inHundred(chance)}</strong>
        {marked?.chance != null && (
          <>
            {" "}
            · by the figures <strong>{inHundred(marked.chance)}</strong>
          </>
        )}
      </p>
      <BeliefRail
        name="this condition"
        chance={chance}
        weighed={marked?.chance ?? undefined}
        onDrag={marked ? undefined : setChance}
      />
      {!marked && (
        <Button
          look="primary"
          disabled={busy}
          onClick={() => {
            onAnswer([], chance);
          }}
        >
          There
        </Button>
      )}
    </div>
  );
}

function Order({ drill, marked, busy, onAnswer }: AnsweredProps & { drill: Drill }) {
  const [order, setOrder] = useState<string[]>([]);
  const labels = new Map(drill.options.map((option) => [option.value, option.label]));
  const left = drill.options.filter((option) => !order.includes(option.value));
  return (
    <div>
      <ol className="min-h-12 list-decimal pl-6 text-read" aria-label="My order">
        {order.map((value) => (
          <li key={value} className="py-0.5">
            {labels.get(value)}
          </li>
        ))}
      </ol>
      {!marked && (
        <>
          <p className="mt-1 text-note text-soft">{left.length > 0 ? "Tap what comes next." : "Is that your order?"}</p>
          <div className="mt-1 flex flex-wrap gap-2">
            {left.map((option) => (
              <Button
                key={option.value}
                disabled={busy}
                onClick={() => {
                  setOrder([...order, option.value]);
                }}
              >
                {option.label}
              </Button>
            ))}
            {order.length > 0 && (
              <Button
                disabled={busy}
                onClick={() => {
                  setOrder(order.slice(0, -1));
                }}
              >
                Undo
              </Button>
            )}
            {left.length === 0 && (
              <Button
                look="primary"
                disabled={busy}
                onClick={() => {
                  onAnswer(order, null);
                }}
              >
                That is it
              </Button>
            )}
          </div>
        </>
      )}
      {marked && !marked.right && (
        <p className="mt-2 text-read">
          One good order: {marked.should.map((value) => labels.get(value) ?? value).join(", ")}.
        </p>
      )}
    </div>
  );
}
