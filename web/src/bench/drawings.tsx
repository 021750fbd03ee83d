import type { MouseEvent } from "react";
import type { Schemas } from "../shared/api/client";
import { spineLevel } from "./spine";

type Part = Schemas["PartDefinitionJson"];

interface DrawnMeasureProps {
  part: Part;
  value: number | undefined;
  /** The other side, to compare with; undefined while unknown. */
  other: number | undefined;
  onSet: (value: number) => void;
}

/** Where a drawing was touched, as a share of its width and height. */
function touched(event: MouseEvent<SVGSVGElement>): { x: number; y: number } {
  const box = event.currentTarget.getBoundingClientRect();
  return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
}

function toStep(part: Part, value: number): number {
  const step = part.step ?? 1;
  return Math.min(part.most ?? 999, Math.max(part.least ?? 0, Math.round(value / step) * step));
}

const SPINE = { width: 560, height: 78, from: 18, gap: 20.9 };

/** The spine from C7 down, lying: a tap sets the level that the thumb reaches; the field beside it steps and types. */
export function SpineDrawing({ part, value, other, onSet }: DrawnMeasureProps) {
  const levels = Array.from({ length: (part.most ?? 25) + 1 }, (_, index) => index);
  const x = (level: number) => SPINE.from + level * SPINE.gap;
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    onSet(toStep(part, (touched(event).x * SPINE.width - SPINE.from) / SPINE.gap));
  };
  return (
    <svg
      viewBox={`0 0 ${String(SPINE.width)} ${String(SPINE.height)}`}
      className="h-auto w-full max-w-140 cursor-crosshair touch-manipulation"
      aria-hidden="true"
      onClick={tap}
    >
      {levels.map((level) => (
        <rect
          key={level}
          x={x(level) - 8}
          y={level === value ? 14 : 20}
          width={16}
          height={level === value ? 36 : 24}
          rx={4}
          fill={level === value ? "var(--color-ink)" : level === other ? "var(--color-tan)" : "var(--color-sheet)"}
          stroke="var(--color-ink)"
          strokeWidth={level === other ? 2.5 : 1.2}
        />
      ))}
      {levels
        .filter((level) => [0, 3, 7, 12, 17, 20].includes(level))
        .map((level) => (
          <text key={level} x={x(level)} y={66} textAnchor="middle" fontSize={14} fill="var(--color-soft)">
            {spineLevel(level)}
          </text>
        ))}
    </svg>
  );
}

/** Ruler below the acromion: how far the head drops. */
export function GapDrawing({ part, value, other, onSet }: DrawnMeasureProps) {
  const scale = 2.4;
  const top = 30;
  const shift = value ?? 0;
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    onSet(toStep(part, (touched(event).y * 190 - top) / scale));
  };
  return (
    <svg
      width={210}
      height={190}
      viewBox="0 0 210 190"
      className="cursor-crosshair touch-manipulation"
      aria-hidden="true"
      onClick={tap}
    >
      <path d="M22 30C50 14 92 12 118 22L116 30Z" fill="var(--color-tan)" stroke="var(--color-ink)" strokeWidth={2} />
      <circle
        cx={76}
        cy={top + 24 + shift * scale}
        r={24}
        fill="var(--color-sheet)"
        stroke="var(--color-ink)"
        strokeWidth={3}
      />
      <path
        d={`M60 ${String(top + 42 + shift * scale)}V186M92 ${String(top + 42 + shift * scale)}V186`}
        stroke="var(--color-ink)"
        strokeWidth={2}
      />
      <path d={`M150 ${String(top)}V${String(top + 50 * scale)}`} stroke="var(--color-ink)" strokeWidth={1.5} />
      {[0, 10, 20, 30, 40, 50].map((mm) => (
        <g key={mm}>
          <path d={`M150 ${String(top + mm * scale)}h12`} stroke="var(--color-ink)" strokeWidth={1.5} />
          <text x={168} y={top + mm * scale + 5} fontSize={14} fill="var(--color-soft)">
            {mm}
          </text>
        </g>
      ))}
      {other !== undefined && (
        <path d={`M140 ${String(top + other * scale)}h10`} stroke="var(--color-against)" strokeWidth={5} />
      )}
      {value !== undefined && (
        <path d={`M100 ${String(top + value * scale)}H150`} stroke="var(--color-ink)" strokeDasharray="4 3" />
      )}
    </svg>
  );
}

