import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { faultsOf } from "../shared/api/faults";
import { keys } from "../shared/api/keys";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Waiting } from "../shared/ui/Message";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { CaseArrival } from "./CaseArrival";
import { sizeWords } from "./sizeWords";
import { SetupPart } from "./SetupPart";

type Backups = Schemas["BackupsJson"];
type Run = Schemas["BackupRunJson"];

const INTERVALS: [number, string][] = [
  [6, "every 6 hours"],
  [12, "every 12 hours"],
  [24, "every day"],
  [48, "every 2 days"],
  [168, "every week"],
  [0, "never"],
];
const MOST_KEPT = 100;

const COMMANDS: [string, string][] = [
  ["Copy to another place, while the server works", "./lexicor backup FILE --passphrase-file SECRET"],
  ["See whether a copy is whole, and what it holds", "./lexicor verify FILE"],
  ["Bring one back into a folder without a record", "./lexicor restore FILE --data FOLDER"],
];

/** Copies of the record: when the last was taken, how often, how many are kept, and how one is brought back. */
export function BackupsView() {
  const backups = useQuery({
    queryKey: keys.backups,
    queryFn: () => dataOf(api.GET("/api/backups")),
    staleTime: 0,
  });
  return (
    <SetupPart
      title="Backups"
      about="Copies of the whole record, taken while everybody works. Each is read back and counted before it bears its name."
      shared={false}
    >
      {backups.isPending && <Waiting what="the copies" />}
      {backups.isError && (
        <p role="alert" className="border-l-4 border-for pl-3 text-read">
          {backups.error.message}
        </p>
      )}
      {backups.data && <Copies backups={backups.data} />}
    </SetupPart>
  );
}

function Copies({ backups }: { backups: Backups }) {
  const cache = useQueryClient();
  const keep = (fresh: Backups) => {
    cache.setQueryData(keys.backups, fresh);
    void cache.invalidateQueries({ queryKey: keys.backupAge });
  };
  const take = useMutation({ mutationFn: () => dataOf(api.POST("/api/backups")), onSuccess: keep });
  const good = backups.runs.find((run) => run.fault === "");
  const failed = backups.runs[0]?.fault;
  return (
    <>
      <section aria-label="The last copy" className="border-l-4 border-ink pl-4">
        {good ? (
          <>
            <p className="font-serif text-2xl font-semibold">Last copied {when(good.at)}</p>
            <p className="text-read">
              {sizeWords(good.bytes)}: {good.holds}. Read back and found whole.
            </p>
          </>
        ) : (
          <p className="font-serif text-2xl font-semibold">Not copied yet</p>
        )}
        {backups.tooOld && (
          <p role="alert" className="mt-1 text-read font-semibold text-for">
            Copies that were planned are missing.
          </p>
        )}
        {failed && (
          <p role="alert" className="mt-1 text-read text-for">
            The last try failed: {failed}
          </p>
        )}
        {take.isError && (
          <p role="alert" className="mt-1 text-read text-for">
            {faultsOf(take.error).other}
          </p>
        )}
        <Button
          look="primary"
          className="mt-3"
          disabled={take.isPending}
          onClick={() => {
            take.mutate();
          }}
        >
          {take.isPending ? "Copying" : "Copy now"}
        </Button>
      </section>
      <Plan key={`${String(backups.plan.everyHours)} ${String(backups.plan.keep)}`} backups={backups} onKept={keep} />
      {backups.runs.length > 0 && <Runs runs={backups.runs} />}
      <Where folder={backups.folder} />
      <Everything />
      <CaseArrival />
    </>
  );
}

/** All of the clinic to take away, in formats that other programs read. */
function Everything() {
  return (
    <section aria-labelledby="everything" className="mt-7">
      <h2 id="everything" className="text-xl font-semibold">
        Take everything away
      </h2>
      <p className="text-read text-soft">
        All cases (JSON, one a line), what was found and measured (CSV), the ledger and what the clinic decided, in one
        archive. It is not locked by a passphrase, names everybody by code or name as stored, and is noted in the audit
        trail. To bring a whole record back, use a copy.
      </p>
      <p className="mt-2">
        <a download href="/api/export/clinic.zip" className={QUIET_LINK}>
          Everything, as an archive
        </a>
      </p>
    </section>
  );
}

