import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import type { Schemas } from "../../shared/api/client";
import { sentence } from "../../shared/format";
import { Button } from "../../shared/ui/Button";
import { LargeMap, SmallMap } from "./PathwayMap";
import type { Following } from "./usePathways";

interface PathwayStripProps {
  following: Following;
  /** The test at hand. */
  current: string;
  /** Whether the server is not reached, so that the next step is still to come. */
  waiting: boolean;
  testName: (id: string) => string;
  onGo: (testId: string) => void;
}

/** The pathway that is being followed: where one is on it, why this step now, and what the weighing makes of it. */
export function PathwayStrip({ following, current, waiting, testName, onGo }: PathwayStripProps) {
  const { pathway, state, step } = following;
  const instead = state.instead;
  return (
    <section
      aria-label="Pathway"
      className="flex flex-col gap-x-3 gap-y-1 border-y-2 border-ink bg-sheet px-2 py-1 sm:flex-row sm:items-center"
    >
      <Dialog.Root modal={false}>
        <Dialog.Trigger asChild>
          <button
            type="button"
            className="shrink-0 text-left hover:bg-tan"
            aria-label={`Map: ${pathway.name}, step ${String(state.passed.length + 1)}`}
          >
            <SmallMap pathway={pathway} state={state} />
          </button>
        </Dialog.Trigger>
        <Dialog.Portal>
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-1/2 left-1/2 flex max-h-[94dvh] w-max max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col rounded border-2 border-ink bg-paper p-4 shadow-[0_10px_40px_rgb(27_36_48/0.35)]"
          >
            <div className="flex items-start justify-between gap-4 pb-2">
              <Dialog.Title className="font-serif text-2xl">{pathway.name}</Dialog.Title>
              <Dialog.Close asChild>
                <Button look="primary">Close</Button>
              </Dialog.Close>
            </div>
            <div className="min-h-0 overflow-auto" tabIndex={0} role="region" aria-label="Map">
              <LargeMap pathway={pathway} state={state} />
            </div>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
      <div className="flex min-w-0 flex-1 flex-col gap-1 text-read leading-snug" aria-live="polite">
        <p>
          <strong>{step.kind === "END" ? `Ends here: ${sentence(step.label)}` : step.label}</strong>
          {step.because === ""
            ? step.kind === "ASK"
              ? ""
              : "."
            : step.kind === "END"
              ? `. ${step.because}.`
              : `, because ${step.because}.`}
        </p>
        {step.answers.length > 0 && (
          <div className="flex flex-wrap gap-1.5">
            {step.answers.map((answer) => (
              <Button
                key={answer.value}
                look="choice"
                onClick={() => {
                  following.answer(answer.value);
                }}
              >
                {answer.label}
              </Button>
            ))}
          </div>
        )}
        <p className="flex flex-wrap gap-x-3 text-note">
          {waiting && <span>It goes on once the server is reached.</span>}
          {state.says !== "" && <span>{state.says}.</span>}
          {instead && instead !== current && (
            <Small
              onClick={() => {
                onGo(instead);
              }}
            >
              Go to {testName(instead).toLowerCase()}
            </Small>
          )}
          {following.back && <Small onClick={following.back}>Ask again</Small>}
          <Small onClick={following.leave}>{step.kind === "END" ? "Done with it" : "Leave the pathway"}</Small>
        </p>
      </div>
      {step.testId && step.testId !== current && (
        <Button
          look="primary"
          onClick={() => {
            if (step.testId) {
              onGo(step.testId);
            }
          }}
        >
          Go
        </Button>
      )}
    </section>
  );
}

function Small({ onClick, children }: { onClick: () => void; children: ReactNode }) {
  return (
    <button type="button" className="min-h-6 underline hover:bg-tan" onClick={onClick}>
      {children}
    </button>
  );
}

/** Pathways whose complaint is this patient's. */
export function PathwayOffers({
  offers,
  onFollow,
}: {
  offers: Schemas["PathwayJson"][];
  onFollow: (id: string) => void;
}) {
  return offers.length === 0 ? null : (
    <section aria-label="Pathways" className="flex shrink-0 flex-row items-center gap-2 px-3 py-1 lg:block">
      <h2 className="text-note font-semibold text-soft">Step by step</h2>
      <ul className="flex gap-1 lg:flex-col">
        {offers.map((pathway) => (
          <li key={pathway.id}>
            <Button
              className="w-full text-note"
              onClick={() => {
                onFollow(pathway.id);
              }}
            >
              {pathway.name}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
