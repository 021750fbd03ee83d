import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { countedInHundred } from "../shared/format";
import { Fetched } from "../shared/ui/Fetched";

type Agreements = Schemas["AgreementsJson"];
type TestAgreement = Schemas["TestAgreementJson"];

/** How often two examiners of one patient find the same. */
export function AgreementView() {
  const agreement = useQuery({
    queryKey: keys.agreement,
    queryFn: () => dataOf(api.GET("/api/outcomes/agreement")),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">Two examiners</h1>
      <Fetched query={agreement} what="The agreement">
        {(data) => (
          <>
            <p className="max-w-3xl text-read">
              {data.pairs === 0
                ? "No patient has been examined by two yet."
                : `${String(data.pairs)} ${data.pairs === 1 ? "patient was" : "patients were"} examined by two people on one day, each in a visit of their own.`}
            </p>
            <HowTo open={data.pairs === 0} />
            {data.tests.length > 0 && <Tests data={data} />}
          </>
        )}
      </Fetched>
    </>
  );
}

function HowTo({ open }: { open: boolean }) {
  return (
    <details open={open} className="mt-3 max-w-3xl border-l-4 border-line pl-3 text-read">
      <summary className="min-h-10 cursor-pointer py-2">How to run such a session</summary>
      <ol className="list-decimal pl-6">
        <li>One of you examines the patient as always.</li>
        <li>
          On the same day the other opens the case and taps “Examine as second examiner”. What the first has found stays
          hidden until the second has signed.
        </li>
        <li>Leave the patient time to settle between the two, and do not talk about the findings.</li>
        <li>Do the same tests by the same criteria. Both sign, with a working diagnosis or “still open”.</li>
      </ol>
    </details>
  );
}

function Tests({ data }: { data: Agreements }) {
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full min-w-3xl text-read">
        <thead>
          <tr className="text-left align-bottom text-note text-soft">
            <th className="py-1 pr-4 font-normal">Test</th>
            <th className="pr-4 font-normal">Both positive</th>
            <th className="pr-4 font-normal">First only</th>
            <th className="pr-4 font-normal">Second only</th>
            <th className="pr-4 font-normal">Both negative</th>
            <th className="pr-4 font-normal">Agreed, in 100</th>
            <th className="pr-4 font-normal">Beyond chance (kappa)</th>
            <th className="font-normal">With even odds</th>
          </tr>
        </thead>
        <tbody>
          {data.tests.map((test) => (
            <Row key={`${test.testId} ${test.criterion}`} test={test} needed={data.needed} />
          ))}
        </tbody>
      </table>
      <p className="mt-3 max-w-3xl text-note text-soft">
        Kappa is the agreement beyond what chance alone would give, 1 at most, with 95 % limits. Where nearly everybody
        is negative, or positive, it is low however well two agree; “with even odds” (twice the agreement less 1) shows
        that.
      </p>
    </div>
  );
}

function Row({ test, needed }: { test: TestAgreement; needed: number }) {
  const patients = test.bothPositive + test.firstOnly + test.secondOnly + test.bothNegative;
  return (
    <tr className="border-t border-line align-top">
      <th scope="row" className="py-2 pr-4 text-left font-normal">
        <Link to={`/library/tests/${test.testId}`} className="font-semibold underline">
          {test.name}
        </Link>
        <span className="block text-note text-soft">{test.criterion}</span>
      </th>
      <td className="py-2">{test.bothPositive}</td>
      <td className="py-2">{test.firstOnly}</td>
      <td className="py-2">{test.secondOnly}</td>
      <td className="py-2">{test.bothNegative}</td>
      <td className="py-2">{countedInHundred(test.observed)}</td>
      <td className="py-2">
        {test.observed === 1 && patients >= needed ? (
          <>
            <strong>{test.kappa ? "1.00" : ""}</strong> <span className="text-note">the same in all {patients}</span>
          </>
        ) : test.kappa ? (
          <>
            <strong>{test.kappa.estimate.toFixed(2)}</strong>, {test.kappa.lower.toFixed(2)} to{" "}
            {test.kappa.upper.toFixed(2)}
          </>
        ) : (
          <span className="text-note text-soft">
            {patients < needed ? `from ${String(needed)} patients on` : "one gave one answer throughout"}
          </span>
        )}
      </td>
      <td className="py-2">{patients < needed ? "" : test.adjustedKappa.toFixed(2)}</td>
    </tr>
  );
}
