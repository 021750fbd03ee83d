import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { useLive } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { affected, capital, inHundred, whoIs } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Fetched } from "../shared/ui/Fetched";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { useAddress } from "../shared/useAddress";
import { Budgets } from "./Budgets";
import { OtherPatient } from "./OtherPatient";
import { commonWords, compared, type Compared } from "./twoPlans";
import { secondWords, summary, whyWords } from "./words";

type Examination = Schemas["ExaminationJson"];
type Story = Schemas["StoryPlanJson"];

/** What two stories call for, side by side, as if nothing had been tested: for teaching, and to see what a plan follows. */
export default function TwoPlansView() {
  const { examination } = useLive();
  const [address, setAddress] = useAddress({ with: "", minutes: "15" });
  const minutes = address.minutes === "all" ? undefined : Number(address.minutes) || 15;
  return (
    <main className="mx-auto w-full max-w-6xl flex-1 px-5 py-4 lg:overflow-y-auto">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="font-serif text-head font-semibold">Two stories</h1>
        <Budgets
          minutes={minutes}
          onChoose={(chosen) => {
            setAddress({ minutes: chosen === undefined ? "all" : String(chosen) });
          }}
        />
      </div>
      <p className="mt-1 mb-4 text-read text-soft">What each story calls for before anything is tested.</p>
      {address.with === "" ? (
        <OtherPatient
          region={examination.region}
          besides={examination.id}
          onChoose={(other) => {
            setAddress({ with: other });
          }}
        />
      ) : (
        <SideBySide
          one={examination}
          otherId={address.with}
          minutes={minutes}
          onAnother={() => {
            setAddress({ with: "" });
          }}
        />
      )}
    </main>
  );
}

function useStory(id: string, minutes: number | undefined) {
  return useQuery({
    queryKey: keys.storyPlan(id, minutes ?? -1),
    queryFn: () =>
      dataOf(
        api.GET("/api/examinations/{id}/plan/story", {
          params: { path: { id }, query: minutes === undefined ? {} : { minutes } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

interface SideBySideProps {
  one: Examination;
  otherId: string;
  minutes: number | undefined;
  onAnother: () => void;
}

function SideBySide({ one, otherId, minutes, onAnother }: SideBySideProps) {
  const other = useQuery({
    queryKey: keys.examination(otherId),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}", { params: { path: { id: otherId } } })),
  });
  const mine = useStory(one.id, minutes);
  const theirs = useStory(otherId, minutes);
  return (
    <Fetched query={other} what="The other patient">
      {(beside) => (
        <Fetched query={mine} what="The first plan">
          {(first) => (
            <Fetched query={theirs} what="The second plan">
              {(second) => {
                const found = compared(first.plan.steps, second.plan.steps);
                return (
                  <>
                    <div className="flex flex-wrap items-center justify-between gap-2">
                      <p role="status" className="text-read">
                        <strong>{commonWords(found)}</strong>
                      </p>
                      <span className="flex flex-wrap gap-2">
                        <Button onClick={onAnother}>Another patient</Button>
                        <Link to="../plan" relative="path" className={QUIET_LINK}>
                          Back to the plan
                        </Link>
                      </span>
                    </div>
                    <div className="mt-3 grid gap-x-8 gap-y-5 md:grid-cols-2">
                      <StorySide examination={one} story={first} alone={found.onlyOne} />
                      <StorySide examination={beside} story={second} alone={found.onlyOther} />
                    </div>
                    <InBoth found={found} />
                  </>
                );
              }}
            </Fetched>
          )}
        </Fetched>
      )}
    </Fetched>
  );
}

/** One story: whose, what was told, what it makes likely, and what it calls for that the other does not. */
function StorySide({
  examination,
  story,
  alone,
}: {
  examination: Examination;
  story: Story;
  alone: Compared["onlyOne"];
}) {
  const { person, side, otherSideInvolved, region } = examination;
  return (
    <section aria-label={person.code} className="min-w-0">
      <h2 className="border-b-2 border-ink pb-1 text-read font-semibold">
        {person.code}
        <span className="font-normal">
          {" "}
          {whoIs(person)} · {affected(side, otherSideInvolved, region)}
        </span>
      </h2>
      <ul aria-label={`Told by ${person.code}`} className="mt-2 text-note">
        {story.told.length === 0 && <li className="text-soft">Nothing was told.</li>}
        {story.told.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <h3 className="mt-3 text-note text-soft">Likely by the story, in 100</h3>
      <ul className="mt-1 text-read">
        {story.likely.map((each) => (
          <li key={each.conditionId} className="flex justify-between border-b border-line">
            {each.name} <strong>{inHundred(each.chance)}</strong>
          </li>
        ))}
      </ul>
      <h3 className="mt-3 text-note text-soft">Only here</h3>
      <Tests steps={alone} />
      <p className="mt-2 text-note text-soft">In all {summary(story.plan)}</p>
    </section>
  );
}

function InBoth({ found }: { found: Compared }) {
  return (
    found.both.length > 0 && (
      <section aria-label="In both plans" className="mt-6">
        <h2 className="border-b-2 border-ink pb-1 text-read font-semibold">In both</h2>
        <p className="mt-2 text-read">{found.both.map((step) => step.name).join(" · ")}</p>
      </section>
    )
  );
}

function Tests({ steps }: { steps: Compared["both"] }) {
  return steps.length === 0 ? (
    <p className="mt-1 text-read">No test.</p>
  ) : (
    <ul className="mt-1 flex flex-col gap-1.5">
      {steps.map((step) => (
        <li key={step.testId} className="grid grid-cols-[1fr_auto] gap-x-3 border-b border-line pb-1">
          <strong className="text-read">{step.name}</strong>
          <span className="text-note text-soft">{secondWords(step)}</span>
          <span className="col-span-2 text-note">{capital(whyWords(step))}</span>
        </li>
      ))}
    </ul>
  );
}
