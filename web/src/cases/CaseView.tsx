import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { WhatTurnedOut } from "../outcomes";
import { TopBar, usePerson } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { capital, complaintWords, inHundred, onDay, when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { FormFault } from "../shared/ui/FormFault";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Waiting } from "../shared/ui/Message";
import { Unfetched } from "../shared/ui/Unfetched";
import { BodyFigure, type Region } from "./BodyFigure";
import { DetailFields, detailsOf, type DetailDraft } from "./DetailFields";
import { lastSetting } from "./lastSetting";
import { StateMark } from "./StateMark";

type Sheet = Schemas["CaseSheetJson"];
type Episode = Schemas["EpisodeJson"];
type Visit = Schemas["VisitRequest"];

/** One person: what is known, every complaint with its visits, and the next one. */
export function CaseView() {
  const { id = "" } = useParams();
  const sheet = useQuery({
    queryKey: keys.caseSheet(id),
    queryFn: () => dataOf(api.GET("/api/cases/{id}", { params: { path: { id } } })),
    staleTime: 0,
  });
  return (
    <div className="mx-auto max-w-5xl px-5 pb-10">
      <TopBar />
      {sheet.isPending && <Waiting page what="the case" />}
      {sheet.isError && (
        <Unfetched
          error={sheet.error}
          what="case"
          back={
            <Link className="underline" to="/">
              Back to the cases
            </Link>
          }
        />
      )}
      {sheet.data && <Loaded key={sheet.data.person.version} sheet={sheet.data} />}
    </div>
  );
}

function Loaded({ sheet }: { sheet: Sheet }) {
  const { person, episodes } = sheet;
  return (
    <main>
      <h1 className="mt-5 font-serif text-head font-semibold">Case {person.code}</h1>
      <div className="mt-4 grid gap-10 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <section aria-labelledby="visits" className="order-2 lg:order-1">
          <h2 id="visits" className="text-xl font-semibold">
            Complaints and visits
          </h2>
          {episodes.map((episode) => (
            <EpisodeBlock key={episode.id} caseId={person.id} episode={episode} />
          ))}
          <NewComplaint caseId={person.id} />
          <Taking caseId={person.id} />
        </section>
        <section aria-labelledby="details" className="order-1 lg:order-2">
          <h2 id="details" className="text-xl font-semibold">
            Details
          </h2>
          <Details person={person} />
        </section>
      </div>
    </main>
  );
}

const TABLES: readonly [string, string][] = [
  ["findings", "What was answered"],
  ["measures", "What was measured"],
  ["readings", "How it is read"],
  ["conclusions", "Conclusions and ranking"],
];

/** The case to take away: as tables for a spreadsheet, and whole. */
function Taking({ caseId }: { caseId: string }) {
  return (
    <section aria-labelledby="taking" className="mt-8 border-t border-line pt-3">
      <h2 id="taking" className="text-xl font-semibold">
        Take away
      </h2>
      <p className="text-note text-soft">
        All visits as tables (CSV), without what was corrected. Or the whole case (JSON), which another Lexicor can
        bring in. What leaves the clinic is noted in its audit trail.
      </p>
      <ul className="mt-2 flex flex-wrap gap-2">
        {TABLES.map(([table, name]) => (
          <li key={table}>
            <a download href={`/api/cases/${caseId}/${table}.csv`} className={QUIET_LINK}>
              {name}
            </a>
          </li>
        ))}
        <li>
          <a download href={`/api/cases/${caseId}/case.json`} className={QUIET_LINK}>
            The whole case
          </a>
        </li>
      </ul>
    </section>
  );
}

function Details({ person }: { person: Sheet["person"] }) {
  const cache = useQueryClient();
  const [draft, setDraft] = useState<DetailDraft>({
    name: person.name ?? "",
    birthYear: person.birthYear ? String(person.birthYear) : "",
    dominance: person.dominance ?? "",
    occupation: person.occupation,
    sex: person.sex ?? "",
  });
  const [local, setLocal] = useState<Record<string, string>>({});
  const save = useMutation({
    mutationFn: (details: Schemas["CaseDetails"]) =>
      dataOf(
        api.PUT("/api/cases/{id}", { params: { path: { id: person.id } }, body: { details, version: person.version } }),
      ),
    onSuccess: () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: keys.caseSheet(person.id) }),
        cache.invalidateQueries({ queryKey: keys.allCases }),
        cache.invalidateQueries({ queryKey: ["examination"] }),
      ]),
  });
  const faults = { ...faultsOf(save.error), ...local };
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    const details = detailsOf(draft);
    if ("fault" in details) {
      setLocal(details.fault);
    } else {
      save.mutate(details.details);
    }
  };
  return (
    <form noValidate onSubmit={submit} className="mt-3 flex flex-col gap-4">
      <DetailFields
        draft={draft}
        faults={faults}
        onChange={(next) => {
          setDraft(next);
          setLocal({});
          save.reset();
        }}
      />
      <FormFault>{faults.other}</FormFault>
      <div className="flex items-center gap-4">
        <Button type="submit" disabled={save.isPending}>
          Save details
        </Button>
        {save.isSuccess && (
          <span role="status" className="text-note">
            Saved
          </span>
        )}
      </div>
    </form>
  );
}

function useBegin(caseId: string) {
  const navigate = useNavigate();
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (body: Visit) =>
      dataOf(api.POST("/api/cases/{id}/examinations", { params: { path: { id: caseId } }, body })),
    onSuccess: (examination) => {
      cache.setQueryData(keys.examination(examination.id), examination);
      void navigate(`/examinations/${examination.id}/intake`);
    },
  });
}

