import type { Schemas, Valve } from "../../api/client";
import { Chart, Level, pathOf } from "../../charts/Chart";

const PAD = { l: 40, r: 44, t: 10, b: 26 };
const HEIGHT = 220;

interface SetChartProps {
  known: Schemas["EngineSprings"];
  onValve: (v: Valve) => void;
}

/** Every spring's loss over its hours; who leaves the bundle is seen at once. */
export function SetChart({ known, onValve }: SetChartProps) {
  const lines = known.springs.map((s) => ({
    spring: s,
    points: s.losses.map((l) => ({ hours: l.hours, loss: 100 * l.loss })),
  }));
  const all = lines.flatMap((l) => l.points);
  if (all.length === 0) return <p className="text-muted">No test yet.</p>;
  const limit = known.rules.lossPercent ?? 10;
  return (
    <Chart
      label="Loss of every spring over its hours"
      height={HEIGHT}
      pad={PAD}
      x={[0, Math.max(1, ...all.map((p) => p.hours)) * 1.02]}
      // Less is better: the limit lies below.
      y={[Math.max(limit + 1, ...all.map((p) => p.loss)), Math.min(-1, ...all.map((p) => p.loss))]}
      axes={{ yText: (t) => (t < 0 ? `−${-t}` : String(t)) }}
    >
      {(field) => (
        <>
          <Level field={field} at={limit} colour="var(--tight)" words={`limit ${limit.toFixed(0)} %`} />
          {lines.map(({ spring, points }) => {
            const apart = spring.said.verdict === "WATCH" || spring.said.verdict === "CHANGE";
            const last = points.at(-1);
            return (
              <g key={spring.position} onPointerDown={() => onValve(spring.position)}>
                <path
                  d={pathOf(
                    points,
                    (p) => field.x(p.hours),
                    (p) => field.y(p.loss),
                  )}
                  fill="none"
                  stroke={apart ? "var(--accent)" : "var(--line)"}
                  strokeWidth={apart ? 3 : 1}
                  opacity={apart ? 1 : 0.6}
                />
                {apart && last && (
                  <text
                    x={field.x(last.hours) + 6}
                    y={field.y(last.loss)}
                    dominantBaseline="central"
                    fontSize={16}
                    fontWeight={700}
                    fill="var(--accent)"
                  >
                    {spring.position}
                  </text>
                )}
              </g>
            );
          })}
        </>
      )}
    </Chart>
  );
}
