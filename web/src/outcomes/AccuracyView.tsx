import { keepPreviousData, useQuery, type UseQueryResult } from "@tanstack/react-query";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { usePerson } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { countedInHundred, inHundred, settingWords } from "../shared/format";
import { ChoiceGroup } from "../shared/ui/ChoiceGroup";
import { Fetched } from "../shared/ui/Fetched";
import { ShareBar } from "./ShareBar";

type Accuracy = Schemas["OwnAccuracyJson"];
type Setting = Schemas["VisitRequest"]["setting"];
type TestAccuracy = Schemas["OwnTestAccuracyJson"];

/** What the clinic's own results say of its tests, beside what others have published. */
export function AccuracyView() {
  const { condition } = useParams();
  const navigate = useNavigate();
  const answered = useQuery({
    queryKey: keys.answeredConditions,
    queryFn: () => dataOf(api.GET("/api/outcomes/conditions")),
    staleTime: 0,
  });
  return (
    <>
      <h1 className="font-serif text-head font-semibold">Our own accuracy</h1>
      <Fetched query={answered} what="The conditions">
        {(list) => {
          const chosen = condition ?? list[0]?.conditionId;
          return list.length === 0 || chosen === undefined ? (
            <p className="mt-2 max-w-2xl text-read">
              No result yet. Enter what turned out on the page of a case; here it is then counted for each test.
            </p>
          ) : (
            <>
              <label htmlFor="of-condition" className="mt-3 block text-read font-semibold">
                For which condition
              </label>
              <select
                id="of-condition"
                value={chosen}
                onChange={(event) => {
                  void navigate({
                    pathname: `/outcomes/accuracy/${event.target.value}`,
                    search: window.location.search,
                  });
                }}
                className="mt-1 min-h-12 w-full max-w-xl rounded border border-edge bg-sheet px-3 text-read"
              >
                {!list.some((each) => each.conditionId === chosen) && <option value={chosen}>{chosen}</option>}
                {list.map((each) => (
                  <option key={each.conditionId} value={each.conditionId}>
                    {each.name}: there in {each.present}, not in {each.absent}
                  </option>
                ))}
              </select>
              <OfCondition condition={chosen} />
            </>
          );
        }}
      </Fetched>
    </>
  );
}

const SETTINGS: [string, string][] = [
  ["", "Anywhere"],
  ["FIRST_CONTACT", settingWords("FIRST_CONTACT")],
  ["SPECIALIST", settingWords("SPECIALIST")],
];

const SIGNERS: [string, string][] = [
  ["", "Everybody"],
  ["me", "Me"],
];

