import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, useParams } from "react-router";
import { TopBar } from "../session";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital, onDay, sideWord } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Message, Waiting } from "../shared/ui/Message";
import { Unfetched } from "../shared/ui/Unfetched";
import { ConditionRow, MeasureRow, ResponseRow, ResultMark } from "./CourseRows";
import { labelled, places } from "./timeScale";
import { headed, turnedFirst, turnWords } from "./words";

type Course = Schemas["CourseJson"];
type Measure = Schemas["CourseMeasureJson"];

const shortDay = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short" });

/** One complaint over all its visits, everything on one line of time. */
export default function CourseView() {
  const { id = "", complaint = "" } = useParams();
  const course = useQuery({
    queryKey: keys.course(id, complaint),
    queryFn: () =>
      dataOf(api.GET("/api/cases/{id}/complaints/{complaint}/course", { params: { path: { id, complaint } } })),
    staleTime: 0,
  });
  return (
    <div className="mx-auto max-w-6xl px-5 pb-10 print:max-w-none print:p-0">
      <TopBar />
      {course.isPending && <Waiting page what="the course" />}
      {course.isError && (
        <Unfetched
          error={course.error}
          what="course"
          back={
            <Link className="underline" to={`/cases/${id}`}>
              Back to the case
            </Link>
          }
        />
      )}
      {course.data && <Loaded course={course.data} complaint={complaint} />}
    </div>
  );
}

function Loaded({ course, complaint }: { course: Course; complaint: string }) {
  const at = places(course.visits.map((visit) => visit.day));
  const responses = turnedFirst(course.responses);
  const empty = course.visits.length < 2;
  return (
    <main className="print:[zoom:0.62]">
      <div className="mt-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-2 print:mt-0">
        <div>
          <h1 className="font-serif text-head font-semibold">
            Course of the {sideWord(course.side)} {course.region}
          </h1>
          <p className="text-read text-soft">
            <Link className="underline print:no-underline" to={`/cases/${course.caseId}`}>
              Case {course.code}
            </Link>{" "}
            · since {onDay(course.since)} · {visits(course)}
          </p>
        </div>
        <div className="no-print flex gap-2">
          <a download href={`/api/cases/${course.caseId}/complaints/${complaint}/course.csv`} className={QUIET_LINK}>
            As a table
          </a>
          <Button
            onClick={() => {
              window.print();
            }}
          >
            Print
          </Button>
        </div>
      </div>
      {empty ? (
        <Message title="One visit so far">
          From the second visit on, measures, tests and the ranking stand here beside each other.
        </Message>
      ) : (
        <>
          <Section
            id="measures"
            title="Measures"
            course={course}
            at={at}
            none="Nothing was measured at two visits."
            note={
              <>
                The band is what measuring alone brings about the first value; the dashed lines, about the last. A short
                stroke is the other side; an open dot does not count.
                {course.estimate && " These spans are working estimates."}
              </>
            }
          >
            {course.measures.map((measure) => (
              <Row
                key={`${measure.test ?? ""} ${measure.label}`}
                name={<MeasureName measure={measure} />}
                says={<Says measure={measure} />}
              >
                <MeasureRow measure={measure} at={at} />
              </Row>
            ))}
          </Section>
          <Section
            id="tests"
            title="Tests"
            course={course}
            at={at}
            none="No test was done at two visits."
            note={<Legend />}
          >
            {responses.map((response) => (
              <Row
                key={response.test}
                name={response.name}
                says={
                  <span className={response.turn.startsWith("TURNED") ? "font-semibold" : "text-soft"}>
                    {turnWords(response.turn)}
                  </span>
                }
              >
                <ResponseRow response={response} at={at} />
              </Row>
            ))}
          </Section>
          <Section
            id="conditions"
            title="Where conditions stood"
            course={course}
            at={at}
            none="No finding has spoken of any condition yet."
            note="Chances in 100, of those that were among the first three at any visit: as signed, or as they stand."
          >
            {course.conditions.map((condition) => (
              <Row key={condition.condition} name={condition.name} says="">
                <ConditionRow condition={condition} at={at} />
              </Row>
            ))}
          </Section>
        </>
      )}
    </main>
  );
}

