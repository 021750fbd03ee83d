import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useEffect, useState, useSyncExternalStore } from "react";
import { Link, useNavigate } from "react-router";
import { FirstTour } from "../help";
import { onQueues, waitingCount } from "../record";
import { TopBar } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { onMoved } from "../shared/live/moved";
import { affected, capital, inHundred, numbered, REGIONS, when, whoIs } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { Strip } from "../shared/ui/Strip";
import { useAddress } from "../shared/useAddress";
import { byDay, handsOn, STATES, stateWord } from "./states";
import { StateMark } from "./StateMark";

type Line = Schemas["CaseLine"];

/** The cases, latest first: find one, go on with it, or start another. */
export function CasesView() {
  const [address, setAddress] = useAddress({ state: "", region: "", page: "1" });
  const [typed, setTyped] = useState(""); // a name has no place in an address
  const find = useDeferredValue(typed);
  const page = Math.max(1, Number(address.page) || 1) - 1;
  const list = useQuery({
    queryKey: keys.cases(find, address.state, address.region, page),
    queryFn: () =>
      dataOf(
        api.GET("/api/cases", {
          params: {
            query: {
              find,
              page,
              ...(address.state ? { state: address.state as Line["state"] } : {}),
              ...(address.region ? { region: address.region } : {}),
            },
          },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
  const cache = useQueryClient();
  useEffect(
    () =>
      onMoved(() => {
        void cache.invalidateQueries({ queryKey: keys.allCases });
      }),
    [cache],
  );
  const waiting = useSyncExternalStore(onQueues, waitingCount);
  const searching = typed !== "" || address.state !== "" || address.region !== "";
  return (
    <div className="mx-auto max-w-6xl px-5 pb-10">
      <TopBar>
        <StartLink />
      </TopBar>
      <main>
        <div className="mt-5 mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
          <h1 className="font-serif text-head font-semibold">Cases</h1>
          <label className="text-note">
            Find
            <input
              type="search"
              value={typed}
              onChange={(event) => {
                setTyped(event.target.value);
                setAddress({ page: "1" });
              }}
              placeholder="code, name or occupation"
              className="ml-2 min-h-12 w-64 rounded border border-edge bg-sheet px-3 text-read placeholder:text-soft"
            />
          </label>
        </div>
        <div className="mb-3 flex flex-wrap gap-x-8 gap-y-2">
          <Filter
            label="State"
            value={address.state}
            options={STATES.map((state) => [state, stateWord(state)])}
            onChange={(state) => {
              setAddress({ state, page: "1" });
            }}
          />
          <Filter
            label="Region"
            value={address.region}
            options={REGIONS.map((region) => [region, capital(region)])}
            onChange={(region) => {
              setAddress({ region, page: "1" });
            }}
          />
        </div>
        {waiting > 0 && (
          <p role="status" className="mb-3 border-l-4 border-ink pl-3 text-read">
            <strong>
              {waiting} {waiting === 1 ? "entry is" : "entries are"} kept in this browser
            </strong>{" "}
            and not on the server yet. {waiting === 1 ? "It is" : "They are"} sent as soon as it is reached.
          </p>
        )}
        <CopyWarning />
        {!searching && page === 0 && <Due />}
        <FirstTour />
        {list.isError && (
          <Message
            title="The list could not be fetched"
            action={
              <Button look="primary" onClick={() => void list.refetch()}>
                Try again
              </Button>
            }
          >
            Nothing was lost. The server may have stopped.
          </Message>
        )}
        {list.isPending && <Waiting what="the cases" />}
        {list.data &&
          (list.data.total === 0 ? (
            <Nothing
              searching={searching}
              onAll={() => {
                setTyped("");
                setAddress({ state: "", region: "", page: "1" });
              }}
            />
          ) : (
            <>
              <p role="status" className="text-note text-soft">
                {list.data.more ? "More than " : ""}
                {list.data.total.toLocaleString("en-GB")} {list.data.total === 1 ? "case" : "cases"}
                {searching && " found"}
                {list.data.more && ". Type more to narrow it down."}
              </p>
              {byDay(list.data.lines, new Date()).map((part) => (
                <section key={part.name} aria-label={part.name} className="mt-2">
                  <h2 className="text-read font-semibold">{part.name}</h2>
                  <ul className="mt-1 border-t border-line">
                    {part.lines.map((line) => (
                      <CaseRow key={line.person.id} line={line} />
                    ))}
                  </ul>
                </section>
              ))}
              <Pages
                page={page}
                pages={Math.ceil(list.data.total / list.data.size)}
                onGo={(to) => {
                  setAddress({ page: String(to + 1) });
                }}
              />
            </>
          ))}
      </main>
    </div>
  );
}

/** Says that planned copies of the record are missing, and nothing otherwise. */
function CopyWarning() {
  const age = useQuery({
    queryKey: keys.backupAge,
    queryFn: () => dataOf(api.GET("/api/backups/age")),
    staleTime: 10 * 60_000,
  });
  return age.data?.tooOld ? (
    <p role="status" className="mb-3 border-l-4 border-for pl-3 text-read">
      <strong>
        {age.data.lastAt ? `The record was last copied ${when(age.data.lastAt)}` : "The record has never been copied"}
      </strong>{" "}
      and should have been since. Please tell whoever looks after the server.
    </p>
  ) : null;
}

/** How many complaints were to be looked at again by now, and how many wait for an answer of imaging or the like; nothing where none is. */
function Due() {
  const waiting = useQuery({
    queryKey: keys.waitingComplaints,
    queryFn: () => dataOf(api.GET("/api/outcomes/waiting")),
    staleTime: 60_000,
  });
  const due = waiting.data?.waiting.filter((each) => each.overdue).length ?? 0;
  const asked = waiting.data?.waiting.filter((each) => each.askedFor.length > 0).length ?? 0;
  const words = [
    due === 0 ? "" : `${numbered(due, "re-test")} due`,
    asked === 0 ? "" : `${numbered(asked, "complaint")} waiting for an answer`,
  ].filter(Boolean);
  return words.length === 0 ? null : (
    <p className="mb-1 text-read">
      <Link to="/outcomes" className="inline-flex min-h-11 items-center underline decoration-edge underline-offset-4">
        {words.join(", ")}
      </Link>
    </p>
  );
}

function StartLink() {
  return (
    <Link
      to="/new"
      className="flex min-h-12 items-center rounded border-2 border-ink bg-tan px-4 text-read font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line"
    >
      New patient
    </Link>
  );
}

function Nothing({ searching, onAll }: { searching: boolean; onAll: () => void }) {
  return searching ? (
    <Message title="No case matches" action={<Button onClick={onAll}>Show all cases</Button>}>
      Each word has to begin a word of the code, the name or the occupation. Look at state and region too.
    </Message>
  ) : (
    <Message title="No case yet" action={<StartLink />}>
      One tap on the figure begins an examination. It is kept from the first tap.
    </Message>
  );
}

function Filter({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: string[][];
  onChange: (value: string) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap items-center gap-1.5">
      <span className="mr-1 text-note text-soft">{label}</span>
      <Strip>
        {options.map(([id = "", words]) => (
          <button
            key={id}
            type="button"
            aria-pressed={value === id}
            onClick={() => {
              onChange(value === id ? "" : id);
            }}
            className={`min-h-10 rounded border px-2.5 text-note ${value === id ? "border-ink bg-ink text-white" : "border-edge bg-sheet hover:bg-tan"}`}
          >
            {words}
          </button>
        ))}
      </Strip>
    </div>
  );
}

function CaseRow({ line }: { line: Line }) {
  const navigate = useNavigate();
  const onward = `/examinations/${line.examinationId}${line.state === "BEGUN" || line.state === "SUSPENDED" ? "/intake" : ""}`;
  return (
    <li className="grid grid-cols-[1fr_auto] items-stretch border-b border-line hover:bg-sheet">
      <Link
        to={onward}
        className="grid min-h-18 items-center gap-x-5 gap-y-1 px-2 py-2 md:grid-cols-[6.5rem_minmax(0,1fr)_9.5rem_minmax(0,15rem)]"
      >
        <strong className="text-read">{line.person.code}</strong>
        <span className="text-read">
          {line.person.name && <>{line.person.name}, </>}
          {whoIs(line.person) || <span className="text-soft">nothing said yet</span>}
          <br />
          <span className="text-note text-soft">
            {capital(affected(line.side, line.otherSideInvolved, line.region))} · {when(line.lastAt)}
          </span>
        </span>
        <StateMark state={line.state} done={line.done} total={line.total} waits />
        <span className="text-read">
          {line.leader && line.chance != null && handsOn(line.state) ? (
            <>
              {line.leader} <strong>{inHundred(line.chance)}</strong>
              <br />
              <span className="text-note text-soft">in 100, highest of those weighed</span>
            </>
          ) : (
            <span className="text-soft">{handsOn(line.state) ? "Nothing stands out yet" : ""}</span>
          )}
        </span>
      </Link>
      <button
        type="button"
        onClick={() => {
          void navigate(`/cases/${line.person.id}`);
        }}
        aria-label={`Case ${line.person.code}: all ${String(line.visits)} visits`}
        className="min-w-20 px-3 text-note underline"
      >
        {line.visits === 1 ? "1 visit" : `${String(line.visits)} visits`}
      </button>
    </li>
  );
}

function Pages({ page, pages, onGo }: { page: number; pages: number; onGo: (page: number) => void }) {
  if (pages < 2) {
    return null;
  }
  return (
    <nav aria-label="Pages" className="mt-3 flex items-center gap-3 text-read">
      <Button
        disabled={page === 0}
        onClick={() => {
          onGo(page - 1);
        }}
      >
        Newer
      </Button>
      <span>
        Page {page + 1} of {pages.toLocaleString("en-GB")}
      </span>
      <Button
        disabled={page + 1 >= pages}
        onClick={() => {
          onGo(page + 1);
        }}
      >
        Older
      </Button>
    </nav>
  );
}
