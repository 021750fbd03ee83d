import type { Schemas } from "../shared/api/client";
import { oddsScale } from "../shared/oddsScale";

const WIDTH = 132;

/** What both answers would do to one chance, on the log-odds scale: a tick = now, solid to the right = positive, outlined to the left = negative. */
export function TwoWay({ change }: { change: Schemas["AheadChangeJson"] }) {
  const at = oddsScale(WIDTH, 8);
  const [low, now, high] = [at(change.ifNegative), at(change.now), at(change.ifPositive)].map((x) => x.toFixed(1));
  return (
    <svg
      width={WIDTH}
      height={20}
      viewBox={`0 0 ${String(WIDTH)} 20`}
      aria-hidden="true"
      focusable="false"
      className="shrink-0"
    >
      <line x1={0} x2={WIDTH} y1={10} y2={10} stroke="var(--color-line)" strokeWidth={1} />
      <line x1={low} x2={now} y1={10} y2={10} stroke="var(--color-against)" strokeWidth={2} strokeDasharray="3 2" />
      <line x1={now} x2={high} y1={10} y2={10} stroke="var(--color-for)" strokeWidth={3} />
      <line x1={now} x2={now} y1={3} y2={17} stroke="var(--color-ink)" strokeWidth={1.6} />
      <path d={`M${low ?? ""} 10l6 -5v10z`} fill="var(--color-sheet)" stroke="var(--color-against)" strokeWidth={1.6} />
      <path d={`M${high ?? ""} 10l-6 -5v10z`} fill="var(--color-for)" stroke="var(--color-for)" strokeWidth={1} />
    </svg>
  );
}
