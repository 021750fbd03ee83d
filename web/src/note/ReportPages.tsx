import { useRef, useState, type ReactNode } from "react";
import type { LiveExamination } from "../examination";
import { Button } from "../shared/ui/Button";
import { QUIET_LINK } from "../shared/ui/quietLink";
import { Sending } from "./Sending";

interface ReportPagesProps {
  live: LiveExamination;
  /** A signed version; absent for the last, or the draft. */
  version: number | undefined;
  forms: ReactNode;
}

/** The report as it is printed, on two pages at most. */
export function ReportPages({ live, version, forms }: ReportPagesProps) {
  const page = useRef<HTMLIFrameElement>(null);
  const [ready, setReady] = useState(false);
  const { id, commands, signing } = live.examination;
  const signed = signing.versions.at(-1)?.version;
  const of = version === undefined ? "" : `?version=${String(version)}`;
  const now = `${String(commands.at(-1)?.number ?? 0)}.${String(signing.versions.length)}.${String(signing.closed)}`;
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="font-serif text-head font-semibold">Report</h1>
        {forms}
        <div className="flex flex-wrap items-center gap-3">
          <span role="status" className="text-note empty:hidden">
            {ready ? "" : "Laying out …"}
          </span>
          <Button
            disabled={!ready}
            onClick={() => {
              page.current?.contentWindow?.print();
            }}
          >
            Print
          </Button>
          <a
            href={`/api/examinations/${id}/report.pdf${of}`}
            download
            className="inline-flex min-h-12 items-center rounded border-2 border-ink bg-tan px-4 text-read font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line"
          >
            Save as PDF
          </a>
          {version === undefined && signed !== undefined && (
            <a href={`/api/examinations/${id}/fhir.json`} download className={QUIET_LINK}>
              For another system (FHIR)
            </a>
          )}
        </div>
      </div>
      {version === undefined && signed !== undefined && <Sending examination={id} version={signed} />}
      <iframe
        ref={page}
        key={now}
        title="Report"
        src={`/api/examinations/${id}/report${of}`}
        onLoad={() => {
          setReady(true);
        }}
        className="min-h-[70vh] w-full flex-1 border border-line bg-white"
      />
    </>
  );
}
