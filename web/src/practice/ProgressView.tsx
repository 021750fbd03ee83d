import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { Chances } from "../outcomes";
import { Fetched } from "../shared/ui/Fetched";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, countedInHundred, numbered } from "../shared/format";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { distance, minutes, reactionWords } from "./words";

type Progress = Schemas["ProgressJson"];
type Estimate = Schemas["OutcomeEstimateJson"];

/** What one's own cases came to together. */
export function ProgressView() {
  const progress = useQuery({
    queryKey: keys.practiceProgress,
    queryFn: () => dataOf(api.GET("/api/practice/progress")),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">Progress</h1>
      <Fetched query={progress} what="The progress">
        {(data) =>
          data.cases === 0 ? (
            <div className="mt-2 text-read">
              <p className="max-w-prose text-soft">
                Nothing to show yet. After a few patients you see whether your chances hold, whether answers move you
                too far or too little, and whether anybody was hurt for nothing.
              </p>
              <Link to="/practice" className={`${QUIET_LINK} mt-3`}>
                Call a patient in
              </Link>
            </div>
          ) : (
            <Together progress={data} />
          )
        }
      </Fetched>
    </>
  );
}

function share(estimate: Estimate): string {
  return `${countedInHundred(estimate.estimate)} in 100 (${countedInHundred(estimate.lower)} to ${countedInHundred(estimate.upper)})`;
}

function Together({ progress }: { progress: Progress }) {
  return (
    <>
      <p className="text-read text-soft">
        {numbered(progress.cases, "patient")}, {minutes(progress.minutes)} each. Nobody sees this but you, and the
        teachers of classes you joined.
      </p>
      <div className="mt-6 grid gap-10 lg:grid-cols-2">
        <div className="flex flex-col gap-8">
          <section aria-labelledby="reaction">
            <h2 id="reaction" className="text-xl font-semibold">
              How far answers move you
            </h2>
            {progress.reaction ? (
              <>
                <p className="mt-1 text-read">{reactionWords(progress.reaction)}</p>
                <Reaction reaction={progress.reaction} />
                <p className="text-note text-soft">
                  {progress.reaction.estimate.toFixed(2)} times as far as they weigh,{" "}
                  {progress.reaction.lower.toFixed(2)} to {progress.reaction.upper.toFixed(2)}; from{" "}
                  {numbered(progress.moves, "move")}.
                </p>
              </>
            ) : (
              <p className="mt-1 text-read text-soft">
                Can be told from {progress.movesNeeded} moves on; there are {progress.moves}. Put chances down before
                and after an answer.
              </p>
            )}
          </section>
          <section aria-labelledby="work">
            <h2 id="work" className="text-xl font-semibold">
              How you work
            </h2>
            <dl className="mt-1 grid grid-cols-[1fr_auto] gap-x-6 gap-y-1 text-read">
              {progress.hurt && (
                <>
                  <dt>Patients hurt for nothing</dt>
                  <dd>{share(progress.hurt)}</dd>
                </>
              )}
              {progress.worthDoing && (
                <>
                  <dt>Tests that were worth doing</dt>
                  <dd>{share(progress.worthDoing)}</dd>
                </>
              )}
            </dl>
          </section>
          <Regions progress={progress} />
        </div>
        <section aria-labelledby="held">
          <h2 id="held" className="text-xl font-semibold">
            How your chances held
          </h2>
          {progress.own ? (
            <>
              <Chances held={progress.own} needed={progress.needed} />
              {progress.weighed && (
                <p className="mt-3 text-note text-soft">
                  The weighing on the same: Brier {progress.weighed.brier.toFixed(3)}, log score{" "}
                  {progress.weighed.logLoss.toFixed(3)}.
                </p>
              )}
            </>
          ) : (
            <p className="mt-1 text-read text-soft">You have put no chances on anything yet.</p>
          )}
        </section>
      </div>
    </>
  );
}

const WIDTH = 320;

/** How far one goes for each step that one should, on a scale from half to double. */
function Reaction({ reaction }: { reaction: Estimate }) {
  const x = (value: number) => 10 + ((Math.min(2.2, Math.max(-0.2, value)) + 0.2) / 2.4) * (WIDTH - 20);
  return (
    <svg viewBox={`0 0 ${String(WIDTH)} 46`} className="mt-2 w-full max-w-sm" aria-hidden="true">
      <path d={`M10 18H${String(WIDTH - 10)}`} stroke="var(--color-edge)" />
      {[0, 1, 2].map((mark) => (
        <g key={mark}>
          <path d={`M${String(x(mark))} 12v12`} stroke="var(--color-ink)" strokeWidth={mark === 1 ? 3 : 1} />
          <text x={x(mark)} y={40} textAnchor="middle" className="fill-soft text-[12px]">
            {mark === 0 ? "not at all" : mark === 1 ? "as it weighs" : "twice"}
          </text>
        </g>
      ))}
      <path
        d={`M${String(x(reaction.lower))} 18H${String(x(reaction.upper))}`}
        stroke="var(--color-ink)"
        strokeWidth={5}
      />
      <circle
        cx={x(reaction.estimate)}
        cy={18}
        r={7}
        fill="var(--color-paper)"
        stroke="var(--color-ink)"
        strokeWidth={3}
      />
    </svg>
  );
}

function Regions({ progress }: { progress: Progress }) {
  return (
    <section aria-labelledby="regions">
      <h2 id="regions" className="text-xl font-semibold">
        Region by region
      </h2>
      <table className="mt-1 w-full text-read">
        <caption className="text-left text-note text-soft">
          Distance of chances from the truth: 0 is perfect, 25 what a coin does
        </caption>
        <thead>
          <tr className="text-left text-note text-soft">
            <th className="py-1 font-normal">Region</th>
            <th className="font-normal">Patients</th>
            <th className="text-right font-normal">Start</th>
            <th className="text-right font-normal">You</th>
            <th className="text-right font-normal">Weighing</th>
          </tr>
        </thead>
        <tbody>
          {progress.regions.map((row) => (
            <tr key={row.region} className="border-t border-line">
              <th scope="row" className="py-1.5 text-left font-normal">
                {capital(row.region)}
              </th>
              <td>{row.cases}</td>
              {[row.start, row.own, row.weighed].map((score, place) => (
                <td key={place} className="text-right">
                  {score == null ? "–" : distance(score)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
