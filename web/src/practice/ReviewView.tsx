import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { Fetched } from "../shared/ui/Fetched";
import { TopBar } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { inHundred, listed, numbered, sentence } from "../shared/format";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { BeliefRail } from "./BeliefRail";
import { MoveBeam } from "./MoveBeam";
import { PracticeMark } from "./PracticeMark";
import { distance, minutes, missedWords, moveWords, stopWords, type PracticeCase, type Review } from "./words";

/** What a case showed, in the order of the work. */
export function ReviewView({ known }: { known: PracticeCase }) {
  const review = useQuery({
    queryKey: keys.practiceReview(known.id),
    queryFn: () => dataOf(api.GET("/api/practice/cases/{id}/review", { params: { path: { id: known.id } } })),
    staleTime: Infinity,
  });
  return (
    <div className="mx-auto max-w-6xl px-5 pb-12">
      <TopBar />
      <main className="mt-4">
        <div className="no-print flex flex-wrap items-center gap-3">
          <Link to="/practice" className={QUIET_LINK}>
            To the practice room
          </Link>
          <a href={`/api/practice/cases/${known.id}/case.yaml`} className={QUIET_LINK}>
            This patient as a file
          </a>
          <span className="ml-auto">
            <PracticeMark />
          </span>
        </div>
        <Fetched query={review} what="What it showed">
          {(data) => <Showed known={known} review={data} />}
        </Fetched>
      </main>
    </div>
  );
}

function truthWords(review: Review): string {
  if (review.redFlag) {
    return "A red flag";
  }
  return review.truth.length === 0 ? "Nothing that these tests are about" : listed(review.truth);
}

function Showed({ known, review }: { known: PracticeCase; review: Review }) {
  const stop = stopWords(review);
  return (
    <>
      <p className="mt-4 text-note text-soft">It was</p>
      <h1 className="font-serif text-head font-semibold">{truthWords(review)}</h1>
      {review.redFlag && (
        <p className="mt-1 max-w-3xl text-read">
          {review.redFlag}. {review.truth.length > 0 && <>Besides: {listed(review.truth.map(sentence))}.</>}
        </p>
      )}
      <p className="mt-1 text-read text-soft">
        {numbered(review.turns.length, "test")} · {minutes(review.minutes)}
        {review.hints > 0 && ` · asked what next ${String(review.hints)} ×`}
      </p>
      <div className="mt-6 grid gap-10 lg:grid-cols-[1fr_1fr]">
        <div className="flex flex-col gap-8">
          <section aria-labelledby="missed">
            <h2 id="missed" className="text-xl font-semibold">
              The way you worked
            </h2>
            {review.missed.length === 0 ? (
              <p className="mt-1 text-read">Safe, and nothing left out.</p>
            ) : (
              <ul className="mt-1 list-disc pl-5 text-read">
                {review.missed.map((missed) => (
                  <li key={missed.kind}>{missedWords(missed)}</li>
                ))}
              </ul>
            )}
            {stop && <p className="mt-2 text-read">{stop}</p>}
          </section>
          <Turns review={review} />
        </div>
        <Claims known={known} review={review} />
      </div>
    </>
  );
}

