import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital } from "../shared/format";
import { Message, Waiting } from "../shared/ui/Message";
import { ToLedger } from "./ToLedger";
import { reviewWords, USES } from "./words";

/** What nobody has compared with its original yet, what weighs and is found most here first. */
export function ReviewListView() {
  const left = useQuery({
    queryKey: keys.leftToReview,
    queryFn: () => dataOf(api.GET("/api/library/records/left")),
    staleTime: 0,
  });
  if (left.isPending) {
    return <Waiting what="what is left to review" page />;
  }
  if (left.isError) {
    return (
      <Message title="The list could not be fetched" page>
        {left.error.message}
      </Message>
    );
  }
  return <Left list={left.data} />;
}

function Left({ list }: { list: Schemas["ReviewListJson"] }) {
  const done = list.inUse - list.leftInUse;
  return (
    <main className="max-w-4xl">
      <title>Left to review · Lexicor</title>
      <ToLedger />
      <h1 className="font-serif text-head font-semibold">Left to review</h1>
      <p className="mt-1 text-read">
        Of {list.inUse} records that weigh, <strong>{done}</strong> {done === 1 ? "has" : "have"} been compared with the
        original; of all {list.all}, {list.all - list.left}. What is found most in this clinic comes first.
      </p>
      <svg viewBox="0 0 400 10" preserveAspectRatio="none" className="mt-2 h-2.5 w-full max-w-md" aria-hidden="true">
        <rect width={400} height={10} fill="none" stroke="var(--color-edge)" />
        <rect width={(400 * done) / Math.max(1, list.inUse)} height={10} fill="var(--color-ink)" />
      </svg>
      {list.cardsLeft > 0 && (
        <p className="no-print text-note">
          <a href="#cards" className="inline-flex min-h-11 items-center underline">
            {list.cardsLeft} cards of tests are left too
          </a>
        </p>
      )}
      {list.first.length === 0 ? (
        <p className="mt-4 text-read">Nothing is left: every record has been found as published.</p>
      ) : (
        <ol className="mt-4 border-t border-line">
          {list.first.map(({ record, found }) => (
            <li key={record.id} className="border-b border-line">
              <Link
                to={`/library/ledger/${record.id}`}
                className="grid min-h-14 items-center gap-x-4 px-2 py-1.5 hover:bg-sheet md:grid-cols-[3.5rem_minmax(0,1fr)_14rem]"
              >
                <strong className="text-read">{record.id}</strong>
                <span className="text-read">
                  {capital(record.subjectText)}, for {record.conditionText}
                  <span className="block text-note text-soft">{record.citation}</span>
                </span>
                <span className="text-note">
                  {found > 0
                    ? `in ${String(found)} signed ${found === 1 ? "examination" : "examinations"}`
                    : "not found here yet"}
                  <span className="block text-soft">
                    {USES[record.use]}
                    {record.reviewState === "unreviewed" ? "" : `; ${reviewWords(record.reviewState)}`}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ol>
      )}
      {list.left > list.first.length && (
        <p className="mt-2 text-note text-soft">
          The first {list.first.length} of {list.left}.
        </p>
      )}
      <Cards list={list} />
    </main>
  );
}

const CARD: Record<Schemas["CardLeftToReviewJson"]["state"], string> = {
  DRAFTED: "drafted",
  AGREED: "agreed to",
  DOUBTFUL: "doubted here",
  WRONG: "found wrong here",
  CHANGED_SINCE: "changed since its review",
};

/** Cards of tests that nobody has agreed to as they are, what answers most here first. */
function Cards({ list }: { list: Schemas["ReviewListJson"] }) {
  if (list.cards.length === 0) {
    return null;
  }
  return (
    <section id="cards" className="mt-8">
      <h2 className="font-serif text-xl font-semibold">Cards of tests</h2>
      <p className="mt-1 text-read">
        {list.cardsLeft} cards say how a test is done and how its answers are read, and no clinician here has agreed to
        them yet.
      </p>
      <ol className="mt-3 border-t border-line">
        {list.cards.map((card) => (
          <li key={card.testId} className="border-b border-line">
            <Link
              to={`/library/tests/${card.testId}`}
              className="grid min-h-12 items-center gap-x-4 px-2 py-1.5 hover:bg-sheet md:grid-cols-[minmax(0,1fr)_14rem]"
            >
              <span className="text-read">
                {card.testName}
                <span className="text-note text-soft">, {card.region}</span>
              </span>
              <span className="text-note">
                {card.found > 0
                  ? `in ${String(card.found)} signed ${card.found === 1 ? "examination" : "examinations"}`
                  : "not found here yet"}
                <span className="text-soft">; {CARD[card.state]}</span>
              </span>
            </Link>
          </li>
        ))}
      </ol>
      {list.cardsLeft > list.cards.length && (
        <p className="mt-2 text-note text-soft">
          The first {list.cards.length} of {list.cardsLeft}.
        </p>
      )}
    </section>
  );
}
