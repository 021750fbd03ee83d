import type { Schemas } from "../api/client";

/** The parts of a set as boxes: full = positive, hollow = negative, struck = not interpretable, dotted = to come. */
export function ClusterLadder({ cluster }: { cluster: Schemas["ClusterJson"] }) {
  const boxes = [
    ...cluster.positives.map(() => "positive"),
    ...cluster.negatives.map(() => "negative"),
    ...cluster.voided.map(() => "void"),
    ...cluster.open.map(() => "open"),
  ];
  const step = 26;
  const upper = Math.max(...cluster.levels.map((level) => level.from));
  return (
    <svg
      width={boxes.length * step + 4}
      height={26}
      viewBox={`0 0 ${String(boxes.length * step + 4)} 26`}
      role="img"
      aria-label={`${String(cluster.positives.length)} positive, ${String(cluster.negatives.length)} negative, ${String(cluster.voided.length)} not interpretable, ${String(cluster.open.length)} to come; ${String(upper)} positive reach the upper level`}
    >
      {boxes.map((box, index) => (
        <g key={index} transform={`translate(${String(index * step + 3)} 4)`}>
          <rect
            width={18}
            height={18}
            fill={box === "positive" ? "var(--color-for)" : "var(--color-sheet)"}
            stroke={
              box === "positive"
                ? "var(--color-for)"
                : box === "negative"
                  ? "var(--color-against)"
                  : "var(--color-edge)"
            }
            strokeWidth={2}
            strokeDasharray={box === "open" ? "2.5 3" : undefined}
          />
          {box === "void" && <path d="M2 16L16 2" stroke="var(--color-soft)" strokeWidth={2} />}
        </g>
      ))}
      <path d={`M${String(upper * step - 1)} 0v26`} stroke="var(--color-ink)" strokeWidth={2} />
    </svg>
  );
}

/** Where a set stands, in a line. */
export function clusterWords(cluster: Schemas["ClusterJson"]): string {
  const counted = cluster.positives.length + cluster.negatives.length;
  if (!cluster.begun && cluster.voided.length === 0) {
    return "not begun";
  }
  const count = `${String(cluster.positives.length)} of ${String(counted)} positive`;
  if (cluster.level) {
    const weighs = cluster.levels.some((level) => level.name === cluster.level && level.likelihoodRatio != null);
    return `${count}, ${cluster.decided ? "already decided" : "decided"}: ${cluster.level}${weighs ? "" : "; counted, not weighed"}`;
  }
  return cluster.outOfReach ? `${count}, cannot be decided: too many not interpretable` : `${count} so far`;
}
