import type { ReactNode } from "react";
import type { Test } from "../record";
import type { Schemas } from "../shared/api/client";
import { capital } from "../shared/format";
import { Facts } from "../shared/ui/Facts";
import { CARD_STATE } from "../shared/tests/cardState";
import { CardFigure } from "./CardFigure";

/** How much of the card is shown: its name, what is done, everything, or, beside a figure of its own, all lines of the card. */
export type CardForm = "name" | "short" | "long" | "plain";

/** Provocation from which the stop is always said. */
const FRIGHTENS = 3;

interface CueCardProps {
  test: Test;
  form: CardForm;
  /** How the school does it, where that is not the usual way. */
  way: Schemas["WayJson"] | null | undefined;
  /** Beside the name. */
  buttons?: ReactNode;
  /** Under the name: what the last test came to. */
  last?: ReactNode;
  /** How it is done, where that can be chosen. */
  done?: ReactNode;
}

/** A name longer than this would take two lines at the bench: the short one stands there. */
const LONG_NAME = 26;

/** What to do, one short line each, beside the figure where there is one. */
export function CueCard({ test, form, way, buttons, last, done }: CueCardProps) {
  const lines: [string, string][] = [
    ["Patient", test.card.patient],
    ["You", test.card.you],
    ["Do", test.card.movement],
  ];
  if (way) {
    lines.push(["School", `${way.label}: ${way.differs.charAt(0).toLowerCase()}${way.differs.slice(1)}`]);
  }
  if (form === "long" || form === "plain" || test.provocation >= FRIGHTENS) {
    lines.push(["Stop if", test.card.stop]);
  }
  if (form === "long" || form === "plain") {
    lines.push(["Ask", test.card.ask]);
  }
  if (form === "long") {
    test.angles.forEach((angle) =>
      lines.push([
        "Angle",
        `${angle.what} ${String(angle.from)} to ${String(angle.to)}°${angle.outside ? `; outside it ${angle.outside}` : ""}`,
      ]),
    );
    if (test.hold) {
      lines.push([
        "Hold",
        `${test.hold.from === test.hold.to ? String(test.hold.to) : `${String(test.hold.from)} to ${String(test.hold.to)}`} s${test.hold.endsAtOnset ? ", or until it begins" : ""}`,
      ]);
    }
    if (test.equipment.length > 0) {
      lines.push(["Needs", test.equipment.join(", ")]);
    }
    lines.push(["Watch", test.card.watch.map((each) => each.label.toLowerCase()).join(", ")]);
  }
  return (
    <section aria-labelledby="test-name">
      <div className="flex items-center justify-between gap-x-4">
        <h1 id="test-name" className="font-serif text-head font-semibold">
          {form === "plain" || test.name.length <= LONG_NAME ? test.name : test.shortName}
        </h1>
        {form !== "name" && (
          <p className="ml-auto hidden max-w-40 text-right text-note leading-tight text-soft sm:block">
            {test.usualName && <strong className="block text-ink">{capital(test.usualName)}</strong>}
            {test.seconds} s a side{CARD_STATE[test.review]}
          </p>
        )}
        <span className="flex items-center gap-2">
          {form !== "plain" && form !== "name" && <CardFigure test={test} />}
          {buttons}
        </span>
      </div>
      {last}
      {(form === "long" || form === "plain") && (
        <p className="text-note leading-tight text-soft">
          {form === "long" && test.name.length > LONG_NAME && `${test.name}. `}
          {test.aliases.length > 0 && <>Also called {test.aliases.join(", ")}</>}
        </p>
      )}
      {form === "name" ? (
        done
      ) : (
        <div className="mt-1.5 flex gap-4">
          {form !== "plain" && <CardFigure test={test} size={form === "long" ? "h-52 w-48" : "h-31 w-36"} />}
          <div className="flex min-w-0 flex-1 flex-col gap-1">
            <Facts
              lines={lines}
              className="grid-cols-[4rem_1fr] content-start gap-x-2 gap-y-px text-read leading-snug"
            />
            {done}
          </div>
        </div>
      )}
    </section>
  );
}