/** The head against the socket from above, slid by its share. `backward` slides it the other way. */
export function GlideDrawing({ part, value, backward, onSet }: DrawnMeasureProps & { backward: boolean }) {
  const radius = 26;
  const way = backward ? -1 : 1;
  const shift = ((value ?? 0) / 100) * 2 * radius * way;
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    onSet(toStep(part, (100 * way * (touched(event).x * 200 - 100)) / (2 * radius)));
  };
  return (
    <svg
      width={200}
      height={72}
      viewBox="0 0 200 72"
      className="cursor-crosshair touch-manipulation"
      aria-hidden="true"
      onClick={tap}
    >
      <path
        d="M60 64C72 54 128 54 140 64"
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth={5}
        strokeLinecap="round"
      />
      <circle
        cx={100}
        cy={30}
        r={radius}
        fill="none"
        stroke="var(--color-edge)"
        strokeWidth={1.4}
        strokeDasharray="4 4"
      />
      <circle cx={100 + shift} cy={30} r={radius} fill="var(--color-tan)" stroke="var(--color-ink)" strokeWidth={3} />
      <text x={4} y={16} fontSize={13} fill="var(--color-soft)">
        back
      </text>
      <text x={196} y={16} textAnchor="end" fontSize={13} fill="var(--color-soft)">
        front
      </text>
    </svg>
  );
}

/** Fingers of a palm, right hand; mirrored for the left. Places are shares of a hundred by a hundred and ten. */
const FINGERS: Record<string, { x: number; y: number; turn: number; length: number }> = {
  thumb: { x: 28, y: 78, turn: -48, length: 30 },
  index: { x: 34, y: 44, turn: -8, length: 34 },
  middle: { x: 50, y: 41, turn: 0, length: 38 },
  ring: { x: 65, y: 44, turn: 7, length: 34 },
  little: { x: 79, y: 52, turn: 15, length: 27 },
};

/** Where the halves of the ring finger begin, across it. */
const RING_HALVES: Record<string, number> = { "ring-thumb-half": -6.4, "ring-little-half": 0 };

interface FingerMapProps {
  options: Schemas["OptionJson"][];
  chosen: string[];
  side: "LEFT" | "RIGHT";
  onChoose: (value: string) => void;
}

/** Fingers that tingle, tapped on the palm. The same answers stand as buttons beside it. */
export function FingerMap({ options, chosen, side, onChoose }: FingerMapProps) {
  const known = options.map((option) => option.value);
  const fill = (value: string) => (chosen.includes(value) ? "var(--color-ink)" : "var(--color-sheet)");
  return (
    <svg width={210} height={190} viewBox="0 0 105 95" aria-hidden="true" className="touch-manipulation">
      <g transform={side === "LEFT" ? undefined : "translate(105 0) scale(-1 1)"}>
        {known.includes("palm") && (
          <rect
            x={27}
            y={44}
            width={58}
            height={48}
            rx={14}
            fill={fill("palm")}
            stroke="var(--color-ink)"
            strokeWidth={1.4}
            className="cursor-pointer"
            onClick={() => {
              onChoose("palm");
            }}
          />
        )}
        {Object.entries(FINGERS)
          .filter(([value]) => known.includes(value))
          .map(([value, at]) => (
            <g
              key={value}
              transform={`translate(${String(at.x)} ${String(at.y + 4)}) rotate(${String(at.turn)})`}
              className="cursor-pointer"
              onClick={() => {
                onChoose(value);
              }}
            >
              <rect x={-8} y={-at.length - 4} width={16} height={at.length + 8} fill="transparent" />
              <rect
                x={-6.4}
                y={-at.length}
                width={12.8}
                height={at.length + 4}
                rx={6.4}
                fill={fill(value)}
                stroke="var(--color-ink)"
                strokeWidth={1.4}
              />
              {value === "ring" &&
                Object.entries(RING_HALVES)
                  .filter(([half]) => chosen.includes(half))
                  .map(([half, x]) => (
                    <rect
                      key={half}
                      x={x}
                      y={-at.length}
                      width={6.4}
                      height={at.length + 4}
                      rx={3.2}
                      fill="var(--color-ink)"
                    />
                  ))}
            </g>
          ))}
      </g>
    </svg>
  );
}
