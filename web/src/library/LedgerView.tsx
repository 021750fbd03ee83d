import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Facts } from "../shared/ui/Facts";
import { Message, Waiting } from "../shared/ui/Message";
import { useAddress } from "../shared/useAddress";

type Use = Schemas["RecordJson"]["use"];

const USES: Record<Use, string> = { IN_USE: "In use", SHOWN: "Shown beside", UNUSED: "Kept, not used" };

/** Every published result with all that is known of it, whether it weighs, and why. To read. */
export function LedgerView() {
  const [entries, set] = useAddress({ find: "", use: "", page: "1" });
  const search = entries.find;
  const asked = useDeferredValue(search);
  const use = entries.use in USES ? (entries.use as Use) : "";
  const page = Math.max(0, Number(entries.page) - 1) || 0;
  const ledger = useQuery({
    queryKey: keys.ledger(asked, use, page),
    queryFn: () =>
      dataOf(
        api.GET("/api/library/records", { params: { query: { search: asked, page, ...(use === "" ? {} : { use }) } } }),
      ),
    placeholderData: keepPreviousData,
  });
  return (
    <main>
      <title>Ledger · Lexicor</title>
      <div className="mt-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <h1 className="font-serif text-head font-semibold">Evidence ledger</h1>
        {ledger.data && (
          <p className="text-note text-soft">
            {ledger.data.all} published results, {ledger.data.unreviewed} of them not yet compared with the originals.
          </p>
        )}
      </div>
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
        <div role="group" aria-label="Use" className="flex flex-wrap gap-1.5">
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
        </div>
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
    <details>
      <summary className="grid min-h-14 cursor-pointer items-center gap-x-4 gap-y-0.5 px-2 py-1.5 hover:bg-sheet md:grid-cols-[3.5rem_minmax(0,1.3fr)_minmax(0,1fr)_9rem_10rem]">
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
        <span className="text-note font-semibold">{USES[record.use]}</span>
      </summary>
      <Facts lines={rows(record)} className="grid-cols-[10rem_1fr] gap-x-3 gap-y-0.5 bg-sheet px-4 py-3 text-note" />
    </details>
  );
}

function rows(record: Schemas["RecordJson"]): [string, string][] {
  const number = (value: number | null | undefined) => (value == null ? "not published" : String(value));
  return [
    ["Why", capital(record.because)],
    [
      "Speaks for",
      `${record.subject}${record.tiedCriterion && `, ${record.tiedCriterion.replaceAll("-", " ")}`}, ${record.conditionId}${record.tieNote && `; ${record.tieNote}`}`,
    ],
    ["Positive meant", record.criterion],
    ["Target", record.conditionText],
    ["Sensitivity, specificity", `${number(record.sensitivity)}, ${number(record.specificity)}`],
    ["LR+, LR−", `${number(record.lrPositive)}, ${number(record.lrNegative)}`],
    ["With, without, all", `${number(record.with)}, ${number(record.without)}, ${number(record.total)}`],
    ["Patients", record.population],
    ["Compared with", record.referenceStandard],
    ["Design", `${record.design}${record.byInventors ? "; by those who proposed the test or derived the rule" : ""}`],
    ["Source", record.citation],
    ["Transcription", record.transcription],
    ["Review", record.reviewState],
    ["Note", record.note || "none"],
  ];
}
