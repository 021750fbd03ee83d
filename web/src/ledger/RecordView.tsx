import { useState } from "react";
import { Link, useParams } from "react-router";
import { Refused, type Schemas } from "../shared/api/client";
import { capital, when } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Facts } from "../shared/ui/Facts";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Message, Waiting } from "../shared/ui/Message";
import { ToLedger } from "./ToLedger";
import { Differences } from "./Differences";
import { Papers } from "./Papers";
import { ReasonedChange, reviewBegun, ReviewForm } from "./RecordActions";
import { recordFacts } from "./recordFacts";
import { useKeepsLedger, useRecord, type RecordSheet } from "./useLedger";
import { DOMAINS, RISKS, reviewWords, USES } from "./words";

type Action = "REVIEW" | "WITHDRAW" | "RESTORE" | "AS_SHIPPED" | "DECLINE";

/** One published result: what it says, whether it weighs, who has checked it, and everything that was changed. */
export function RecordView() {
  const { id = "" } = useParams();
  const record = useRecord(id);
  if (record.isPending) {
    return <Waiting what="the record" page />;
  }
  if (record.isError) {
    const missing = record.error instanceof Refused && record.error.problem.status === 404;
    return (
      <Message
        title={missing ? "Not in the ledger" : "The record could not be fetched"}
        page
        action={
          <Link className="underline" to="/library/ledger">
            The whole ledger
          </Link>
        }
      >
        {record.error.message}
      </Message>
    );
  }
  return <Record key={id} sheet={record.data} />;
}

function Record({ sheet }: { sheet: RecordSheet }) {
  const { record, standing } = sheet;
  const keeps = useKeepsLedger();
  const [action, setAction] = useState<Action | undefined>(() =>
    keeps && reviewBegun(record.id) ? "REVIEW" : undefined,
  );
  const done = () => {
    setAction(undefined);
  };
  const counted = standing.criteria.find((criterion) => criterion.id === record.tiedCriterion)?.counts ?? "";
  return (
    <main className="max-w-4xl">
      <title>{`${record.id} · Lexicor`}</title>
      <ToLedger />
      <h1 className="font-serif text-head font-semibold">
        {record.id}: {capital(record.subjectText)}
      </h1>
      <p className="text-read">
        for {record.conditionText}
        {record.kind === "test" && (
          <>
            {" · "}
            <Link className="underline" to={`/library/tests/${record.subject}?for=${record.conditionId}`}>
              what the test is worth
            </Link>
          </>
        )}
      </p>
      <p className="mt-3 text-xl">
        <strong>{USES[record.use]}</strong>: {record.because}.
      </p>
      <p className="mt-1 text-read">
        {capital(reviewWords(record.reviewState))}.{standing.own && " A study that was added here."}
        {standing.corrected && " It says something else here than as it was shipped."}
      </p>
      {standing.conflict && (
        <p role="status" className="mt-2 border-l-4 border-for pl-3 text-read">
          The product has since been shipped with another version of this record. The clinic’s correction holds until
          you put the record back as shipped or correct it anew.
        </p>
      )}
      {standing.proposed && <Proposed change={standing.proposed} />}
      <Actions sheet={sheet} action={action} onChoose={setAction} />
      {action === "REVIEW" && <ReviewForm sheet={sheet} onDone={done} />}
      {action !== undefined && action !== "REVIEW" && (
        <ReasonedChange key={action} what={action} sheet={sheet} onDone={done} />
      )}
      {standing.differences.length > 0 && (
        <section className="mt-6">
          <h2 className="font-serif text-xl font-semibold">As shipped, and here</h2>
          <Differences differences={standing.differences} />
        </section>
      )}
      <h2 className="mt-6 font-serif text-xl font-semibold">What it says</h2>
      <Facts
        lines={recordFacts(record, counted)}
        className="mt-1 grid-cols-[minmax(7rem,11rem)_1fr] gap-x-3 gap-y-1 text-read"
      />
      <Papers record={record.id} />
      {standing.review && <Review review={standing.review} />}
      <History changes={standing.history} />
    </main>
  );
}

function Proposed({ change }: { change: Schemas["LedgerChangeJson"] }) {
  return (
    <section className="mt-3 border-l-4 border-for pl-3">
      <h2 className="text-read font-semibold">A change waits for a second person</h2>
      <p className="text-read">
        {change.by}, {when(change.at)}
        {change.why && `: ${change.why}`}. It weighs once another steward agrees:{" "}
        <Link className="underline" to="/library/ledger/waiting">
          what waits
        </Link>
        .
      </p>
      {change.differences.length > 0 && <Differences differences={change.differences} />}
    </section>
  );
}

