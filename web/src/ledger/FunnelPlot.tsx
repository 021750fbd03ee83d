import { useQuery } from "@tanstack/react-query";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";

type Funnel = Schemas["FunnelJson"];

const WIDTH = 620;
const HEIGHT = 300;
const LEFT = 52;
const TOP = 12;
/** Odds ratios at the foot. */
const RATIOS = [0.1, 1, 10, 100, 1000, 10_000];
/** Limits of 95 in 100 of the normal distribution. */
const SPAN = 1.96;

/** All studies by what they found and how surely, with those of inventors told apart. */
export function FunnelPlot() {
  const funnel = useQuery({
    queryKey: keys.funnel,
    queryFn: () => dataOf(api.GET("/api/library/records/funnel")),
  });
  if (!funnel.data) {
    return (
      <p role="status" className="text-note text-soft">
        {funnel.isError ? funnel.error.message : "Fetching the studies …"}
      </p>
    );
  }
  return <Drawn funnel={funnel.data} />;
}

function Drawn({ funnel }: { funnel: Funnel }) {
  const deepest = Math.max(...funnel.points.map((point) => point.error));
  const x = (logRatio: number) => LEFT + (WIDTH * (logRatio - Math.log(0.03))) / (Math.log(30_000) - Math.log(0.03));
  const y = (error: number) => TOP + (HEIGHT * error) / deepest;
  const edge = (side: number) => x(funnel.others + side * SPAN * deepest);
  const inventors = funnel.points.filter((point) => point.inventors).length;
  return (
    <figure className="mt-2 max-w-3xl">
      <svg
        className="w-full"
        viewBox={`0 0 ${String(LEFT + WIDTH + 12)} ${String(TOP + HEIGHT + 44)}`}
        role="img"
        aria-label={`${String(funnel.points.length)} studies, ${String(inventors)} of them by those who proposed the test, which lie further right`}
      >
        <path
          d={`M${x(funnel.others).toFixed(1)} ${String(TOP)}L${edge(-1).toFixed(1)} ${String(y(deepest))}H${edge(1).toFixed(1)}Z`}
          fill="var(--color-tan)"
          fillOpacity={0.7}
        />
        {RATIOS.map((ratio) => (
          <g key={ratio} fontSize={12}>
            <line
              x1={x(Math.log(ratio))}
              x2={x(Math.log(ratio))}
              y1={TOP}
              y2={TOP + HEIGHT}
              stroke="var(--color-line)"
            />
            <text x={x(Math.log(ratio))} y={TOP + HEIGHT + 16} textAnchor="middle" fill="var(--color-soft)">
              {ratio.toLocaleString("en-GB")}
            </text>
          </g>
        ))}
        <Mean at={x(funnel.others)} dashed={false} />
        <Mean at={x(funnel.inventors)} dashed />
        {funnel.points.map((point) => (
          <circle
            key={point.record}
            cx={x(point.logRatio)}
            cy={y(point.error)}
            r={point.inventors ? 4.5 : 3}
            fill={point.inventors ? "var(--color-sheet)" : "var(--color-for)"}
            stroke="var(--color-for)"
            strokeWidth={1.5}
          >
            <title>{point.record}</title>
          </circle>
        ))}
        <text x={LEFT + WIDTH / 2} y={TOP + HEIGHT + 36} textAnchor="middle" fontSize={13} fill="var(--color-ink)">
          diagnostic odds ratio
        </text>
        <text x={LEFT - 8} y={TOP + 12} textAnchor="end" fontSize={12} fill="var(--color-soft)">
          surer
        </text>
        <text x={LEFT - 8} y={TOP + HEIGHT} textAnchor="end" fontSize={12} fill="var(--color-soft)">
          less
        </text>
      </svg>
      <figcaption className="text-note text-soft">
        Each point is a study: the further right, the better its test separated. Full line: the average test as others
        find it; shaded: where chance alone would scatter its studies. Dashed line and open points: those who proposed
        the test.
      </figcaption>
    </figure>
  );
}

function Mean({ at, dashed }: { at: number; dashed: boolean }) {
  return (
    <line
      x1={at}
      x2={at}
      y1={TOP}
      y2={TOP + HEIGHT}
      stroke="var(--color-ink)"
      strokeWidth={1.5}
      {...(dashed ? { strokeDasharray: "5 4" } : {})}
    />
  );
}