function EpisodeBlock({ caseId, episode }: { caseId: string; episode: Episode }) {
  const begin = useBegin(caseId);
  const last = episode.visits[0];
  const me = usePerson().name;
  const second = last !== undefined && onlyByOthersToday(episode.visits, me);
  return (
    <article className="mt-4 border-t-2 border-ink pt-2">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h3 className="font-serif text-xl font-semibold">
          {capital(complaintWords(episode.side, episode.region))}{" "}
          <span className="font-sans text-note font-normal text-soft">since {onDay(episode.openedAt)}</span>
        </h3>
        {last && (
          <span className="flex flex-wrap items-center gap-3">
            {episode.visits.length > 1 && (
              <Link to={`/cases/${caseId}/course/${episode.id}`} className={QUIET_LINK}>
                Course
              </Link>
            )}
            {second && (
              <Button
                disabled={begin.isPending}
                onClick={() => {
                  begin.mutate(nextVisit(episode, last, {}));
                }}
              >
                Examine as second examiner
              </Button>
            )}
            <Button
              look="primary"
              disabled={begin.isPending}
              onClick={() => {
                begin.mutate(nextVisit(episode, last, { follows: last.id }));
              }}
            >
              Examine again
            </Button>
          </span>
        )}
      </div>
      <FormFault className="mt-2">
        {begin.isError ? (faultsOf(begin.error).other ?? begin.error.message) : undefined}
      </FormFault>
      <ul className="mt-1">
        {episode.visits.map((visit) => (
          <li key={visit.id} className="border-t border-line">
            <VisitLine visit={visit} />
          </li>
        ))}
      </ul>
      {last && <WhatTurnedOut caseId={caseId} complaint={episode.id} />}
    </article>
  );
}

/** A further visit of a complaint, where and on the side that the last one was. */
function nextVisit(episode: Episode, last: Episode["visits"][number], more: Pick<Visit, "follows">): Visit {
  return {
    id: crypto.randomUUID(),
    region: episode.region,
    side: episode.side,
    setting: last.setting,
    ...(episode.side === "BOTH" ? { worse: last.side } : {}),
    ...more,
  };
}

/** A visit with how far it got and what stood highest; what a first examiner found is hidden from the second. */
function VisitLine({ visit }: { visit: Episode["visits"][number] }) {
  if (visit.hidden) {
    return (
      <p className="grid min-h-14 items-center gap-x-5 gap-y-1 px-1 py-2 sm:grid-cols-[9rem_1fr]">
        <span className="text-read">
          {when(visit.startedAt)}
          <br />
          <span className="text-note text-soft">{visit.by}</span>
        </span>
        <span className="text-read text-soft">
          Hidden until you have signed yours, so that the two of you can be compared.
        </span>
      </p>
    );
  }
  return (
    <Link
      to={`/examinations/${visit.id}${visit.state === "BEGUN" || visit.state === "SUSPENDED" ? "/intake" : ""}`}
      className="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-5 gap-y-1 px-1 py-2 hover:bg-sheet sm:grid-cols-[9rem_10rem_1fr]"
    >
      <span className="text-read">
        {when(visit.startedAt)}
        <br />
        <span className="text-note text-soft">{visit.by}</span>
      </span>
      <StateMark state={visit.state} done={visit.done} total={visit.total} />
      <span className="text-read">
        {visit.leader && visit.chance != null ? (
          <>
            {visit.leader} <strong>{inHundred(visit.chance)}</strong>{" "}
            <span className="text-note text-soft">in 100</span>
          </>
        ) : (
          <span className="text-soft">Nothing stands out</span>
        )}
      </span>
    </Link>
  );
}

/** Whether somebody else examined today and one has not oneself, so that one can be the second examiner. */
function onlyByOthersToday(visits: Episode["visits"], me: string): boolean {
  const today = new Date().toDateString();
  const ofToday = visits.filter((visit) => new Date(visit.startedAt).toDateString() === today);
  return ofToday.length > 0 && ofToday.every((visit) => visit.author !== me);
}

/** Another complaint of the same person. */
function NewComplaint({ caseId }: { caseId: string }) {
  const [open, setOpen] = useState(false);
  const [where, setWhere] = useState<{ region: Region; side: Visit["side"] }>();
  const begin = useBegin(caseId);
  if (!open) {
    return (
      <Button
        className="mt-6"
        onClick={() => {
          setOpen(true);
        }}
      >
        Another complaint
      </Button>
    );
  }
  return (
    <div className="mt-6 border-t-2 border-ink pt-2">
      <h3 className="font-serif text-xl font-semibold">Another complaint</h3>
      <BodyFigure
        region={where?.region}
        side={where?.side}
        onChoose={(region, side) => {
          setWhere({ region, side });
        }}
      />
      <div className="mt-3 flex flex-wrap gap-2">
        {where &&
          (where.side === "BOTH" ? (["RIGHT", "LEFT"] as const) : [undefined]).map((worse) => (
            <Button
              key={worse ?? "one"}
              look="primary"
              disabled={begin.isPending}
              onClick={() => {
                begin.mutate({
                  id: crypto.randomUUID(),
                  region: where.region,
                  side: where.side,
                  setting: lastSetting(),
                  ...(worse ? { worse } : {}),
                });
              }}
            >
              {worse ? `Start, ${worse.toLowerCase()} is worse` : "Start"}
            </Button>
          ))}
        <Button
          onClick={() => {
            setOpen(false);
          }}
        >
          Cancel
        </Button>
      </div>
    </div>
  );
}
