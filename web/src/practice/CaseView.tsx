import { useState } from "react";
import { Link, useParams } from "react-router";
import { capital, numbered, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { Waiting } from "../shared/ui/Message";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Unfetched } from "../shared/ui/Unfetched";
import { BeliefPanel } from "./BeliefPanel";
import { HandsPanel } from "./HandsPanel";
import { PatientPanel } from "./PatientPanel";
import { PracticeMark } from "./PracticeMark";
import { ReviewView } from "./ReviewView";
import { usePracticeCase, usePractising } from "./usePracticeCase";
import { minutes, type PracticeCase } from "./words";

/** One invented patient: examined, or looked back on. */
export function CaseView() {
  const { id = "" } = useParams();
  const query = usePracticeCase(id);
  if (!query.data) {
    return query.error ? (
      <Unfetched
        error={query.error}
        what="patient"
        back={
          <Link to="/practice" className={QUIET_LINK}>
            To the practice room
          </Link>
        }
      />
    ) : (
      <Waiting page what="the patient" />
    );
  }
  return query.data.ended ? <ReviewView known={query.data} /> : <Examining key={id} known={query.data} />;
}

const PARTS = [
  ["patient", "Patient"],
  ["hands", "Hands"],
  ["chances", "What I think"],
] as const;

function Examining({ known }: { known: PracticeCase }) {
  const practising = usePractising(known);
  const [part, setPart] = useState<(typeof PARTS)[number][0]>("patient");
  const [ending, setEnding] = useState(false);
  const shown = (of: string) => `min-w-0 ${part === of ? "" : "hidden lg:block"}`;
  return (
    <div className="mx-auto flex min-h-dvh max-w-7xl flex-col px-4 pb-4">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1.5">
        <Link to="/practice" className={QUIET_LINK}>
          Leave
        </Link>
        <PracticeMark />
        <p className="text-read">
          {capital(known.sex === "WOMAN" ? "woman" : "man")} of {known.age}, {known.occupation.toLowerCase()}.{" "}
          {capital(sideWord(known.side))} {known.region}
          {known.leading && ", the leading side"}.
        </p>
        <p className="ml-auto text-read text-soft" role="status">
          {practising.waiting ? "No connection: it will be sent again" : ""}
        </p>
        <p className="text-read">
          <strong>{minutes(known.minutes)}</strong>
          <span className="text-soft"> · {numbered(known.tests.length, "test")}</span>
        </p>
        <Button
          look="primary"
          onClick={() => {
            setEnding(!ending);
          }}
          aria-expanded={ending}
        >
          End
        </Button>
      </header>
      {ending && (
        <section aria-label="End the examination" className="mt-2 border-l-4 border-ink bg-sheet px-4 py-3">
          <p className="text-read">
            {Object.keys(practising.chances).length === 0
              ? "You have put no chance on anything: there will be nothing to compare."
              : "Your chances as they stand are what counts."}{" "}
            Then you see what was wrong.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button
              disabled={practising.busy}
              onClick={() => {
                practising.take({ end: { referred: false } });
              }}
            >
              I have finished
            </Button>
            <Button
              disabled={practising.busy}
              onClick={() => {
                practising.take({ end: { referred: true } });
              }}
            >
              Stop, send this patient on now
            </Button>
            <Button
              onClick={() => {
                setEnding(false);
              }}
            >
              Go on examining
            </Button>
          </div>
        </section>
      )}
      <FormFault className="mt-2">{practising.fault}</FormFault>
      <nav aria-label="Parts of the examination" className="mt-2 flex gap-1 lg:hidden">
        {PARTS.map(([each, name]) => (
          <Button
            key={each}
            look="choice"
            chosen={part === each}
            className="flex-1"
            onClick={() => {
              setPart(each);
            }}
          >
            {name}
          </Button>
        ))}
      </nav>
      <main className="mt-3 grid flex-1 gap-6 lg:grid-cols-[15rem_minmax(0,1fr)_18rem]">
        <h1 className="sr-only">An invented patient</h1>
        <div className={shown("patient")}>
          <PatientPanel practising={practising} />
        </div>
        <div className={shown("hands")}>
          <HandsPanel practising={practising} />
        </div>
        <div className={shown("chances")}>
          <BeliefPanel practising={practising} />
        </div>
      </main>
    </div>
  );
}
