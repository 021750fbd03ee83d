import type { Schemas } from "../shared/api/client";
import { inHundred, sentence, tenths } from "../shared/format";

interface CloserProps {
  insight: Schemas["InsightJson"];
  testName: (id: string) => string;
}

/** What the conclusion hangs on, what could still move it, and what it could be mistaken for. */
export function Closer({ insight, testName }: CloserProps) {
  const pattern = <PatternBlock pattern={insight.standing.pattern} />;
  const { informed } = insight.standing; // without a figure the picture is all there is, so it comes first
  return (
    <>
      {!informed && pattern}
      <Reversals insight={insight} testName={testName} />
      {informed && <Ahead insight={insight} />}
      <Rivals insight={insight} />
      {!informed && <Ahead insight={insight} />}
      {informed && pattern}
    </>
  );
}

function Reversals({ insight, testName }: CloserProps) {
  if (!insight.standing.informed) {
    return null;
  }
  return (
    <section aria-labelledby="reversals" className="mt-6 break-inside-avoid">
      <h2 id="reversals" className="font-serif text-2xl font-semibold">
        What would change the answer
      </h2>
      {insight.reversals.length === 0 ? (
        <p className="text-read">
          No single finding: were any one of them the other way, the leader and what to do would stay the same.
        </p>
      ) : (
        <ul className="border-t border-line">
          {insight.reversals.map((reversal) => (
            <li key={reversal.testId} className="border-b border-line py-1.5 text-read leading-snug">
              Had <strong>{testName(reversal.testId)}</strong> been the other way:{" "}
              {[
                ...(reversal.leader ? [`${sentence(reversal.leader)} would lead`] : []),
                ...reversal.crossings
                  .slice(0, 4)
                  .map(
                    (crossing) =>
                      `${sentence(crossing.name)} ${inHundred(crossing.then)} in place of ${inHundred(crossing.now)}`,
                  ),
              ].join("; ")}
              .
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Ahead({ insight }: { insight: Schemas["InsightJson"] }) {
  const worth = insight.ahead.filter(
    (each) => each.changes[0] && inHundred(each.changes[0].ifPositive) !== inHundred(each.changes[0].ifNegative),
  );
  return (
    <section aria-labelledby="ahead" className="mt-6 break-inside-avoid">
      <h2 id="ahead" className="font-serif text-2xl font-semibold">
        What could still move it
      </h2>
      {worth.length === 0 ? (
        <p className="text-read">
          {insight.ahead.length === 0
            ? "No open test has figures for it."
            : "Nothing: either answer of any open test would leave it where it is."}
        </p>
      ) : (
        <table className="mt-1 w-full text-read">
          <thead className="text-note text-soft">
            <tr>
              <th scope="col" className="text-left font-normal">
                Test
              </th>
              <th scope="col" className="px-3 text-right font-normal">
                if positive
              </th>
              <th scope="col" className="px-3 text-right font-normal">
                if negative
              </th>
              <th scope="col" className="text-right font-normal">
                time
              </th>
            </tr>
          </thead>
          <tbody>
            {worth.map((each) => (
              <tr key={each.testId} className="border-t border-line">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {each.name}
                </th>
                <td className="px-3 text-right font-semibold">{inHundred(each.changes[0]?.ifPositive ?? 0)}</td>
                <td className="px-3 text-right font-semibold">{inHundred(each.changes[0]?.ifNegative ?? 0)}</td>
                <td className="text-right whitespace-nowrap">{Math.round(each.seconds)} s</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Rivals({ insight }: { insight: Schemas["InsightJson"] }) {
  if (insight.rivals.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="rivals" className="mt-6">
      <h2 id="rivals" className="font-serif text-2xl font-semibold">
        Against its rivals
      </h2>
      <ul className="border-t border-line">
        {insight.rivals.map((rival) => (
          <li key={rival.conditionId} className="break-inside-avoid border-b border-line py-2 text-read leading-snug">
            <p>
              <strong>{rival.name}</strong> at {inHundred(rival.now)}.
              {insight.standing.shelf !== "UNMEASURED" &&
                ` ${insight.standing.shortName} stands above it in ${tenths(rival.ahead)} of 10 plausible readings of the evidence.`}
            </p>
            {rival.how && <p className="text-note">{rival.how}.</p>}
            <p className="text-note">
              {rival.separating.length > 0 ? (
                <>
                  Best to separate by figures: <strong>{rival.separating.map((each) => each.name).join(", ")}</strong>
                  .{" "}
                </>
              ) : (
                "No open test has figures for both. "
              )}
              {rival.byWords.length > 0 && <>Without figures: {rival.byWords.join(", ")}. </>}
              {rival.inBoth.length > 0 && <>Lights up in both, so cannot separate: {rival.inBoth.join(", ")}.</>}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

function PatternBlock({ pattern }: { pattern: Schemas["PatternJson"] }) {
  const rows: [string, Schemas["ExpectedFindingJson"][]][] = [
    ["Found", pattern.present],
    ["Looked for, not found", pattern.missing],
    ["Against it", pattern.against],
    ["Without it unlikely by definition", pattern.defining],
    ["Not yet looked for", pattern.notExamined],
  ];
  const filled = rows.filter(([, list]) => list.length > 0);
  if (filled.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="pattern" className="mt-6 break-inside-avoid">
      <h2 id="pattern" className="font-serif text-2xl font-semibold">
        The typical picture
      </h2>
      <p className="text-note text-soft">Taught, not measured: a count, never a chance.</p>
      <dl className="border-t border-line">
        {filled.map(([name, list]) => (
          <div key={name} className="grid gap-x-4 border-b border-line py-1.5 text-read sm:grid-cols-[13rem_1fr]">
            <dt className="text-soft">
              {name} ({list.length})
            </dt>
            <dd>
              {list.map((each) => each.says).join("; ")}
              {name === "Not yet looked for" && (
                <span className="text-note text-soft"> · {[...new Set(list.map((each) => each.test))].join(", ")}</span>
              )}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
