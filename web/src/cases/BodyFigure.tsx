import type { Schemas } from "../shared/api/client";

export type Region = "shoulder" | "elbow" | "wrist" | "hand";
type Affected = Schemas["VisitRequest"]["side"];

interface Joint {
  region: Region;
  /** Of the patient's right side, in the figure's own measure; the left side is its mirror. */
  x: number;
  y: number;
}

const WIDTH = 440;
const HEIGHT = 400;
const JOINTS: readonly Joint[] = [
  { region: "shoulder", x: 158, y: 108 },
  { region: "elbow", x: 128, y: 200 },
  { region: "wrist", x: 106, y: 282 },
  { region: "hand", x: 94, y: 340 },
];

/** Half of the outline seen from the front, the patient's right, from the crown to the hip; the other half is its mirror. */
const HALF =
  "M220 20c-20 0-31 15-31 36 0 14 6 25 15 31v10c-8 7-24 8-38 10-13 2-20 10-24 24l-18 70-22 76c-6 8-12 20-15 34-2 12-3 24 0 28 4 4 8-4 10-8 0 8-1 20 3 21 5 1 7-10 9-18 1 7 2 17 6 16 5-1 4-13 5-20 3-4 6-9 6-16l1-28 28-73 16-62c2 24 1 44-3 68-2 16-4 34-4 52v84";

interface BodyFigureProps {
  region: Region | undefined;
  side: Affected | undefined;
  onChoose: (region: Region, side: Affected) => void;
}

/**
 * A person from the front, so that the patient's right is on the left of the picture. One tap on a joint says region and
 * side; a tap on its partner adds the other side.
 */
export function BodyFigure({ region, side, onChoose }: BodyFigureProps) {
  const chosen = (joint: Region, of: "LEFT" | "RIGHT") => region === joint && (side === of || side === "BOTH");
  const tap = (joint: Region, of: "LEFT" | "RIGHT") => {
    if (region !== joint || !side) {
      onChoose(joint, of);
    } else if (side === "BOTH") {
      onChoose(joint, of === "LEFT" ? "RIGHT" : "LEFT");
    } else {
      onChoose(joint, side === of ? of : "BOTH");
    }
  };
  return (
    <div
      role="group"
      aria-label="Where it hurts, seen from the front"
      className="relative mx-auto aspect-[11/10] w-full max-w-110"
    >
      <svg viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`} aria-hidden="true" className="absolute inset-0 size-full">
        {[undefined, `translate(${String(WIDTH)} 0) scale(-1 1)`].map((side) => (
          <g key={side ?? "right"} transform={side}>
            <path d={`${HALF}H220.5V20`} fill="var(--color-sheet)" />
            <path
              d={HALF}
              fill="none"
              stroke="var(--color-ink)"
              strokeWidth={2}
              strokeLinejoin="round"
              strokeLinecap="round"
            />
          </g>
        ))}
        <g stroke="var(--color-edge)" strokeWidth={1.5} fill="none">
          <path d="M176 118c16-6 30-7 40-4M264 118c-16-6-30-7-40-4" />
        </g>
        <text x={16} y={28} className="fill-soft text-[15px]">
          patient’s right
        </text>
        <text x={WIDTH - 16} y={28} textAnchor="end" className="fill-soft text-[15px]">
          patient’s left
        </text>
      </svg>
      {(["RIGHT", "LEFT"] as const).flatMap((of) =>
        JOINTS.map((joint) => {
          const x = of === "RIGHT" ? joint.x : WIDTH - joint.x;
          const on = chosen(joint.region, of);
          return (
            <button
              key={of + joint.region}
              type="button"
              aria-pressed={on}
              aria-label={`${of === "RIGHT" ? "Right" : "Left"} ${joint.region}`}
              onClick={() => {
                tap(joint.region, of);
              }}
              style={{ left: `${String((100 * x) / WIDTH)}%`, top: `${String((100 * joint.y) / HEIGHT)}%` }}
              className={`absolute flex h-12 -translate-y-1/2 items-center gap-2 text-read ${of === "RIGHT" ? "-translate-x-[calc(100%-1.5rem)]" : "-translate-x-6 flex-row-reverse"}`}
            >
              <span className={`rounded px-1.5 capitalize ${on ? "bg-ink text-white" : ""}`}>{joint.region}</span>
              <span
                className={`size-12 rounded-full border-2 border-ink ${on ? "border-[14px] bg-white" : "bg-white/60 hover:bg-tan"}`}
              />
            </button>
          );
        }),
      )}
    </div>
  );
}
