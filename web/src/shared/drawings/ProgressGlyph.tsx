export type Progress = "OPEN" | "PARTLY" | "READ" | "VOID" | "LEFT_OUT";

/** How far a test has got, by form alone: dot, half ring, tick, struck ring, dash. */
export function ProgressGlyph({ progress }: { progress: Progress }) {
  const ink = "currentColor";
  return (
    <svg width={22} height={22} viewBox="0 0 22 22" aria-hidden="true" focusable="false" className="shrink-0">
      {progress === "OPEN" && <circle cx={11} cy={11} r={3} fill="none" stroke={ink} strokeWidth={1.6} />}
      {progress === "PARTLY" && (
        <>
          <circle cx={11} cy={11} r={7} fill="none" stroke={ink} strokeWidth={1.6} />
          <path d="M11 4a7 7 0 0 0 0 14z" fill={ink} />
        </>
      )}
      {progress === "READ" && <path d="M4 12l5 5L18 6" fill="none" stroke={ink} strokeWidth={2.4} />}
      {progress === "VOID" && (
        <>
          <circle cx={11} cy={11} r={7} fill="none" stroke={ink} strokeWidth={1.6} />
          <path d="M6 16L16 6" stroke={ink} strokeWidth={1.8} />
        </>
      )}
      {progress === "LEFT_OUT" && <path d="M5 11h12" stroke={ink} strokeWidth={2} />}
    </svg>
  );
}

/** The same in words. */
export function progressWords(progress: Progress): string {
  return {
    OPEN: "not done yet",
    PARTLY: "partly done",
    READ: "done",
    VOID: "done, not interpretable",
    LEFT_OUT: "left out",
  }[progress];
}
