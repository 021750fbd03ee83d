import { Fragment } from "react";
import { Link } from "react-router";
import type { Schemas } from "../shared/api/client";
import { inHundred, listed, ofThousand, rangeInHundred, sentence } from "../shared/format";
import { OpenRow, PictureRow } from "./RankedRows";
import type { RankedMore } from "./ranked";

type Standing = Schemas["StandingJson"];

interface RankingMoreProps {
  more: RankedMore;
  /** The condition that leads, where one is weighed. */
  first: Standing | undefined;
  /** Findings that belong to both of the two that fit best. */
  both: readonly string[];
}

/** What stands behind the lines of the ranking. */
export function RankingMore({ more, first, both }: RankingMoreProps) {
  return (
    <div className="flex flex-col gap-1.5 text-note">
      {first && (
        <p>
          The triangle is where {sentence(first.name)} began, {inHundred(first.before)} in 100; the disc where it
          stands, {inHundred(first.now)}; the band where it could be, {rangeInHundred(first.lower, first.upper)}. Of
          1000 people who answered like this, about <strong>{ofThousand(first.now)}</strong> would have{" "}
          {sentence(first.name)}.
        </p>
      )}
      {both.length > 0 && <p>In both of the two that fit: {listed(both.map(sentence))}.</p>}
      <Chances title="Also weighed" standings={more.families.map((family) => family.head)} />
      {more.pictured.length > 0 && (
        <ul aria-label="More by picture">
          {more.pictured.map((standing) => (
            <PictureRow key={standing.conditionId} standing={standing} />
          ))}
        </ul>
      )}
      <Chances title="Set aside" standings={more.aside} />
      {more.notFound.length > 0 && (
        <p>
          <span className="font-semibold text-soft">Not found what would fit:</span>{" "}
          {listed(more.notFound.map((standing) => standing.shortName))}.
        </p>
      )}
      {more.unlikely.map((standing) => (
        <p key={standing.conditionId}>
          <strong>{standing.shortName}</strong>: unlikely by definition, recheck. Not found:{" "}
          {standing.pattern.defining.map((each) => sentence(each.says)).join(", ")}.
        </p>
      ))}
      {more.open.length > 0 && (
        <ol aria-label="Not weighed yet">
          {more.open.map((standing) => (
            <OpenRow key={standing.conditionId} standing={standing} />
          ))}
        </ol>
      )}
    </div>
  );
}

/** Conditions in one line, each with where it stands. */
function Chances({ title, standings }: { title: string; standings: readonly Standing[] }) {
  return (
    standings.length > 0 && (
      <p>
        <span className="font-semibold text-soft">{title}:</span>{" "}
        {standings.map((standing, index) => (
          <Fragment key={standing.conditionId}>
            {index > 0 && ", "}
            <Link to={`weighing?condition=${standing.conditionId}`} className="underline">
              {standing.shortName}
            </Link>{" "}
            <strong>{inHundred(standing.now)}</strong>
          </Fragment>
        ))}
        .
      </p>
    )
  );
}
