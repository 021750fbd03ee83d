import { AgainTable, useAgain } from "../tracking";
import { NewerLedger, useLive } from "../examination";
import { inHundred, rangeInHundred } from "../shared/format";
import { Waiting } from "../shared/ui/Message";
import { ConcludeForm } from "./ConcludeForm";
import { Concluded } from "./Concluded";
import { SignPanel } from "./SignPanel";
import { useConclusion } from "./useConclusion";

/** The therapist's own word: what it is, what it could be, how sure, what next. The ranking stands beside it and decides nothing. */
export function ConcludeView() {
  const live = useLive();
  const conclusion = useConclusion(live);
  const again = useAgain(live);
  const { weighing } = live;
  if (!weighing) {
    return <Waiting page what="the ranking" />;
  }
  const { beside } = conclusion;
  const byId = new Map(weighing.standings.map((standing) => [standing.conditionId, standing]));
  const ordered = beside ? beside.candidates.flatMap((id) => byId.get(id) ?? []) : weighing.standings;
  const working = conclusion.values("working")[0];
  return (
    <main className="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="flex flex-col gap-5 px-5 py-5 lg:overflow-y-auto lg:px-8">
        <h1 className="font-serif text-head font-semibold">Conclusion</h1>
        <NewerLedger />
        {weighing.safety.state === "SUSPENDED" && (
          <p className="border-l-4 border-ink pl-3 text-read">
            <strong>Testing is suspended</strong> by a red flag. Conclude once it is released, or refer.
          </p>
        )}
        {again && <AgainTable again={again} />}
        {live.readOnly ? (
          <Concluded
            conclusion={conclusion}
            named={new Map(live.region.conditions.map((each) => [each.value, each.label]))}
            testName={(id) => live.region.tests.find((test) => test.id === id)?.shortName ?? id}
          />
        ) : (
          <ConcludeForm conclusion={conclusion} ordered={ordered} all={live.region.conditions} working={working} />
        )}
        {conclusion.day("again-on") !== "" && (
          <p className="text-read">
            <a download href={`/api/examinations/${live.examination.id}/retest.ics`} className="underline">
              Put the day to test again into a calendar
            </a>
          </p>
        )}
        {beside && <SignPanel live={live} hindrances={beside.hindrances} />}
      </div>
      <aside
        aria-label="The ranking"
        className="flex flex-col gap-2 border-t border-line bg-sheet px-4 py-4 lg:overflow-y-auto lg:border-t-0 lg:border-l"
      >
        <h2 className="text-note font-semibold text-soft">The ranking, beside yours</h2>
        <ol className="flex flex-col gap-1">
          {ordered
            .filter((standing) => standing.informed || standing.pattern.present.length > 0)
            .slice(0, 8)
            .map((standing) => (
              <li
                key={standing.conditionId}
                className={`flex items-baseline justify-between gap-2 text-read leading-tight ${standing.conditionId === working ? "font-semibold" : ""}`}
              >
                <span>{standing.shortName}</span>
                <span className="text-right whitespace-nowrap">
                  {standing.informed ? (
                    <>
                      {inHundred(standing.now)}{" "}
                      <span className="text-note font-normal">{rangeInHundred(standing.lower, standing.upper)}</span>
                    </>
                  ) : (
                    <span className="text-note font-normal">
                      fits {standing.pattern.present.length} of{" "}
                      {standing.pattern.present.length + standing.pattern.missing.length}
                    </span>
                  )}
                </span>
              </li>
            ))}
        </ol>
        <p className="text-note text-soft">
          Decision support. The conclusion is yours; a label alone says little about treatment.
        </p>
        {!live.readOnly && (
          <a href="#sign" className="inline-flex min-h-11 items-center text-read underline">
            To signing
          </a>
        )}
      </aside>
    </main>
  );
}
