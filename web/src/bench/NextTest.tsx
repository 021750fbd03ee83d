import type { Schemas } from "../shared/api/client";
import { inHundred, sentence } from "../shared/format";
import { byFit, byPictureAlone } from "../shared/standing";
import { useSettings } from "../shared/useSettings";
import { Button } from "../shared/ui/Button";

interface NextTestProps {
  weighing: Schemas["WeighingJson"];
  current: string;
  /** The test that is proposed for the plan already. */
  proposed: string | undefined;
  /** Tests that stand in the order, as it is now. */
  ordered: ReadonlySet<string>;
  testName: (id: string) => string;
  onGo: (testId: string) => void;
}

type Ahead = Schemas["AheadJson"];

/** What the test at hand could do, and which open test is the best next, with its answers both ways. */
export function NextTest({ weighing, current, ordered, proposed, testName, onGo }: NextTestProps) {
  const here = weighing.ahead.find((each) => each.testId === current);
  const notMine = useSettings()?.notMine ?? [];
  const best = weighing.ahead.find(
    (each) => each.worthDoing && each.testId !== current && !notMine.includes(each.testId),
  );
  const better = best && (!here || best.bits / best.seconds > (1.05 * here.bits) / here.seconds) ? best : undefined;
  const figures =
    weighing.ahead.some((each) => each.changes.length > 0) || weighing.standings.some((standing) => standing.informed);
  const picture = byFit(weighing.standings).find(
    (standing) =>
      byPictureAlone(standing) && standing.pattern.present.length > 0 && standing.pattern.notExamined.length > 0,
  );
  return (
    <>
      {here && (
        <Changes
          ahead={here}
          title={
            here.changes.length === 0
              ? "This test"
              : here.worthDoing
                ? "This test could do"
                : "This test would tell little"
          }
        />
      )}
      {!weighing.worthGoingOn ? (
        picture ? (
          <Unseen standing={picture} figures={figures} onGo={onGo} />
        ) : (
          <p className="text-read font-semibold">
            {figures
              ? "Nothing left is worth doing: no open test would change much."
              : "No test here has figures yet: what fits is told by the typical pictures."}
          </p>
        )
      ) : better && better.testId !== proposed ? (
        <section aria-label="Next best">
          {!here && <Changes ahead={better} title={`${testName(better.testId)} could do`} />}
          <div className="mt-1 flex items-center justify-between gap-2">
            <p className="text-note leading-tight">
              <strong>Next best: {testName(better.testId)}</strong>, {seconds(better)}
              {better.moves && " with a change of position"}
              {!ordered.has(better.testId) && ", not in the order"}.{here && ` ${reason(better)}`}
            </p>
            <Button
              onClick={() => {
                onGo(better.testId);
              }}
              aria-label={`Go to ${testName(better.testId)}`}
            >
              Go
            </Button>
          </div>
        </section>
      ) : here || better ? null : (
        <p className="text-read font-semibold">All tests of this order are done.</p>
      )}
    </>
  );
}

/** By figures nothing is left, but a picture that has begun to fit is not complete. */
function Unseen({
  standing,
  figures,
  onGo,
}: {
  standing: Schemas["StandingJson"];
  figures: boolean;
  onGo: (testId: string) => void;
}) {
  const tests = [...new Map(standing.pattern.notExamined.map((each) => [each.testId, each.test])).entries()].slice(
    0,
    3,
  );
  return (
    <section aria-label="Still to look for" className="text-read leading-snug">
      <p className="font-semibold">
        {figures ? "By figures nothing left would change much." : "No test here has figures yet."}
      </p>
      <p className="flex flex-wrap gap-x-2 text-note">
        Of {sentence(standing.shortName)}, still to look for:{" "}
        {tests.map(([id, name]) => (
          <button
            key={id}
            type="button"
            className="min-h-6 underline hover:bg-tan"
            onClick={() => {
              onGo(id);
            }}
          >
            {sentence(name)}
          </button>
        ))}
      </p>
    </section>
  );
}

function seconds(ahead: Ahead): string {
  return `${String(Math.round(ahead.seconds))} s`;
}

function reason(ahead: Ahead): string {
  const first = ahead.changes[0];
  return first
    ? `${first.name}: ${inHundred(first.ifPositive)} if positive, ${inHundred(first.ifNegative)} if negative.`
    : "";
}

function Changes({ ahead, title }: { ahead: Ahead; title: string }) {
  const shown = ahead.changes.slice(0, 2);
  if (shown.length === 0) {
    return (
      <p className="text-note">
        <strong>{title}</strong>: nothing here has figures for it; it counts in the patterns.
      </p>
    );
  }
  return (
    <table className="w-full text-right text-read leading-snug">
      <thead className="text-note text-soft">
        <tr>
          <th scope="col" className="text-left font-semibold text-ink">
            {title}
          </th>
          <th scope="col" className="px-2 font-normal">
            now
          </th>
          <th scope="col" className="font-normal">
            positive
          </th>
          <th scope="col" className="pl-2 font-normal">
            negative
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map((change) => (
          <tr key={change.conditionId}>
            <th scope="row" className="text-left font-normal">
              {change.name}
            </th>
            <td className="px-2">{inHundred(change.now)}</td>
            <td className="font-semibold">{inHundred(change.ifPositive)}</td>
            <td className="pl-2 font-semibold">{inHundred(change.ifNegative)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
