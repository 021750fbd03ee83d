import { useQuery } from "@tanstack/react-query";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { countedInHundred, inHundred } from "../shared/format";
import { Fetched } from "../shared/ui/Fetched";
import { scoreWords, slopeWords } from "./words";

type Held = Schemas["HeldClaimsJson"];

/** How chances held that were stated before anybody knew: the weighing's, and one's own. */
export function CalibrationView() {
  const calibration = useQuery({
    queryKey: keys.calibration,
    queryFn: () => dataOf(api.GET("/api/outcomes/calibration")),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">How chances held</h1>
      <p className="max-w-3xl text-read text-soft">
        Of everything that stood at 30 in 100 when it was signed, 30 in 100 should have turned out to be there.
      </p>
      <Fetched query={calibration} what="The chances">
        {(data) => (
          <div className="mt-4 grid gap-10 lg:grid-cols-2">
            <Kind
              title="The weighing"
              about="Every condition that a finding had moved, in everybody's signed examinations."
              empty="No signed chance has met a result yet. Enter what turned out on the page of a case."
              held={data.weighing}
              needed={data.needed}
            />
            <Kind
              title="My own conclusions"
              about="The working diagnosis with the sureness that I gave it. Nobody else sees this."
              empty="None of your conclusions with a sureness has met a result yet."
              held={data.own}
              needed={data.needed}
            />
          </div>
        )}
      </Fetched>
    </>
  );
}

function Kind({
  title,
  about,
  empty,
  held,
  needed,
}: {
  title: string;
  about: string;
  empty: string;
  held?: Held | null | undefined;
  needed: number;
}) {
  return (
    <section aria-label={title}>
      <h2 className="text-xl font-semibold">{title}</h2>
      <p className="text-note text-soft">{about}</p>
      {held ? <Chances held={held} needed={needed} /> : <p className="mt-3 text-read">{empty}</p>}
    </section>
  );
}

/** How claims held: in a line, as a curve, in numbers. */
export function Chances({ held, needed }: { held: Held; needed: number }) {
  const absent = held.claims - held.present;
  return (
    <>
      <p className="mt-3 text-read">
        <strong>{held.present}</strong> of {held.claims} came true.{" "}
        {held.line
          ? slopeWords(held.line.slope)
          : `Whether they are too bold can be said from ${String(needed)} that came true and ${String(needed)} that did not; there are ${String(held.present)} and ${String(absent)}.`}
      </p>
      <Curve held={held} />
      <table className="mt-4 w-full text-read">
        <caption className="sr-only">The same in numbers</caption>
        <thead>
          <tr className="text-left text-note text-soft">
            <th className="py-1 font-normal">Stated, in 100</th>
            <th className="font-normal">Came true</th>
            <th className="font-normal">In 100, with limits</th>
          </tr>
        </thead>
        <tbody>
          {held.groups.map((group, place) => (
            <tr key={place} className="border-t border-line">
              <td className="py-1.5">{inHundred(group.stated)}</td>
              <td>
                {group.present} of {group.claims}
              </td>
              <td>
                {countedInHundred(group.share.estimate)}, {countedInHundred(group.share.lower)} to{" "}
                {countedInHundred(group.share.upper)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-note">
        <dt>Mean squared distance (Brier)</dt>
        <dd>
          {held.brier.toFixed(3)}, {scoreWords(held.brier, held.brierOfStart)} ({held.brierOfStart.toFixed(3)})
        </dd>
        <dt>Mean surprise (log score)</dt>
        <dd>
          {held.logLoss.toFixed(3)}, {scoreWords(held.logLoss, held.logLossOfStart)} ({held.logLossOfStart.toFixed(3)})
        </dd>
        {held.line && (
          <>
            <dt>Slope (1 holds)</dt>
            <dd>
              {held.line.slope.estimate.toFixed(2)}, {held.line.slope.lower.toFixed(2)} to{" "}
              {held.line.slope.upper.toFixed(2)}
            </dd>
            <dt>Intercept (0 holds)</dt>
            <dd>
              {held.line.intercept.estimate.toFixed(2)}, {held.line.intercept.lower.toFixed(2)} to{" "}
              {held.line.intercept.upper.toFixed(2)}
            </dd>
          </>
        )}
      </dl>
    </>
  );
}

const SIZE = 300;
const EDGE = 34;

/** Stated chances along, what came true up, each with its limits; the diagonal is where chances hold. */
function Curve({ held }: { held: Held }) {
  const x = (share: number) => EDGE + share * (SIZE - EDGE - 8);
  const y = (share: number) => SIZE - EDGE - share * (SIZE - EDGE - 8);
  return (
    <svg
      viewBox={`0 0 ${String(SIZE)} ${String(SIZE)}`}
      role="img"
      aria-label={`Stated against what came true, in 100: ${held.groups.map((group) => `${inHundred(group.stated)} stated, ${countedInHundred(group.share.estimate)} came true`).join("; ")}`}
      className="mt-3 w-full max-w-sm"
    >
      <rect x={x(0)} y={y(1)} width={x(1) - x(0)} height={y(0) - y(1)} className="fill-sheet stroke-line" />
      <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} strokeDasharray="4 3" className="stroke-edge" />
      {held.groups.map((group, place) => (
        <g key={place}>
          <line
            x1={x(group.stated)}
            x2={x(group.stated)}
            y1={y(group.share.lower)}
            y2={y(group.share.upper)}
            strokeWidth={2}
            className="stroke-ink"
          />
          <circle cx={x(group.stated)} cy={y(group.share.estimate)} r={4.5} className="fill-ink" />
        </g>
      ))}
      {[0, 50, 100].map((mark) => (
        <g key={mark} className="fill-soft text-[11px]">
          <text x={x(mark / 100)} y={SIZE - EDGE + 15} textAnchor="middle">
            {mark}
          </text>
          <text x={EDGE - 6} y={y(mark / 100) + 4} textAnchor="end">
            {mark}
          </text>
        </g>
      ))}
      <text x={x(0.5)} y={SIZE - 3} textAnchor="middle" className="fill-soft text-[11px]">
        stated, in 100
      </text>
      <text
        x={10}
        y={y(0.5)}
        textAnchor="middle"
        transform={`rotate(-90 10 ${String(y(0.5))})`}
        className="fill-soft text-[11px]"
      >
        came true, in 100
      </text>
    </svg>
  );
}
