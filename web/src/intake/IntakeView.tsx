import { useEffect, useRef } from "react";
import { Link } from "react-router";
import { undo } from "../record";
import { useLive } from "../examination";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { Waiting } from "../shared/ui/Message";
import { Strip } from "../shared/ui/Strip";
import { FactList } from "./FactList";
import { LockedList } from "./LockedList";
import { needsWidth, PaintFigures } from "./PaintFigures";
import { Chip, makesSense, QuestionBlock } from "./QuestionBlock";
import { RedFlags } from "./RedFlags";
import { SchoolList } from "./SchoolList";
import { StartRail } from "./StartRail";
import { options, useIntake, type Intake } from "./useIntake";

/** What is told and seen before the hands, and where it leaves each condition at the start. */
export function IntakeView() {
  const live = useLive();
  const intake = useIntake(live);
  const { form, state } = intake;
  useShownStop(state?.safety.state, form !== undefined);
  if (!form) {
    return <Waiting page what="the questions" />;
  }
  const suspended = state?.safety.state === "SUSPENDED";
  const tingling = intake.values("zone").includes("hand-tingling");
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="flex min-w-0 flex-col lg:overflow-y-auto">
        <fieldset disabled={live.readOnly} className="flex min-w-0 flex-col gap-7 px-5 pt-3 pb-6">
          <section aria-labelledby="story">
            <h1 id="story" className="font-serif text-head font-semibold">
              What is told
            </h1>
            <Zones intake={intake} />
            <div className="mt-3 gap-x-8 xl:columns-2">
              {form.questions
                .filter((question) => question.id !== "clues" && makesSense(question.where, intake))
                .map((question) => (
                  <div key={question.id} className="break-inside-avoid pb-4">
                    <QuestionBlock question={question} intake={intake} />
                  </div>
                ))}
            </div>
          </section>
          <div className={`grid items-start gap-x-8 gap-y-6 ${needsWidth(form.drawings) ? "" : "xl:grid-cols-2"}`}>
            <section aria-labelledby="paint">
              <h2 id="paint" className="mb-1 font-serif text-2xl font-semibold">
                Paint where
              </h2>
              <PaintFigures
                key={String(tingling)}
                drawings={form.drawings}
                side={live.examination.side}
                intake={intake}
                first={tingling ? "tingling-areas" : "pain-areas"}
              />
            </section>
            {form.questions
              .filter((question) => question.id === "clues")
              .map((question) => (
                <QuestionBlock key={question.id} question={question} intake={intake} />
              ))}
          </div>
          <RedFlags intake={intake} />
          <FactList intake={intake} />
          <SchoolList intake={intake} />
          {state && state.locked.length > 0 && (
            <LockedList
              locked={state.locked}
              onTell={(answer) => {
                intake.tell(answer);
              }}
            />
          )}
        </fieldset>
        <div className="no-print sticky bottom-0 mt-auto flex flex-wrap items-center gap-3 border-t border-line bg-paper px-5 py-2">
          {!suspended && (
            <>
              <Link
                to=".."
                relative="path"
                className="flex min-h-12 items-center rounded border-2 border-ink bg-tan px-6 text-read font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line"
              >
                To the bench
              </Link>
              <Link
                to="../plan"
                relative="path"
                className="flex min-h-12 items-center rounded border border-edge bg-sheet px-4 text-read hover:bg-tan"
              >
                Plan
              </Link>
            </>
          )}
          <span role="status" className="text-read">
            {suspended ? (
              <a href="#red-flags" className="inline-flex min-h-12 items-center font-semibold underline">
                Testing is suspended
              </a>
            ) : state?.safety.state === "NOT_YET_ASKED" ? (
              <a href="#red-flags" className="inline-flex min-h-12 items-center underline">
                Red flags are not all asked
              </a>
            ) : state ? (
              "Red flags asked."
            ) : (
              ""
            )}
          </span>
          {live.state.lastTelling && !live.readOnly && (
            <Button
              className="ml-auto"
              onClick={() => {
                if (live.state.lastTelling) {
                  live.add(undo(live.state.lastTelling));
                }
              }}
            >
              Undo last answer
            </Button>
          )}
        </div>
      </div>
      <div className="border-line px-5 py-3 lg:overflow-y-auto lg:border-l">
        <fieldset disabled={live.readOnly} className="min-w-0">
          {state ? <StartRail starts={state.starts} intake={intake} /> : <Waiting what="the starts" />}
        </fieldset>
      </div>
    </main>
  );
}

/** An examination that was suspended opens at the reason. One that is suspended while somebody answers stays where they are. */
function useShownStop(state: Schemas["SafetyJson"]["state"] | undefined, shown: boolean) {
  const opened = useRef(false);
  useEffect(() => {
    if (state && shown && !opened.current) {
      opened.current = true;
      if (state === "SUSPENDED") {
        document.getElementById("red-flags")?.scrollIntoView();
      }
    }
  }, [state, shown]);
}

/** Where in the region; a region of one zone needs no question. */
function Zones({ intake }: { intake: Intake }) {
  const zones = intake.form?.zones ?? [];
  if (zones.length < 2) {
    return null;
  }
  const values = intake.values("zone");
  const toggle = (zone: string) => {
    intake.tell(options("zone", values.includes(zone) ? values.filter((each) => each !== zone) : [...values, zone]));
  };
  return (
    <div role="group" aria-labelledby="ask-zone" className="mt-2">
      <p id="ask-zone" className="text-read font-semibold">
        Where exactly?
      </p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        <Strip>
          {zones
            .filter((zone) => !zone.byStory)
            .map((zone) => (
              <Chip
                key={zone.id}
                chosen={values.includes(zone.id)}
                onClick={() => {
                  toggle(zone.id);
                }}
              >
                {zone.label}
              </Chip>
            ))}
        </Strip>
        {zones
          .filter((zone) => zone.byStory && intake.state?.zones.includes(zone.id))
          .map((zone) => (
            <span key={zone.id} className="flex min-h-12 items-center px-2 text-note text-soft">
              also: {zone.label.toLowerCase()}
            </span>
          ))}
      </div>
    </div>
  );
}