function OfCondition({ condition }: { condition: string }) {
  const therapist = usePerson().roles.includes("THERAPIST");
  const [search, setSearch] = useSearchParams();
  const setting = search.get("seen") ?? "";
  const mine = therapist && search.get("signed") === "me";
  const put = (name: string, value: string) => {
    const next = new URLSearchParams(search);
    if (value === "") {
      next.delete(name);
    } else {
      next.set(name, value);
    }
    setSearch(next, { replace: true });
  };
  const accuracy = useQuery({
    queryKey: keys.ownAccuracy(condition, setting, mine),
    queryFn: () =>
      dataOf(
        api.GET("/api/outcomes/conditions/{conditionId}", {
          params: {
            path: { conditionId: condition },
            query: { mine, ...(setting === "" ? {} : { setting: setting as Setting }) },
          },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
  return (
    <>
      <div className="mt-3 flex flex-wrap gap-x-10 gap-y-3">
        <ChoiceGroup
          id="seen"
          label="Patients seen"
          value={setting}
          options={SETTINGS}
          onChoose={(value) => {
            put("seen", value);
          }}
        />
        {therapist && (
          <ChoiceGroup
            id="signed"
            label="Signed by"
            value={mine ? "me" : ""}
            options={SIGNERS}
            onChoose={(value) => {
              put("signed", value);
            }}
          />
        )}
      </div>
      <Figures accuracy={accuracy} />
    </>
  );
}

function Figures({ accuracy }: { accuracy: UseQueryResult<Accuracy> }) {
  return (
    <Fetched query={accuracy} what="The accuracy">
      {(data) => (
        <>
          <p className="mt-3 max-w-3xl text-read">
            {String(data.verified)} of {String(data.complaints)} signed complaints in which a test spoke about it have a
            result. Figures are corrected for those without one, as if within each answer of a test chance had decided
            who was followed up. None of it changes the weighing, which goes by published figures.
          </p>
          {data.tests.length === 0 ? (
            <p className="mt-4 text-read">No signed examination of these had a test that speaks about it.</p>
          ) : (
            <Tests accuracy={data} />
          )}
        </>
      )}
    </Fetched>
  );
}

function Tests({ accuracy }: { accuracy: Accuracy }) {
  return (
    <>
      <p className="mt-4 flex flex-wrap gap-x-6 gap-y-1 text-note text-soft">
        <span>Upper line: what a clinic may expect from what others published, with its range.</span>
        <span>Lower line: our own, with 95 % limits.</span>
        <span>Stroke: both together.</span>
      </p>
      <ul className="mt-2">
        {accuracy.tests.map((test) => (
          <TestRow key={`${test.testId} ${test.criterion}`} test={test} />
        ))}
      </ul>
    </>
  );
}

function TestRow({ test }: { test: TestAccuracy }) {
  return (
    <li className="grid gap-x-8 gap-y-2 border-t border-line py-3 lg:grid-cols-[17rem_15rem_1fr_1fr]">
      <div className="text-read">
        <Link to={`/library/tests/${test.testId}`} className="font-semibold underline">
          {test.name}
        </Link>
        <p className="text-note text-soft">
          {test.criterion}
          {test.borrowed && " (nobody has published on it: an average test)"}
        </p>
      </div>
      <p className="text-note">
        Positive: there in {test.truePositive}, not in {test.falsePositive}
        {test.openPositive > 0 && `, ${String(test.openPositive)} open`}
        <br />
        Negative: there in {test.falseNegative}, not in {test.trueNegative}
        {test.openNegative > 0 && `, ${String(test.openNegative)} open`}
      </p>
      {test.own ? (
        <>
          <Side
            name="Sensitivity"
            expected={test.expectedSensitivity}
            own={test.own.sensitivity}
            plain={test.own.plainSensitivity}
            together={test.own.togetherSensitivity}
          />
          <Side
            name="Specificity"
            expected={test.expectedSpecificity}
            own={test.own.specificity}
            plain={test.own.plainSpecificity}
            together={test.own.togetherSpecificity}
          />
        </>
      ) : (
        <p className="text-note text-soft lg:col-span-2">
          Figures need a result of at least one patient who was positive and one who was negative.
        </p>
      )}
    </li>
  );
}

type Estimate = Schemas["OutcomeEstimateJson"];

function Side({
  name,
  expected,
  own,
  plain,
  together,
}: {
  name: string;
  expected: Estimate;
  own?: Estimate | null | undefined;
  plain?: number | null | undefined;
  together: Estimate;
}) {
  return (
    <div>
      <p className="text-note">
        {name}{" "}
        {own ? (
          <>
            <strong className="text-read">{countedInHundred(own.estimate)}</strong> in 100,{" "}
            {countedInHundred(own.lower)} to {countedInHundred(own.upper)}
            {plain != null && Math.abs(plain - own.estimate) >= 0.005 && `; uncorrected ${countedInHundred(plain)}`}
          </>
        ) : (
          "not known yet"
        )}
      </p>
      <ShareBar name={name} expected={expected} own={own ?? undefined} together={together} />
      <p className="text-note text-soft">
        Together {inHundred(together.estimate)}, published {inHundred(expected.estimate)}
      </p>
    </div>
  );
}