function Turns({ review }: { review: Review }) {
  if (review.turns.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="turns">
      <h2 id="turns" className="text-xl font-semibold">
        Test by test
      </h2>
      <ol className="mt-1">
        {review.turns.map((turn, place) => (
          <li key={place} className="border-t border-line py-2">
            <p className="text-read font-semibold">
              {place + 1}. {turn.name}
            </p>
            <p className="text-note text-soft">
              {turn.worthDoing ? "Worth doing." : "It promised next to nothing new."}
              {!turn.read && " Its answer could not be read."}
              {turn.better &&
                ` ${turn.better.name} promised ${turn.better.times == null || turn.better.times > 20 ? "far more" : `${turn.better.times.toFixed(1)} times as much`} a minute.`}
            </p>
            {turn.written && <WrittenLines written={turn.written} />}
            {turn.moves.length > 0 && (
              <ul className="mt-0.5">
                {turn.moves.map((move) => (
                  <li key={move.conditionId} className="text-read">
                    {move.name}: you {inHundred(move.ownBefore)} to {inHundred(move.ownAfter)}, the answer{" "}
                    {inHundred(move.weighedBefore)} to {inHundred(move.weighedAfter)}.{" "}
                    <span className="text-soft">You {moveWords(move.own, move.weighed)}.</span>
                  </li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What was written down otherwise than it was shown, and what that would have turned. */
function WrittenLines({ written }: { written: Schemas["PracticeWrittenJson"] }) {
  if (written.otherwise.length === 0) {
    return <p className="text-note text-soft">Written down as it was.</p>;
  }
  return (
    <>
      <ul className="mt-0.5">
        {written.otherwise.map((each, place) => (
          <li key={place} className="text-read">
            {each.label}
            {each.well && ", well side"}: it was <strong>{each.shown}</strong>,{" "}
            {each.written ? (
              <>
                you wrote <strong>{each.written}</strong>
              </>
            ) : (
              "not written down"
            )}
            .
          </li>
        ))}
      </ul>
      {written.turned.length > 0 && (
        <p className="text-note text-soft">So it would have been read otherwise for {listed(written.turned)}.</p>
      )}
    </>
  );
}

/** What was there and was not thought of. */
function Overlooked({ review }: { review: Review }) {
  return review.overlooked.map((each) => (
    <li
      key={each.name}
      className="flex flex-wrap items-baseline justify-between gap-x-3 border-t border-line py-2 text-read"
    >
      <span className="font-semibold">
        {each.name}
        <span className="font-normal text-soft">, was there</span>
      </span>
      <span>you did not think of it, weighing {inHundred(each.weighed)}</span>
    </li>
  ));
}

function Claims({ known, review }: { known: PracticeCase; review: Review }) {
  if (review.claims.length === 0) {
    return (
      <section aria-labelledby="ends">
        <h2 id="ends" className="text-xl font-semibold">
          Where you ended
        </h2>
        <p className="mt-1 text-read text-soft">You put no chance on anything, so there is nothing to compare.</p>
        <ul className="mt-2">
          <Overlooked review={review} />
        </ul>
      </section>
    );
  }
  return (
    <section aria-labelledby="ends">
      <h2 id="ends" className="text-xl font-semibold">
        Where you ended
      </h2>
      <p className="text-note text-soft">Ring: you. Tick: the weighing of the same answers.</p>
      <ul className="mt-1">
        <Overlooked review={review} />
        {review.claims.map((claim) => (
          <li key={claim.conditionId} className="border-t border-line py-2">
            <div className="flex flex-wrap items-baseline justify-between gap-x-3 text-read">
              <span className={claim.present ? "font-semibold" : ""}>
                {claim.name}
                <span className="font-normal text-soft">{claim.present ? ", was there" : ", was not"}</span>
              </span>
              <span>
                you <strong>{inHundred(claim.own)}</strong>, weighing {inHundred(claim.weighed)}
              </span>
            </div>
            <BeliefRail name={claim.name} chance={claim.own} weighed={claim.weighed} />
            <MoveBeam review={review} conditionId={claim.conditionId} />
          </li>
        ))}
      </ul>
      {review.score && (
        <table className="mt-4 text-read">
          <caption className="text-left text-note text-soft">
            Distance from the truth: 0 is perfect, 25 what a coin does
          </caption>
          <tbody>
            {(
              [
                ["Before any test", review.score.start],
                ["You", review.score.own],
                ["The weighing", review.score.weighed],
              ] as const
            ).map(([name, score]) => (
              <tr key={name}>
                <th scope="row" className="py-0.5 pr-6 text-left font-normal">
                  {name}
                </th>
                <td className="text-right font-semibold">{distance(score)}</td>
                <td className="pl-3">
                  <span className="block h-3 bg-ink" style={{ width: `${String(Math.max(2, 300 * score))}px` }} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {known.showing === "AS_I_GO" && (
        <p className="mt-2 text-note text-soft">You saw the weighing after each answer, so you may have leant on it.</p>
      )}
    </section>
  );
}
