import { scaleLinear } from "d3-scale";
import type { Schemas } from "../api/client";
import { useSettings } from "../shell/settings";
import { Axes, type Scale } from "../ui/Axes";
import { nth } from "../ui/nth";
import { useWidth } from "../ui/useWidth";
import { lashText } from "../units/lash";

interface LashChartProps {
  points: Schemas["Point"][];
  targets: Schemas["LashTarget"][];
  changes: Schemas["ChangeLine"][];
  height: number;
  large?: boolean;
  /** Shared axis, so that small multiples can be compared. */
  hours?: [number, number];
  lash?: [number, number];
}

/** Range of lash and hours over some valves. */
export function domains(valves: Schemas["ValveLash"][]): { hours: [number, number]; lash: [number, number] } {
  const points = valves.flatMap((v) => v.points);
  const hours = points.map((p) => p.engineHours);
  const inches = points.flatMap((p) => [p.foundIn, p.leftIn]).filter((x) => x !== undefined);
  return {
    hours: [Math.min(0, ...hours), Math.max(1, ...hours)],
    lash: [Math.max(0, Math.min(...inches) - 0.002), Math.max(...inches) + 0.002],
  };
}

/** As found (ring) and as left (dot) of each round; hot filled, cold hollow; the band is the hot tolerance. */
export function LashChart({ points, targets, changes, height, large = false, ...shared }: LashChartProps) {
  const { unit } = useSettings();
  const [box, width] = useWidth<HTMLDivElement>(large ? 640 : 150);
  const own = domains([{ position: "", points }]);
  const pad = large ? { l: 44, r: 12, t: 10, b: 26 } : { l: 4, r: 4, t: 4, b: 4 };
  const x = scaleLinear(shared.hours ?? own.hours, [pad.l, width - pad.r]);
  const y = scaleLinear(shared.lash ?? own.lash, [height - pad.b, pad.t]);
  const hot = targets.find((t) => t.state === "HOT");
  const hotPoints = points.filter((p) => p.state === "HOT");
  return (
    <div ref={box} className="w-full min-w-0">
      <svg width={width} height={height} role="img" aria-label={describe(points, unit)} className="block">
        {hot && (
          <g>
            <rect
              x={pad.l}
              width={Math.max(0, width - pad.l - pad.r)}
              y={y(hot.targetIn + hot.toleranceIn)}
              height={y(hot.targetIn - hot.toleranceIn) - y(hot.targetIn + hot.toleranceIn)}
              fill="var(--ok)"
              opacity={0.16}
            />
            {hot.floorIn !== undefined && (
              <line
                x1={pad.l}
                x2={width - pad.r}
                y1={y(hot.floorIn)}
                y2={y(hot.floorIn)}
                stroke="var(--floor)"
                strokeDasharray="6 4"
              />
            )}
          </g>
        )}
        {large && (
          <Axes x={x} y={y} pad={pad} width={width} height={height} yText={(t) => lashText(t, unit)} />
        )}
        {changes.map((c) => (
          <line
            key={c.id}
            x1={x(c.engineHours)}
            x2={x(c.engineHours)}
            y1={pad.t}
            y2={height - pad.b}
            stroke="var(--ink)"
            strokeDasharray="2 4"
          >
            <title>{`${c.part.toLowerCase()} changed`}</title>
          </line>
        ))}
        {/* From as left to the next as found: what the engine did; the jump at a round is the wrench. */}
        {hotPoints.slice(1).map((p, i) => {
          const before = nth(hotPoints, i);
          if (before.leftIn === undefined || p.foundIn === undefined) return null;
          return (
            <line
              key={p.at}
              x1={x(before.engineHours)}
              y1={y(before.leftIn)}
              x2={x(p.engineHours)}
              y2={y(p.foundIn)}
              stroke="var(--line)"
              strokeWidth={large ? 2 : 1.5}
            />
          );
        })}
        {points.map((p) => (
          <Visit key={p.at} p={p} x={x} y={y} r={large ? 6 : 3} />
        ))}
      </svg>
    </div>
  );
}

function Visit({ p, x, y, r }: { p: Schemas["Point"]; x: Scale; y: Scale; r: number }) {
  const cx = x(p.engineHours);
  const cold = p.state === "COLD";
  return (
    <g>
      {p.foundIn !== undefined && (
        <circle
          cx={cx}
          cy={y(p.foundIn)}
          r={r}
          fill="none"
          stroke={cold ? "var(--muted)" : "var(--line)"}
          strokeWidth={1.6}
        />
      )}
      {p.leftIn !== undefined && (
        <circle
          cx={cx}
          cy={y(p.leftIn)}
          r={r * 0.55}
          fill={cold ? "var(--plate)" : "var(--ink)"}
          stroke={cold ? "var(--muted)" : "var(--ink)"}
        />
      )}
    </g>
  );
}

function describe(points: Schemas["Point"][], unit: "thou" | "mm"): string {
  const last = points.at(-1);
  if (!last) return "no rounds";
  return `${points.length} rounds; last found ${lashText(last.foundIn, unit)}, left ${lashText(last.leftIn, unit)}`;
}
