import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { Link } from "react-router";
import { usePerson } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, decimal } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import { Message, Waiting } from "../shared/ui/Message";
import { useAddress } from "../shared/useAddress";
import { FunnelPlot } from "./FunnelPlot";
import { useKeepsLedger, useWaiting } from "./useLedger";
import { USES } from "./words";

type Use = Schemas["RecordJson"]["use"];

/** Records that may be looked at alone. */
const ONLY: [string, string][] = [
  ["left", "Left to review"],
  ["here", "Entered here"],
];

/** Every published result, whether it weighs, and how to what is known of it. */
export function LedgerView() {
  const [entries, set] = useAddress({ find: "", use: "", only: "", page: "1" });
  const search = entries.find;
  const asked = useDeferredValue(search);
  const use = entries.use in USES ? (entries.use as Use) : "";
  const page = Math.max(0, Number(entries.page) - 1) || 0;
  const ledger = useQuery({
    queryKey: keys.ledger(asked, `${use} ${entries.only}`, page),
    queryFn: () =>
      dataOf(
        api.GET("/api/library/records", {
          params: {
            query: {
              search: asked,
              page,
              ...(use === "" ? {} : { use }),
              ...(entries.only === "left" ? { review: "left" } : {}),
              ...(entries.only === "here" ? { here: true } : {}),
            },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const keeps = useKeepsLedger();
  const seesResults = usePerson().roles.some((role) => role === "STEWARD" || role === "THERAPIST");
  const [drawn, setDrawn] = useState(false);
  const waits = useWaiting().data?.changes.length ?? 0;
  return (
    <main>
      <title>Ledger · Lexicor</title>
      <div className="mt-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <h1 className="font-serif text-head font-semibold">Evidence ledger</h1>
        {ledger.data && (
          <p className="text-note text-soft">
            {ledger.data.all} published results,{" "}
            <Link className="underline" to="/library/ledger/review">
              {ledger.data.unreviewed} of them not yet compared with the originals
            </Link>
            .
          </p>
        )}
      </div>
      <p className="no-print mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 text-read">
        {keeps && (
          <Link
            to="/library/ledger/new"
            className="inline-flex min-h-12 items-center rounded border-2 border-ink bg-tan px-2.5 font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line"
          >
            Add a study
          </Link>
        )}
        {keeps && (
          <Link to="/library/ledger/import" className="inline-flex min-h-12 items-center underline">
            Bring a table in
          </Link>
        )}
        <a href="/api/ledger/ledger.csv" download className="inline-flex min-h-12 items-center underline">
          Take it out as a table
        </a>
        <a href="/api/ledger/ledger.json" download className="inline-flex min-h-12 items-center underline">
          or as JSON
        </a>
        {seesResults && (
          <Link to="/library/ledger/policy" className="inline-flex min-h-12 items-center underline">
            How studies are put together
          </Link>
        )}
        {waits > 0 && (
          <Link to="/library/ledger/waiting" className="inline-flex min-h-12 items-center font-semibold underline">
            {waits} {waits === 1 ? "change waits" : "changes wait"} for a second person
          </Link>
        )}
      </p>
      {ledger.data && (
        <p className="mt-1 max-w-3xl text-note text-soft">
          In this ledger those who proposed a test report {decimal(ledger.data.optimism.sensitivity)} times the odds on
          sensitivity and {decimal(ledger.data.optimism.specificity)} times the odds on specificity that others find.
          The weighing takes that away.
        </p>
      )}
      <details
        onToggle={(event) => {
          setDrawn(event.currentTarget.open);
        }}
      >
        <summary className="no-print inline-flex min-h-11 cursor-pointer items-center text-note underline">
          All studies drawn
        </summary>
        {drawn && <FunnelPlot />}
      </details>
      <div className="no-print mt-3 flex flex-wrap items-end gap-4">
        <label className="min-w-64 flex-1 text-note">
          Find a record
          <input
            type="search"
            value={search}
            maxLength={200}
            onChange={(event) => {
              set({ find: event.target.value, page: "1" });
            }}
            placeholder="test, condition, author or E-number"
            className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-3 text-read placeholder:text-soft"
          />
        </label>
        <Strip label="Use">
          <Button
            look="choice"
            chosen={use === ""}
            onClick={() => {
              set({ use: "", page: "1" });
            }}
          >
            All {ledger.data?.all ?? ""}
          </Button>
          {ledger.data?.uses.map((count) => (
            <Button
              key={count.use}
              look="choice"
              chosen={use === count.use}
              onClick={() => {
                set({ use: count.use, page: "1" });
              }}
            >
              {USES[count.use]} {count.count}
            </Button>
          ))}
          {ONLY.map(([only, words]) => (
            <Button
              key={only}
              look="choice"
              chosen={entries.only === only}
              onClick={() => {
                set({ only: entries.only === only ? "" : only, page: "1" });
              }}
            >
              {words}
            </Button>
          ))}
        </Strip>
      </div>
      {ledger.isPending && <Waiting what="the ledger" />}
      {ledger.isError && (
        <Message
          title="The ledger could not be fetched"
          action={
            <Button look="primary" onClick={() => void ledger.refetch()}>
              Try again
            </Button>
          }
        >
          {ledger.error.message}
        </Message>
      )}
      {ledger.data && (
        <Records
          answer={ledger.data}
          onPage={(to) => {
            set({ page: String(to + 1) });
            window.scrollTo(0, 0);
          }}
        />
      )}
    </main>
  );
}

function Records({ answer, onPage }: { answer: Schemas["LedgerPageJson"]; onPage: (page: number) => void }) {
  return (
    <>
      <p role="status" className="mt-3 text-note text-soft">
        {answer.found === 0
          ? "No record matches. Try fewer words."
          : `${String(answer.found)} found${answer.pages > 1 ? `, page ${String(answer.page + 1)} of ${String(answer.pages)}` : ""}`}
      </p>
      <ul className="mt-1 border-t border-line">
        {answer.records.map((record) => (
          <li key={record.id} className="border-b border-line">
            <Entry record={record} />
          </li>
        ))}
      </ul>
      {answer.pages > 1 && (
        <nav aria-label="Pages" className="no-print mt-4 flex justify-between gap-4">
          <Button
            disabled={answer.page === 0}
            onClick={() => {
              onPage(answer.page - 1);
            }}
          >
            Earlier
          </Button>
          <Button
            disabled={answer.page + 1 >= answer.pages}
            onClick={() => {
              onPage(answer.page + 1);
            }}
          >
            Later
          </Button>
        </nav>
      )}
    </>
  );
}

function Entry({ record }: { record: Schemas["RecordJson"] }) {
  const share = (value: number | null | undefined) => (value == null ? "–" : String(Math.round(1000 * value) / 10));
  return (
    <Link
      to={`/library/ledger/${record.id}`}
      className="grid min-h-14 items-center gap-x-4 gap-y-0.5 px-2 py-1.5 hover:bg-sheet md:grid-cols-[3.5rem_minmax(0,1.3fr)_minmax(0,1fr)_9rem_10rem]"
    >
      <strong className="text-read">{record.id}</strong>
      <span className="text-read">
        {capital(record.subjectText)}
        <span className="block text-note text-soft">{record.criterion}</span>
      </span>
      <span className="text-note">
        {record.conditionText}
        <span className="block text-soft">{record.citation}</span>
      </span>
      <span className="text-note">
        {record.sensitivity == null && record.specificity == null
          ? `LR ${String(record.lrPositive ?? "–")} / ${String(record.lrNegative ?? "–")}`
          : `sens ${share(record.sensitivity)} · spec ${share(record.specificity)}`}
        <span className="block text-soft">
          {record.total != null ? `${String(record.total)} patients` : "size unknown"}
        </span>
      </span>
      <span className="text-note font-semibold">
        {USES[record.use]}
        <span className="block font-normal text-soft">
          {record.reviewState === "unreviewed" ? "" : record.reviewState}
        </span>
      </span>
    </Link>
  );
}
