import type { Schemas } from "../../api/client";
import { Chart } from "../../charts/Chart";

type Line = Schemas["TesterLine"];

const PAD = { l: 40, r: 14, t: 10, b: 26 };
const HEIGHT = 130;

/** How high the tester read in each test: by the check spring (square) and by all springs together (bar). */
export function TesterChart({ tests }: { tests: Line[] }) {
  const shown = tests.filter((t) => t.setPercent !== undefined || t.checkPercent !== undefined);
  if (shown.length === 0) return null;
  const far = Math.max(1.5, ...shown.flatMap((t) => [t.setPercent ?? 0, t.checkPercent ?? 0].map(Math.abs)));
  return (
    <Chart
      label={described(shown)}
      height={HEIGHT}
      pad={PAD}
      first={420}
      x={[-0.5, shown.length - 0.5]}
      y={[-far * 1.15, far * 1.15]}
    >
      {({ x, y, left, right }) => (
        <>
          <g className="num" fontSize={14} fill="var(--muted)">
            {y.ticks(4).map((t) => (
              <g key={t}>
                <line
                  x1={left}
                  x2={right}
                  y1={y(t)}
                  y2={y(t)}
                  stroke={t === 0 ? "var(--line)" : "var(--hair)"}
                  strokeWidth={t === 0 ? 1.2 : 0.6}
                />
                <text x={left - 5} y={y(t)} textAnchor="end" dominantBaseline="central">
                  {t < 0 ? `−${-t}` : t}
                </text>
              </g>
            ))}
            {shown.map((t, i) => (
              <text key={t.testId} x={x(i)} y={HEIGHT - 7} textAnchor="middle">
                {t.engineHours.toFixed(1)}
              </text>
            ))}
          </g>
          {shown.map((t, i) => (
            <g key={t.testId}>
              {t.setPercent !== undefined && (
                <path
                  d={`M${x(i)} ${y(t.setPercent - 1.28 * (t.setSdPercent ?? 0))}V${y(t.setPercent + 1.28 * (t.setSdPercent ?? 0))}`}
                  stroke="var(--line)"
                  strokeWidth={9}
                  opacity={0.5}
                />
              )}
              {t.checkPercent !== undefined && (
                <rect
                  x={x(i) - 5}
                  y={y(t.checkPercent) - 5}
                  width={10}
                  height={10}
                  fill={t.warning ? "var(--accent)" : "var(--ink)"}
                />
              )}
            </g>
          ))}
        </>
      )}
    </Chart>
  );
}

function described(tests: Line[]): string {
  const last = tests.at(-1);
  const seen = last?.checkPercent ?? last?.setPercent ?? 0;
  return `Tester error over ${tests.length} tests, percent; last ${seen.toFixed(1)}`;
}