function Plan({ backups, onKept }: { backups: Backups; onKept: (fresh: Backups) => void }) {
  const { plan, byItself } = backups;
  const [hours, setHours] = useState(plan.everyHours);
  const [kept, setKept] = useState(String(plan.keep));
  const decide = useMutation({
    mutationFn: () => dataOf(api.PUT("/api/backups/plan", { body: { everyHours: hours, keep: Number(kept) } })),
    onSuccess: onKept,
  });
  const number = /^\d+$/.test(kept) ? Number(kept) : 0;
  const valid = number >= 1 && number <= MOST_KEPT;
  const changed = hours !== plan.everyHours || number !== plan.keep;
  const refused = faultsOf(decide.error);
  const fault = valid
    ? (refused.keep ?? refused.everyHours ?? refused.other)
    : `How many are kept: a whole number from 1 to ${String(MOST_KEPT)}.`;
  const known = INTERVALS.some(([each]) => each === plan.everyHours);
  return (
    <section aria-labelledby="plan-of-copies" className="mt-7">
      <h2 id="plan-of-copies" className="text-xl font-semibold">
        Taken by itself
      </h2>
      {!byItself && <p className="text-read text-soft">A demo clinic is copied only when somebody asks.</p>}
      <div className="mt-1 flex flex-wrap items-center gap-x-5 gap-y-2">
        <label className="text-read">
          A copy
          <select
            value={hours}
            onChange={(event) => {
              setHours(Number(event.target.value));
            }}
            className="ml-2 min-h-11 rounded border border-edge bg-sheet px-3 text-read"
          >
            {!known && <option value={plan.everyHours}>every {plan.everyHours} hours</option>}
            {INTERVALS.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <label className="text-read">
          Kept: the last
          <input
            inputMode="numeric"
            value={kept}
            aria-invalid={!valid}
            onChange={(event) => {
              setKept(event.target.value);
              decide.reset();
            }}
            className="ml-2 min-h-11 w-16 rounded border border-edge bg-sheet px-2 text-right text-read aria-invalid:border-2 aria-invalid:border-for"
          />
        </label>
        <Button
          disabled={!changed || !valid || decide.isPending}
          onClick={() => {
            decide.mutate();
          }}
        >
          Keep this plan
        </Button>
      </div>
      {fault && (
        <p role="alert" className="mt-1 text-note text-for">
          {fault}
        </p>
      )}
    </section>
  );
}

function Runs({ runs }: { runs: Run[] }) {
  return (
    <section aria-labelledby="copies-so-far" className="mt-7">
      <h2 id="copies-so-far" className="text-xl font-semibold">
        So far
      </h2>
      <ul className="mt-1 border-t border-line">
        {runs.map((run) => (
          <li key={run.at} className="grid gap-x-5 border-b border-line py-1.5 text-read sm:grid-cols-[9rem_6rem_1fr]">
            <span>{when(run.at)}</span>
            {run.fault ? (
              <>
                <span className="font-semibold text-for">failed</span>
                <span>{run.fault}</span>
              </>
            ) : (
              <>
                <span>{sizeWords(run.bytes)}</span>
                <span className="wrap-anywhere">
                  {run.there ? run.file : <span className="text-soft">{run.file}, no longer kept</span>}
                </span>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Where({ folder }: { folder: string }) {
  return (
    <section aria-labelledby="where-copies-lie" className="mt-7 max-w-3xl">
      <h2 id="where-copies-lie" className="text-xl font-semibold">
        Where they lie, and how one is brought back
      </h2>
      <p className="mt-1 text-read">
        On the server, in <Code>{folder}</Code>. A disk that breaks takes them along: keep one elsewhere, under a
        passphrase, and try now and then that it can be read.
      </p>
      <dl className="mt-1 text-read">
        {COMMANDS.map(([what, command]) => (
          <div key={what} className="mt-3">
            <dt>{what}</dt>
            <dd>
              <Code>{command}</Code>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function Code({ children }: { children: string }) {
  return <code className="rounded bg-tan px-1.5 py-0.5 font-mono text-note wrap-anywhere">{children}</code>;
}
