import type { Schemas } from "../api/client";
import { useSettings } from "../shell/settings";
import { nth } from "../ui/nth";
import { lashText } from "../units/lash";
import { Chart, type Field, Level, Moment } from "./Chart";

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
  const own = domains([{ position: "", points }]);
  const pad = large ? { l: 44, r: 12, t: 10, b: 26 } : { l: 4, r: 4, t: 4, b: 4 };
  const hot = targets.find((t) => t.state === "HOT");
  const hotPoints = points.filter((p) => p.state === "HOT");
  return (
    <Chart
      label={describe(points, unit)}
      height={height}
      pad={pad}
      first={large ? 640 : 150}
      x={shared.hours ?? own.hours}
      y={shared.lash ?? own.lash}
      axes={large ? { yText: (t) => lashText(t, unit) } : undefined}
    >
      {(field) => (
        <>
          {hot && <Hot target={hot} field={field} />}
          {changes.map((c) => (
            <Moment key={c.id} field={field} at={c.engineHours} colour="var(--ink)" dashes="2 4">
              <title>{`${c.part.toLowerCase()} changed`}</title>
            </Moment>
          ))}
          {/* From as left to the next as found: what the engine did; the jump at a round is the wrench. */}
          {hotPoints.slice(1).map((p, i) => {
            const before = nth(hotPoints, i);
            if (before.leftIn === undefined || p.foundIn === undefined) return null;
            return (
              <line
                key={p.at}
                x1={field.x(before.engineHours)}
                y1={field.y(before.leftIn)}
                x2={field.x(p.engineHours)}
                y2={field.y(p.foundIn)}
                stroke="var(--line)"
                strokeWidth={large ? 2 : 1.5}
              />
            );
          })}
          {points.map((p) => (
            <Visit key={p.at} p={p} field={field} r={large ? 6 : 3} />
          ))}
        </>
      )}
    </Chart>
  );
}

/** The tolerance hot, and the floor. */
function Hot({ target, field }: { target: Schemas["LashTarget"]; field: Field }) {
  const top = field.y(target.targetIn + target.toleranceIn);
  return (
    <g>
      <rect
        x={field.left}
        width={Math.max(0, field.right - field.left)}
        y={top}
        height={field.y(target.targetIn - target.toleranceIn) - top}
        fill="var(--ok)"
        opacity={0.16}
      />
      {target.floorIn !== undefined && (
        <Level field={field} at={target.floorIn} colour="var(--floor)" dashes="6 4" strokeWidth={1} />
      )}
    </g>
  );
}

function Visit({ p, field: { x, y }, r }: { p: Schemas["Point"]; field: Field; r: number }) {
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
