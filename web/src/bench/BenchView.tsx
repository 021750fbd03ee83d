import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { choices, remarkOf, withChoice, withRemark } from "../record";
import { AgainList } from "../tracking";
import { ReplanNote, ReplanQuestion } from "../plan";
import { useLive } from "../examination";
import { LockNotice } from "../intake";
import { settingOf, useSettings } from "../shared/useSettings";
import { listed, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { ChoiceRow } from "./ChoiceRow";
import { CueCard } from "./CueCard";
import { Effect } from "./Effect";
import { KeysSheet } from "./KeysSheet";
import { HeadButtons, LastReading } from "./LastReading";
import { LeaveOut } from "./LeaveOut";
import { OrderRail } from "./OrderRail";
import { plannedMinutes, unplaced } from "./order";
import { PathwayOffers, PathwayStrip } from "./pathways/PathwayStrip";
import { PositionBeat } from "./PositionBeat";
import { RankingLine, RankingPanel } from "./RankingPanel";
import { ReadingStrip } from "./ReadingStrip";
import { Recorder } from "./Recorder";
import { isGaugeOnly, isTable, qualities } from "./recorderForm";
import { Remark } from "./Remark";
import { RivalsPanel } from "./RivalsPanel";
import { SafetyStrip } from "./SafetyStrip";
import { StopLine } from "./StopLine";
import { stopMet } from "./stops";
import { useBench } from "./useBench";
import { useBenchKeys } from "./useBenchKeys";
import { useKeys, useSingleKeys } from "./useKeys";
import { isWalk } from "./walk/ring";
import { WayRow } from "./WayRow";
import { useMinutes } from "./useMinutes";

/** One test at a time: its card, both sides, what the response means, and where it leaves each condition. */
export function BenchView() {
  const live = useLive();
  const bench = useBench(live);
  const navigate = useNavigate();
  const [keysOpen, setKeysOpen] = useState(false);
  const [leaving, setLeaving] = useState<string>();
  const [remarking, setRemarking] = useState<string>();
  const [long, setLong] = useState(false);
  const [gauge, setGauge] = useState<string>();
  const [single, setSingle] = useSingleKeys();
  const [ranking, setRanking] = useState(false);
  const elapsed = useMinutes(live);
  const reachLeft = settingOf(useSettings(), "side-of-reach") === "left";
  const { region, state, weighing } = live;
  const { test, row, here, known, closed, sheet, beat } = bench;
  const names = useMemo(() => new Map(region.tests.map((each) => [each.id, each])), [region]);

  const ordered = new Set(
    bench.order
      .filter((section) => !unplaced(section))
      .flatMap((section) => section.items.flatMap((item) => item.testIds)),
  );
  const isLeaving = leaving === test.id;
  const forward = () => {
    if (!bench.forward()) {
      void navigate("weighing");
    }
  };
  const quality = qualities(test);
  const toggle = (key: string, value: string) => {
    bench.record(bench.involved, withChoice(test, here?.parts ?? [], key, value));
  };
  const gaugeOpen = isGaugeOnly(test) || (gauge === test.id && test.parts.some((part) => part.key === "force"));
  const walk = isWalk(sheet);
  const led = bench.next !== undefined && bench.next.id === bench.ways.following?.step.testId;
  const hasNothing = sheet.length > 0 || test.nothing.length > 0;
  const keys = useBenchKeys(bench, {
    forward,
    toggle,
    quality,
    leaving: isLeaving,
    startLeaving: () => {
      if (!live.readOnly) {
        setLeaving(test.id);
      }
    },
    stopLeaving: () => {
      setLeaving(undefined);
    },
    keysOpen: () => {
      setKeysOpen(true);
    },
    long: () => {
      setLong(!long);
    },
  });
  useKeys(keys, single);

  const buttons = (
    <HeadButtons
      canUndo={!live.readOnly && state.lastRecording !== undefined}
      onUndo={bench.takeBack}
      canRedo={!live.readOnly && state.lastUndo !== undefined}
      onRedo={bench.bringBack}
      onKeys={() => {
        setKeysOpen(true);
      }}
    />
  );
  const rankingLine = (
    <RankingLine
      weighing={weighing}
      onOut={() => {
        setRanking(true);
      }}
    />
  );
  const last = <LastReading weighing={weighing} testName={(id) => names.get(id)?.name ?? id} current={test.id} />;
  const stop = stopMet(test, here);
  const remark = remarkOf(here?.parts ?? []);
  const waiting = live.queue.status === "waiting";
  const note = live.readOnly
    ? "Signed: nothing can be added."
    : closed
      ? "Nothing is recorded while this is closed."
      : waiting
        ? "The reading follows once the server is reached."
        : bench.retrying
          ? "The second try."
          : here
            ? test.nothing.length + test.usual.length + test.stops.length === 0 && known?.statements.length === 0
              ? "Noted. Nothing is read from it by itself."
              : "More of the response is needed before it can be read."
            : bench.there
              ? `Now the ${sideWord(bench.involved)}, the involved side.`
              : test.wellSideParts.length === 0
                ? "Tap the answer, and it is read at once."
                : "The uninvolved side first, then the involved one.";
  const form = gaugeOpen || isTable(test) ? (long ? "long" : "name") : long ? "long" : "short";
  const leftOpen =
    bench.order
      .find((section) => beat && section.position !== beat.position && section.items.includes(bench.previous ?? row))
      ?.items.filter((item) => bench.progress(item) === "OPEN" && !bench.locked(item))
      .map((item) => item.name) ?? [];
  return (
    <main
      className={`grid min-h-0 flex-1 grid-cols-1 ${reachLeft ? "lg:grid-cols-[21rem_minmax(0,1fr)_13rem] lg:[&>aside]:order-first lg:[&>nav]:order-last" : "lg:grid-cols-[13rem_minmax(0,1fr)_21rem]"}`}
    >
      <OrderRail
        gone={live.examination.gone}
        region={region}
        order={bench.order}
        locked={bench.locked}
        progress={bench.progress}
        current={state.standAt ?? row.id}
        elapsed={elapsed}
        planned={plannedMinutes(region, bench.order)}
        onGo={bench.go}
        onMove={bench.moveRow}
        onUsual={bench.usualOrder}
      >
        <PathwayOffers offers={bench.ways.offers} onFollow={bench.ways.follow} />
        <AgainList live={live} onGo={bench.go} />
      </OrderRail>
      <div className="flex min-w-0 flex-col gap-1 px-4 py-1 lg:overflow-y-auto lg:px-5">
        {bench.ways.following && (
          <PathwayStrip
            following={bench.ways.following}
            current={sheet.length > 0 ? "" : test.id}
            waiting={live.queue.status === "waiting"}
            testName={(id) => names.get(id)?.shortName ?? id}
            onGo={bench.go}
          />
        )}
        {weighing && <SafetyStrip safety={weighing.safety} onTell={bench.sayBefore} />}
        {weighing?.safety.state === "SUSPENDED" ? (
          <p className="mt-2 flex flex-wrap gap-2">
            <Link to="conclude" className={QUIET_LINK}>
              Conclude what is to be done
            </Link>
            <Link to="note" className={QUIET_LINK}>
              Note
            </Link>
          </p>
        ) : beat ? (
          <>
            <PositionBeat
              to={beat}
              left={leftOpen}
              equipment={[
                ...new Set(beat.items.flatMap((item) => item.testIds).flatMap((id) => names.get(id)?.equipment ?? [])),
              ]}
              onReady={bench.ready}
              onBack={bench.back}
            />
            <div className="mt-auto" />
            {rankingLine}
          </>
        ) : (
          <>
            {sheet.length > 0 ? (
              <div>
                <div className="flex items-center justify-between gap-4">
                  <h1 className="font-serif text-head font-semibold">{row.name}</h1>
                  {buttons}
                </div>
                {!walk && last}
              </div>
            ) : (
              <CueCard
                test={test}
                form={form}
                way={bench.variant}
                buttons={buttons}
                last={last}
                done={
                  closed || (known && known.rivals.length > 0) ? undefined : (
                    <WayRow test={test} way={bench.way} onChoose={bench.doneAs} />
                  )
                }
              />
            )}
            {bench.lock && sheet.length === 0 && (
              <LockNotice key={test.id} testId={test.id} lock={bench.lock} onTell={bench.sayBefore} />
            )}
            {closed && !live.readOnly ? null : known && known.rivals.length > 0 && !live.readOnly ? (
              <RivalsPanel test={test} rivals={known.rivals} onKeep={bench.keepOne} />
            ) : (
              <fieldset disabled={live.readOnly} className="contents">
                <Recorder
                  bench={bench}
                  state={state}
                  examination={live.examination.id}
                  gaugeOpen={gaugeOpen}
                  onGauge={(open) => {
                    setGauge(open ? test.id : undefined);
                  }}
                />
              </fieldset>
            )}
            {bench.spoiled && !closed ? (
              <StopLine
                lead={`${listed(bench.spoiled.names)} first.`}
                action={
                  <span className="flex gap-2">
                    <Button
                      onClick={() => {
                        if (bench.spoiled) {
                          bench.go(bench.spoiled.id);
                        }
                      }}
                    >
                      Go to {bench.spoiled.names[0]?.toLowerCase()}
                    </Button>
                    <Button onClick={bench.notNow}>Not now</Button>
                  </span>
                }
              >
                Provoking spoils {bench.spoiled.names.length === 1 ? "it" : "them"}.
              </StopLine>
            ) : stop ? (
              <StopLine lead="Stop here.">{stop.because.charAt(0).toUpperCase() + stop.because.slice(1)}.</StopLine>
            ) : (
              !closed &&
              sheet.length === 0 && (
                <ChoiceRow
                  label="If seen"
                  tight
                  options={quality}
                  chosen={choices(here, "quality")}
                  keycaps={[]}
                  onChoose={(value) => {
                    toggle("quality", value);
                  }}
                />
              )
            )}
            {sheet.length === 0 && (
              <ReadingStrip statements={waiting ? [] : (known?.statements ?? [])} note={note}>
                {weighing?.lastTest === test.id && live.upToDate && !bench.mayRetry && (
                  <Effect weighing={weighing} testId={test.id} />
                )}
                {remark !== "" && <p className="text-soft">“{remark}”</p>}
                {bench.mayRetry && (
                  <p className="flex items-center gap-3">
                    <span>Let the arm rest, a few small swings, then once more.</span>
                    <Button onClick={bench.retry}>Second try</Button>
                  </p>
                )}
              </ReadingStrip>
            )}
            <div className="mt-auto" />
            <ReplanNote {...bench.replan} />
            <div className="bottom-0 [@media(min-height:600px)]:sticky bg-paper pb-1">
              <ReplanQuestion {...bench.replan} />
              {rankingLine}
              {isLeaving ? (
                <LeaveOut
                  onReason={bench.leaveOut}
                  onCancel={() => {
                    setLeaving(undefined);
                  }}
                />
              ) : remarking === test.id ? (
                <Remark
                  value={remark}
                  onDone={(words) => {
                    setRemarking(undefined);
                    if (words !== undefined) {
                      bench.record(bench.involved, withRemark(here?.parts ?? [], words));
                    }
                  }}
                />
              ) : (
                <div className="flex flex-wrap gap-2">
                  <Button
                    look={here || closed || !hasNothing ? "quiet" : "primary"}
                    keycap="0"
                    className="flex-1 sm:basis-52"
                    disabled={closed || !hasNothing}
                    onClick={bench.nothingBoth}
                  >
                    {sheet.length > 0 ? (
                      "All else normal, both sides"
                    ) : (
                      <>
                        Nothing, both<span className="sr-only sm:not-sr-only"> sides</span>
                      </>
                    )}
                  </Button>
                  <Button
                    keycap="⇧L"
                    disabled={closed}
                    onClick={() => {
                      setLeaving(test.id);
                    }}
                  >
                    Leave out
                  </Button>
                  {sheet.length === 0 && (
                    <Button
                      disabled={closed}
                      onClick={() => {
                        setRemarking(test.id);
                      }}
                    >
                      Remark
                    </Button>
                  )}
                  <Button
                    look={here || closed ? "primary" : "quiet"}
                    keycap="PgDn"
                    className="sm:flex-1 sm:basis-52"
                    onClick={forward}
                  >
                    {row.sheet && sheet.length === 0 && !led ? (
                      <>Back to {row.name.toLowerCase()}</>
                    ) : bench.next ? (
                      <>
                        Next<span className="hidden sm:inline">: {bench.next.name}</span>
                      </>
                    ) : (
                      "See the weighing"
                    )}
                  </Button>
                </div>
              )}
            </div>
          </>
        )}
      </div>
      <RankingPanel
        weighing={weighing}
        ended={live.readOnly}
        upToDate={live.upToDate}
        waiting={waiting}
        current={test.id}
        ordered={ordered}
        proposed={bench.replan.better[0]?.testId}
        testName={(id) => names.get(id)?.shortName ?? id}
        onGo={(id) => {
          setRanking(false);
          bench.go(id);
        }}
        out={ranking}
        onIn={() => {
          setRanking(false);
        }}
      />
      <KeysSheet open={keysOpen} onOpenChange={setKeysOpen} keys={keys} single={single} onSingle={setSingle} />
    </main>
  );
}