function Actions({
  sheet,
  action,
  onChoose,
}: {
  sheet: RecordSheet;
  action: Action | undefined;
  onChoose: (action: Action) => void;
}) {
  const keeps = useKeepsLedger();
  const { record, standing } = sheet;
  if (!keeps || action !== undefined) {
    return null;
  }
  const button = (what: Action, words: string, look?: "primary") => (
    <Button
      {...(look ? { look } : {})}
      onClick={() => {
        onChoose(what);
      }}
    >
      {words}
    </Button>
  );
  return (
    <div className="no-print mt-4 flex flex-wrap gap-2">
      {button("REVIEW", "Compare with the original", "primary")}
      <Link to={`/library/ledger/${record.id}/correct`} className={QUIET_LINK}>
        Correct
      </Link>
      {standing.withdrawn === "" ? button("WITHDRAW", "Withdraw") : button("RESTORE", "Take back into use")}
      {standing.proposed && button("DECLINE", "Do not agree")}
      {standing.corrected && button("AS_SHIPPED", "Put back as shipped")}
    </div>
  );
}

const risk = new Map(RISKS);

function Review({ review }: { review: Schemas["LedgerReviewJson"] }) {
  const judged = DOMAINS.filter(([domain]) => review.quality[domain]);
  return (
    <section className="mt-6">
      <h2 className="font-serif text-xl font-semibold">Compared with the original</h2>
      <p className="text-read">
        {capital(review.state)}, by {review.by} on {when(review.at)}
        {review.words && `: ${review.words}`}.
      </p>
      {judged.length > 0 && (
        <div className="mt-2 overflow-x-auto" role="region" tabIndex={0} aria-label="How far it can be trusted">
          <table className="w-full min-w-[30rem] border-collapse text-note">
            <thead>
              <tr className="border-b-2 border-ink text-left">
                <th className="py-1 pr-3 font-semibold">How far it can be trusted</th>
                <th className="pr-3 font-semibold">Risk of bias</th>
                <th className="pr-3 font-semibold">Distance from our work</th>
                <th className="font-semibold">Because</th>
              </tr>
            </thead>
            <tbody>
              {judged.map(([domain, title]) => {
                const one = review.quality[domain];
                return (
                  <tr key={domain} className="border-b border-line align-top">
                    <th scope="row" className="py-1 pr-3 text-left font-normal">
                      {title}
                    </th>
                    <td className="pr-3">
                      <Risk level={one?.bias ?? "UNCLEAR"} />
                    </td>
                    <td className="pr-3">{domain === "FLOW" ? "–" : <Risk level={one?.applies ?? "UNCLEAR"} />}</td>
                    <td>{one?.because ?? ""}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

const FILLED: Record<string, number> = { LOW: 1, UNCLEAR: 2, HIGH: 3 };

/** A risk as a word beside one to three strokes: more strokes, more risk. */
function Risk({ level }: { level: string }) {
  return (
    <span className="inline-flex items-center gap-2">
      <svg viewBox="0 0 18 12" className="h-3 w-[1.125rem]" aria-hidden="true">
        {[0, 1, 2].map((stroke) => (
          <line
            key={stroke}
            x1={3 + 6 * stroke}
            x2={3 + 6 * stroke}
            y1={stroke < (FILLED[level] ?? 2) ? 0 : 9}
            y2={12}
            stroke="currentColor"
            strokeWidth={3}
          />
        ))}
      </svg>
      {risk.get(level)}
    </span>
  );
}

function History({ changes }: { changes: Schemas["LedgerChangeJson"][] }) {
  return (
    <section className="mt-6">
      <h2 className="font-serif text-xl font-semibold">What was changed here</h2>
      {changes.length === 0 && <p className="text-read text-soft">Nothing: it is as it was shipped.</p>}
      <ol className="text-read">
        {changes.map((change) => (
          <li key={change.number} className="border-b border-line py-2">
            {capital(change.words)}, by {change.by} on {when(change.at)}
            {change.why && `: ${change.why}`}.
            {change.differences.length > 0 && <Differences differences={change.differences} />}
          </li>
        ))}
      </ol>
    </section>
  );
}
