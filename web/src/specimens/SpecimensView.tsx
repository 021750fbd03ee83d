import type { ReactNode } from "react";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { OddsRail } from "../shared/drawings/OddsRail";
import { ProgressGlyph, type Progress } from "../shared/drawings/ProgressGlyph";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Strip } from "../shared/ui/Strip";

const COLOURS = [
  "paper",
  "sheet",
  "tan",
  "ink",
  "soft",
  "line",
  "edge",
  "for",
  "for-wash",
  "against",
  "against-wash",
] as const;

const PROGRESS: readonly Progress[] = ["OPEN", "PARTLY", "READ", "VOID", "LEFT_OUT"];

/** Every control and every state with the one look it has, for those who build screens. Served in development alone. */
export default function SpecimensView() {
  return (
    <main className="mx-auto flex max-w-6xl flex-col gap-8 px-5 py-6">
      <h1 className="font-serif text-head font-semibold">Specimens</h1>
      <Part title="Type">
        <p className="font-serif text-head font-semibold">Head: the name of what is shown</p>
        <p className="text-read">Read: what is read at arm’s length</p>
        <p className="text-note">Note: what is read when it is wanted</p>
      </Part>
      <Part title="Controls: answer, switch, action, link">
        <Strip label="Answers">
          <Button look="choice">None</Button>
          <Button look="choice" chosen>
            Familiar
          </Button>
          <Button look="choice" keycap="6">
            Other
          </Button>
        </Strip>
        <Button look="choice" chosen>
          Switch, on
        </Button>
        <Button look="choice">Switch, off</Button>
        <Button look="primary">The one thing to do next</Button>
        <Button>An action</Button>
        <Button disabled>Not now</Button>
        <a href="#top" className={QUIET_LINK}>
          A link
        </a>
      </Part>
      <Part title="States of a test">
        {PROGRESS.map((progress) => (
          <span key={progress} className="flex items-center gap-1.5 text-note">
            <ProgressGlyph progress={progress} /> {progress.toLowerCase().replace("_", " ")}
          </span>
        ))}
      </Part>
      <Part title="A chance: start, now, what it could be">
        <div className="w-56">
          <OddsRail before={0.3} previous={0.3} now={0.62} lower={0.4} upper={0.8} informed width={196} />
        </div>
        <div className="w-56">
          <OddsRail before={0.3} previous={0.2} now={0.08} lower={0.02} upper={0.24} informed width={196} />
        </div>
        <div className="w-56">
          <OddsRail before={0.3} previous={0.3} now={0.3} lower={0.3} upper={0.3} informed={false} width={196} />
        </div>
      </Part>
      <Part title="Said plainly">
        <p className="border-l-4 border-ink pl-3 text-read">What is worth knowing.</p>
        <p className="border-l-4 border-for pl-3 text-read">What speaks against going on.</p>
        <p className="text-note text-soft">What can be left unread.</p>
      </Part>
      <Part title="Empty, busy, failed">
        <Message title="No case yet">One tap begins an examination.</Message>
        <Waiting what="the cases" />
        <Message title="The list could not be fetched" action={<Button look="primary">Try again</Button>}>
          Nothing was lost.
        </Message>
      </Part>
      <Part title="Colours">
        {COLOURS.map((name) => (
          <span key={name} className="flex items-center gap-2 text-note">
            <span
              className="size-10 border border-edge"
              style={{ backgroundColor: `var(--color-${name})` }}
              aria-hidden="true"
            />
            {name}
          </span>
        ))}
      </Part>
    </main>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="border-b-2 border-ink pb-1 text-read font-semibold">{title}</h2>
      <div className="mt-3 flex flex-wrap items-center gap-4">{children}</div>
    </section>
  );
}
