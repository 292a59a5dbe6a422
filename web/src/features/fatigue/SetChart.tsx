import { scaleLinear } from "d3-scale";
import type { Schemas, Valve } from "../../api/client";
import { Axes } from "../../ui/Axes";
import { useWidth } from "../../ui/useWidth";

const PAD = { l: 40, r: 44, t: 10, b: 26 };
const HEIGHT = 220;

interface SetChartProps {
  known: Schemas["EngineSprings"];
  onValve: (v: Valve) => void;
}

/** Every spring's loss over its hours; who leaves the bundle is seen at once. */
export function SetChart({ known, onValve }: SetChartProps) {
  const [box, width] = useWidth<HTMLDivElement>(640);
  const lines = known.springs.map((s) => ({
    spring: s,
    points: s.losses.map((l) => ({ hours: l.hours, loss: 100 * l.loss })),
  }));
  const all = lines.flatMap((l) => l.points);
  if (all.length === 0) return <p className="text-muted">No test yet.</p>;
  const x = scaleLinear([0, Math.max(1, ...all.map((p) => p.hours)) * 1.02], [PAD.l, width - PAD.r]);
  const limit = known.rules.lossPercent ?? 10;
  const y = scaleLinear(
    [Math.min(-1, ...all.map((p) => p.loss)), Math.max(limit + 1, ...all.map((p) => p.loss))],
    [PAD.t, HEIGHT - PAD.b],
  );
  return (
    <div ref={box} className="w-full min-w-0">
      <svg width={width} height={HEIGHT} role="img" aria-label="Loss of every spring over its hours">
        <Axes
          x={x}
          y={y}
          pad={PAD}
          width={width}
          height={HEIGHT}
          yText={(t) => (t < 0 ? `−${-t}` : String(t))}
        />
        <line
          x1={PAD.l}
          x2={width - PAD.r}
          y1={y(limit)}
          y2={y(limit)}
          stroke="var(--tight)"
          strokeWidth={2}
          strokeDasharray="9 4"
        />
        <text x={PAD.l + 4} y={y(limit) - 5} fontSize={13} fontWeight={700} fill="var(--tight)">
          limit {limit.toFixed(0)} %
        </text>
        {lines.map(({ spring, points }) => {
          const apart = spring.said.verdict !== "RUN";
          const last = points.at(-1);
          return (
            <g key={spring.position} onPointerDown={() => onValve(spring.position)}>
              <path
                d={`M${points.map((p) => `${x(p.hours)} ${y(p.loss)}`).join("L")}`}
                fill="none"
                stroke={apart ? "var(--accent)" : "var(--line)"}
                strokeWidth={apart ? 3 : 1}
                opacity={apart ? 1 : 0.6}
              />
              {apart && last && (
                <text
                  x={x(last.hours) + 6}
                  y={y(last.loss)}
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
      </svg>
    </div>
  );
}