function visits(course: Course): string {
  const days = course.visits.at(-1)?.day ?? 0;
  const count = course.visits.length;
  return `${String(count)} ${count === 1 ? "visit" : "visits"}${days > 0 ? ` in ${String(days)} ${days === 1 ? "day" : "days"}` : ""}`;
}

const GRID =
  "grid grid-cols-2 gap-x-4 md:grid-cols-[13rem_minmax(0,1fr)_16rem] print:grid-cols-[9rem_minmax(0,1fr)_12rem]";

interface SectionProps {
  id: string;
  title: string;
  course: Course;
  at: readonly number[];
  none: string;
  note: ReactNode;
  children: ReactNode[];
}

function Section({ id, title, course, at, none, note, children }: SectionProps) {
  return (
    <section aria-labelledby={id} className="mt-7 print:mt-3">
      <div className={`${GRID} items-end border-b-2 border-ink`}>
        <h2 id={id} className="col-span-2 pb-1 text-xl font-semibold md:col-span-1 print:col-span-1">
          {title}
        </h2>
        {children.length > 0 && <Dates course={course} at={at} />}
      </div>
      {children.length === 0 ? (
        <p className="py-2 text-read text-soft">{none}</p>
      ) : (
        <>
          <ul>{children}</ul>
          <div className="mt-1 text-note text-soft">{note}</div>
        </>
      )}
    </section>
  );
}

/** The days of the visits, where there is room for them. */
function Dates({ course, at }: { course: Course; at: readonly number[] }) {
  const shown = labelled(at);
  return (
    <ol className="relative col-span-2 h-7 md:col-span-1 print:col-span-1" aria-label="Visits">
      {course.visits.map((visit, index) => (
        <li
          key={visit.id}
          className={`absolute -translate-x-1/2 text-note whitespace-nowrap ${shown[index] ? "" : "sr-only"}`}
          style={{ left: `${String(at[index] ?? 0)}%` }}
        >
          <Link to={`/examinations/${visit.id}/weighing`} className="underline print:no-underline">
            {shortDay.format(new Date(visit.at))}
          </Link>
        </li>
      ))}
    </ol>
  );
}

function Row({ name, says, children }: { name: ReactNode; says: ReactNode; children: ReactNode }) {
  return (
    <li className={`${GRID} break-inside-avoid items-center border-b border-line`}>
      <div className="py-1 text-read leading-snug">{name}</div>
      <div className="order-3 col-span-2 min-w-0 md:order-2 md:col-span-1 print:order-2 print:col-span-1">
        {children}
      </div>
      <div className="order-2 py-1 text-right text-note md:order-3 md:text-left print:order-3 print:text-left">
        {says}
      </div>
    </li>
  );
}

function MeasureName({ measure }: { measure: Measure }) {
  return (
    <>
      {measure.name || measure.label}
      <span className="block text-note text-soft">
        {measure.name && `${measure.label}, `}
        {measure.unit}
        {measure.chosen && " · followed"}
      </span>
    </>
  );
}

function Says({ measure }: { measure: Measure }) {
  const { head, rest } = headed(measure.says);
  const last = measure.points.at(-1);
  return (
    <>
      {head && <strong className="block text-read">{head}</strong>}
      {rest}
      {last?.percentOfWell != null && (
        <span className="block text-soft">{Math.round(last.percentOfWell)} % of the other side now</span>
      )}
    </>
  );
}

function Legend() {
  return (
    <span className="flex flex-wrap gap-x-5">
      {(["POSITIVE", "NEGATIVE", "NOT_INTERPRETABLE"] as const).map((result) => (
        <span key={result} className="inline-flex items-center gap-1.5">
          <svg width={20} height={30} aria-hidden="true">
            <ResultMark result={result} x="50%" />
          </svg>
          {capital(result.toLowerCase().replace("_", " "))}
        </span>
      ))}
    </span>
  );
}
