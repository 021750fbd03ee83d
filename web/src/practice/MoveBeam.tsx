import type { Review } from "./words";

const WIDTH = 480;
const ROW = 20;
/** Decibans that the picture holds at least, on both sides of the pivot. */
const LEAST = 6;
const SAY = 90;
/** A move smaller than this is not drawn. */
const STILL = 0.3;

interface Block {
  from: number;
  to: number;
  place: number;
}

function laid(moves: number[]): Block[] {
  let right = 0;
  let left = 0;
  return moves.map((move, place) => {
    if (move >= 0) {
      right += move;
      return { from: right - move, to: right, place };
    }
    left += move;
    return { from: left, to: left - move, place };
  });
}

/** The beam of the whole examination for one condition: one's own moves above, what the answers weigh below. */
export function MoveBeam({ review, conditionId }: { review: Review; conditionId: string }) {
  const moves = review.turns.flatMap((turn, place) =>
    turn.moves
      .filter((move) => move.conditionId === conditionId)
      .filter((move) => Math.max(Math.abs(move.own), Math.abs(move.weighed)) >= STILL)
      .map((move) => ({ place, own: move.own, weighed: move.weighed })),
  );
  if (moves.length === 0) {
    return null;
  }
  const rows: [string, Block[]][] = [
    ["you", laid(moves.map((move) => move.own))],
    ["the answers", laid(moves.map((move) => move.weighed))],
  ];
  const most = Math.max(LEAST, ...rows.flatMap(([, blocks]) => blocks.flatMap((each) => [-each.from, each.to])));
  const pivot = SAY + (WIDTH - SAY) / 2;
  const x = (decibans: number) => pivot + (decibans / most) * ((WIDTH - SAY) / 2 - 6);
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(2 * ROW + 14)}`}
      className="mt-1 w-full max-w-lg"
      role="img"
      aria-label={`Moves test by test: ${moves.map((move) => `test ${String(move.place + 1)} you ${move.own.toFixed(1)}, answer ${move.weighed.toFixed(1)} decibans`).join("; ")}`}
    >
      {rows.map(([name, blocks], row) => (
        <g key={name}>
          <text x={0} y={row * (ROW + 6) + 14} className="fill-soft text-[13px]">
            {name}
          </text>
          {blocks.map((block, at) => {
            if (block.to - block.from < STILL) {
              return null;
            }
            const forIt = block.to > 0 && block.from >= 0;
            const width = Math.max(1, x(block.to) - x(block.from));
            return (
              <g key={at}>
                <rect
                  x={x(block.from)}
                  y={row * (ROW + 6)}
                  width={width}
                  height={ROW}
                  fill={forIt ? "var(--color-for)" : "var(--color-sheet)"}
                  stroke={forIt ? "var(--color-sheet)" : "var(--color-against)"}
                  strokeWidth={forIt ? 1 : 2}
                />
                {width > 14 && (
                  <text
                    x={x((block.from + block.to) / 2)}
                    y={row * (ROW + 6) + 14}
                    textAnchor="middle"
                    className={`text-[12px] ${forIt ? "fill-white" : "fill-ink"}`}
                  >
                    {(moves[block.place]?.place ?? 0) + 1}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      ))}
      <path d={`M${String(pivot)} 0V${String(2 * ROW + 8)}`} stroke="var(--color-ink)" strokeWidth={2} />
    </svg>
  );
}
