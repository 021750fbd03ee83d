import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { AnsweredPeople } from "../shared/drawings/People";
import { inHundred, rangeInHundred } from "../shared/format";

interface PriorEffectProps {
  testId: string;
  conditionId: string;
  conditionName: string;
  /** Record whose figures are used; empty for what is weighed. */
  record: string;
  prior: number;
  onPrior: (hundredths: number) => void;
}

/** A slider for the chance before, and what either answer makes of it: in 100, with its range, and as people. */
export function PriorEffect({ testId, conditionId, conditionName, record, prior, onPrior }: PriorEffectProps) {
  const asked = useDeferredValue(prior);
  const effect = useQuery({
    queryKey: keys.effect(testId, conditionId, asked, record),
    queryFn: () =>
      dataOf(
        api.GET("/api/library/tests/{id}/effect", {
          params: {
            path: { id: testId },
            query: { condition: conditionId, prior: asked / 100, ...(record === "" ? {} : { record }) },
          },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  return (
    <section aria-label="What an answer does" className="break-inside-avoid">
      <label className="flex flex-wrap items-center gap-x-4 gap-y-1 text-read">
        <span>
          Before the test, <strong>{prior} in 100</strong> have {conditionName}
        </span>
        <input
          type="range"
          min={1}
          max={99}
          value={prior}
          onChange={(event) => {
            onPrior(Number(event.target.value));
          }}
          className="no-print h-12 min-w-60 flex-1 accent-ink"
        />
      </label>
      {effect.data && (
        <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2">
          <Answer answer={effect.data.positive} positive before={effect.data.before} />
          <Answer answer={effect.data.negative} positive={false} before={effect.data.before} />
        </div>
      )}
      {effect.isError && (
        <p role="alert" className="text-read">
          This could not be computed: {effect.error.message}
        </p>
      )}
    </section>
  );
}

function Answer({ answer, positive, before }: { answer: Schemas["AnswerJson"]; positive: boolean; before: number }) {
  const all = answer.people.haveAndAnswer + answer.people.haveNotAndAnswer;
  const word = positive ? "positive" : "negative";
  return (
    <div>
      <p className="text-read">
        <svg width={18} height={14} viewBox="0 0 18 14" aria-hidden="true" className="mr-1 inline-block">
          <path
            d={positive ? "M2 1h8l6 6-6 6H2z" : "M16 1H8L2 7l6 6h8z"}
            fill={positive ? "var(--color-for)" : "var(--color-sheet)"}
            stroke={positive ? "var(--color-for)" : "var(--color-against)"}
            strokeWidth={1.8}
          />
        </svg>
        If {word}: <strong className="text-xl">{inHundred(answer.after)}</strong> in 100
        <span className="text-note text-soft"> · could be {rangeInHundred(answer.lower, answer.upper)}</span>
      </p>
      <AnsweredPeople
        have={answer.people.haveAndAnswer}
        without={answer.people.haveNotAndAnswer}
        label={`${String(all)} of 1000 answer ${word}; ${String(answer.people.haveAndAnswer)} of them have it`}
      />
      <p className="text-note">
        Of 1000 such people <strong>{all}</strong> answer {word}, and <strong>{answer.people.haveAndAnswer}</strong> of
        those have it
        {(positive ? answer.after < before : answer.after > before) &&
          ". By these figures the answer points the wrong way: it tells nothing"}
        .
      </p>
    </div>
  );
}
