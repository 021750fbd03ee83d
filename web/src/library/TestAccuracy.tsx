import { Link } from "react-router";
import { useKeepsLedger } from "../ledger";
import type { Schemas } from "../shared/api/client";
import { decimal, sentence } from "../shared/format";
import { useAddress } from "../shared/useAddress";
import { ForestPlot } from "./ForestPlot";
import { OneMoreStudy } from "./OneMoreStudy";
import { PriorEffect } from "./PriorEffect";
import { RocPlane } from "./RocPlane";
import { Part, ToSheet } from "./Sheet";

/** What the answers are worth, condition by condition. The condition, the chance before and the study stand in the address. */
export function TestAccuracy({ sheet }: { sheet: Schemas["TestSheetJson"] }) {
  const keeps = useKeepsLedger();
  const [entries, set] = useAddress({ for: "", before: "", study: "" });
  const reading =
    sheet.reads.find((each) => each.conditionId === entries.for) ??
    sheet.reads.find((each) => each.weighs != null) ??
    sheet.reads[0];
  if (!reading) {
    return null;
  }
  const asked = Number(entries.before);
  const prior =
    Number.isInteger(asked) && asked >= 1 && asked <= 99 ? asked : Math.max(1, Math.round(100 * reading.start));
  const unchecked = reading.studies.filter((study) => study.record.reviewState === "unreviewed").length;
  const record = reading.studies.some((study) => study.record.id === entries.study) ? entries.study : "";
  return (
    <Part title="What an answer is worth">
      {sheet.reads.length > 1 && (
        <nav aria-label="Condition" className="no-print mb-4 flex flex-wrap gap-x-1 border-b border-line">
          {sheet.reads.map((each) => (
            <Link
              key={each.conditionId}
              to={`?for=${each.conditionId}`}
              replace
              preventScrollReset
              aria-current={each === reading ? "true" : undefined}
              className={`flex min-h-12 items-center gap-1.5 border-b-4 px-2.5 text-read ${each === reading ? "border-ink font-semibold" : "border-transparent hover:border-line"}`}
            >
              {each.conditionName}
              {each.weighs == null && <span className="text-note font-normal text-soft">not weighed</span>}
            </Link>
          ))}
        </nav>
      )}
      <Verdict reading={reading} />
      {reading.bySchool.length > 0 && <BySchool reading={reading} />}
      {reading.weighs != null && (
        <div className="mt-5">
          <PriorEffect
            testId={sheet.test.id}
            conditionId={reading.conditionId}
            conditionName={sentence(reading.conditionName)}
            record={record}
            prior={prior}
            onPrior={(value) => {
              set({ before: String(value) });
            }}
          />
        </div>
      )}
      {keeps && (
        <p className="no-print mt-4 text-read">
          <Link className="underline" to={`/library/ledger/new?test=${sheet.test.id}&condition=${reading.conditionId}`}>
            Add a study of it
          </Link>
        </p>
      )}
      {reading.studies.length > 0 && (
        <div className="mt-6">
          <ForestPlot
            studies={reading.studies}
            expected={reading.weighs?.expected}
            inUse={reading.weighs?.record ?? ""}
            chosen={record}
            onChoose={(chosen) => {
              set({ study: chosen });
            }}
          />
          <p className="mt-2 text-note text-soft">
            {unchecked} of {reading.studies.length} not yet checked against the original publication. Patients: with +
            without the condition. Bars: 95 % interval, where sizes were published.
          </p>
        </div>
      )}
      {reading.weighs != null && (
        <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-2">
          <RocPlane
            plane={reading.weighs.expected.plane}
            studies={reading.studies}
            expected={reading.weighs.expected}
          />
          <OneMoreStudy key={reading.conditionId} testId={sheet.test.id} conditionId={reading.conditionId} />
        </div>
      )}
    </Part>
  );
}

function Verdict({ reading }: { reading: Schemas["ReadingJson"] }) {
  const condition = (
    <ToSheet kind="conditions" id={reading.conditionId}>
      {sentence(reading.conditionName)}
    </ToSheet>
  );
  if (reading.weighs == null) {
    return (
      <p className="text-xl">
        <strong>Not weighed</strong> for {condition}: {reading.notWeighed}.
      </p>
    );
  }
  return (
    <>
      <p className="text-xl">
        <strong>{reading.weighs.plainly}</strong>, for {condition}.{" "}
        <span className="text-read text-soft">
          LR+ {decimal(reading.weighs.lrPositive)} (
          {decimal(reading.weighs.expected.lrPositive.lower ?? reading.weighs.lrPositive)} to{" "}
          {decimal(reading.weighs.expected.lrPositive.upper ?? reading.weighs.lrPositive)}), LR−{" "}
          {decimal(reading.weighs.lrNegative)} (
          {decimal(reading.weighs.expected.lrNegative.lower ?? reading.weighs.lrNegative)} to{" "}
          {decimal(reading.weighs.expected.lrNegative.upper ?? reading.weighs.lrNegative)})
        </span>
      </p>
      {reading.weighs.worseThanChance && (
        <p className="mt-1 text-read">
          In this study people without it were positive more often than people with it: do not read anything into it.
        </p>
      )}
      {reading.weighs.byInventors && (
        <p className="mt-1 text-read">Known only from those who described the test. Others usually find less.</p>
      )}
    </>
  );
}

function BySchool({ reading }: { reading: Schemas["ReadingJson"] }) {
  return (
    <div className="mt-3 text-read">
      <p className="text-note font-semibold text-soft">{reading.bySchool[0]?.question}</p>
      <ul>
        {reading.bySchool.map((school) => (
          <li key={school.answer}>
            <strong>{school.answer}</strong>
            {school.usual && " (in force)"}: {school.counts}.{" "}
            <span className="text-soft">{school.weighed ? "Weighed." : "No figures: not weighed."}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
