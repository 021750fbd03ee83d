import { useEffect } from "react";
import { NavLink, Link, Outlet, useOutletContext, useParams } from "react-router";
import { Refused } from "../shared/api/client";
import { AccountMenu } from "../session";
import { affected, whoIs } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { Safe } from "../shared/ui/Safe";
import { Wordmark } from "../shared/ui/Wordmark";
import { Responsible, SavedState, SavingTrouble } from "./SavedState";
import { SigningStrip } from "./SigningStrip";
import { useExamination, type LiveExamination } from "./useExamination";

/** The frame round bench, weighing and note of one examination: who it is, where to go, whether all is saved. */
export function ExaminationFrame() {
  const { id = "" } = useParams();
  return <Frame key={id} id={id} />;
}

/** The examination of the frame one is in. */
export function useLive(): LiveExamination {
  return useOutletContext<LiveExamination>();
}

function Frame({ id }: { id: string }) {
  const { live, fault } = useExamination(id);
  useEffect(() => {
    document.title = live ? `${live.examination.person.code} · Lexicor` : "Lexicor";
  }, [live]);
  if (!live) {
    return fault ? <Fault fault={fault} /> : <Waiting page what="the examination" />;
  }
  const { person, side, otherSideInvolved, region } = live.examination;
  const what = affected(side, otherSideInvolved, region);
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh lg:min-h-0 print:block print:h-auto print:min-h-0">
      <header className="no-print">
        <div className="flex flex-wrap items-center gap-x-2 border-b border-line px-3 sm:gap-x-5 sm:gap-y-1 sm:px-5 sm:py-1">
          <Wordmark />
          <p className="min-w-0 flex-1 text-note leading-tight sm:basis-64 sm:text-read">
            <Link to={`/cases/${person.id}`} className="font-semibold underline">
              {person.code}
            </Link>
            {person.name && ` ${person.name}`} ·{" "}
            {whoIs(person) && <span className="hidden sm:inline">{whoIs(person)} · </span>}
            <strong>{what}</strong>
          </p>
          <nav
            aria-label="Views of this examination"
            className="order-last flex basis-full justify-between overflow-x-auto sm:order-none sm:basis-auto"
          >
            <Tab to="intake" name="Intake" />
            <Tab to="plan" name="Plan" />
            <Tab to="." name="Bench" />
            <Tab to="weighing" name="Weighing" />
            <Tab to="conclude" name="Conclude" />
            <Tab to="note" name="Note" />
          </nav>
          <SavedState live={live} />
          <AccountMenu />
        </div>
        <SigningStrip signing={live.examination.signing} />
        <Responsible live={live} />
        <SavingTrouble live={live} />
      </header>
      <p className="print-head hidden px-5 text-note print:block">
        {person.code} · {whoIs(person)} · {what} · decision support, the therapist concludes
      </p>
      <Safe>
        <Outlet context={live} />
      </Safe>
    </div>
  );
}

function Tab({ to, name }: { to: string; name: string }) {
  return (
    <NavLink
      to={to}
      end
      className={({ isActive }) =>
        `flex min-h-12 items-center border-b-4 px-1 text-note sm:px-3 sm:text-read ${isActive ? "border-ink font-semibold" : "border-transparent text-soft hover:border-line"}`
      }
    >
      {name}
    </NavLink>
  );
}

function Fault({ fault }: { fault: Error }) {
  const missing = fault instanceof Refused;
  return (
    <Message
      page
      title={missing ? "This examination is not here" : "The server is not answering"}
      action={
        missing ? (
          <Link className="underline" to="/">
            Back to the list
          </Link>
        ) : (
          <Button
            look="primary"
            onClick={() => {
              window.location.reload();
            }}
          >
            Try again
          </Button>
        )
      }
    >
      {missing ? fault.problem.detail : "What you recorded is safe, on the server or in this browser."}
    </Message>
  );
}
