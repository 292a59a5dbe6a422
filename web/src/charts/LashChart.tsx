import type { Schemas } from "../api/client";
import { useSettings } from "../shell/settings";
import { nth } from "../ui/nth";
import { lashText } from "../units/lash";
import { preloadFigure } from "../words/preload";
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

/** Lash of each round against what is wanted. */
export function LashChart({ points, targets, ...rest }: LashChartProps) {
  const { unit } = useSettings();
  const own = domains([{ position: "", points }]);
  const state = mostly(points);
  const target = targets.find((t) => t.state === state);
  return (
    <VisitsChart
      visits={points.map((p) => ({ ...p, found: p.foundIn, left: p.leftIn }))}
      band={
        target && {
          from: target.targetIn - target.toleranceIn,
          to: target.targetIn + target.toleranceIn,
          floor: target.floorIn,
        }
      }
      text={(v) => lashText(v, unit)}
      {...rest}
      hours={rest.hours ?? own.hours}
      range={rest.lash ?? own.lash}
    />
  );
}

interface PreloadChartProps {
  points: Schemas["Point"][];
  target: Schemas["PreloadTarget"];
  changes: Schemas["ChangeLine"][];
  height: number;
}

/** Preload of each round, in turns or travel of the plunger, with the end of the plunger. */
export function PreloadChart({ points, target, ...rest }: PreloadChartProps) {
  const { unit } = useSettings();
  const read = points.flatMap((p) => [p.foundPreload, p.leftPreload]).filter((v) => v !== undefined);
  return (
    <VisitsChart
      visits={points.map((p) => ({ ...p, found: p.foundPreload, left: p.leftPreload }))}
      band={{ from: target.from, to: target.to }}
      text={(v) => preloadFigure(v, target, unit)}
      {...rest}
      large
      hours={domains([{ position: "", points }]).hours}
      range={[0, 1.15 * Math.max(target.to, ...read)]}
    />
  );
}

type State = Schemas["Point"]["state"];

/** The state in which most rounds were made: only like is held against like. */
const mostly = (points: readonly { state: State }[]): State =>
  2 * points.filter((p) => p.state === "HOT").length >= points.length ? "HOT" : "COLD";

interface Visit {
  at: string;
  engineHours: number;
  state: State;
  found?: number;
  left?: number;
}

interface VisitsChartProps {
  visits: Visit[];
  band?: { from: number; to: number; floor?: number };
  changes: Schemas["ChangeLine"][];
  height: number;
  large?: boolean;
  hours: [number, number];
  range: [number, number];
  text: (v: number | undefined) => string;
}

/** As found (ring) and as left (dot) of each round; hot filled, cold hollow; the band is what is wanted. */
function VisitsChart(props: VisitsChartProps) {
  const { visits, band, changes, height, large = false, hours, range, text } = props;
  const pad = large ? { l: 44, r: 12, t: 10, b: 26 } : { l: 4, r: 4, t: 4, b: 4 };
  const state = mostly(visits);
  const alike = visits.filter((v) => v.state === state);
  return (
    <Chart
      label={describe(visits, text)}
      height={height}
      pad={pad}
      first={large ? 640 : 150}
      x={hours}
      y={range}
      axes={large ? { yText: text } : undefined}
    >
      {(field) => (
        <>
          {band && <Band band={band} field={field} />}
          {changes.map((c) => (
            <Moment key={c.id} field={field} at={c.engineHours} colour="var(--ink)" dashes="2 4">
              <title>{`${c.part.toLowerCase()} changed`}</title>
            </Moment>
          ))}
          {/* From as left to the next as found: what the engine did; the jump at a round is the wrench. */}
          {alike.slice(1).map((v, i) => {
            const before = nth(alike, i);
            if (before.left === undefined || v.found === undefined) return null;
            return (
              <line
                key={v.at}
                x1={field.x(before.engineHours)}
                y1={field.y(before.left)}
                x2={field.x(v.engineHours)}
                y2={field.y(v.found)}
                stroke="var(--line)"
                strokeWidth={large ? 2 : 1.5}
              />
            );
          })}
          {visits.map((v) => (
            <Dots key={v.at} v={v} field={field} r={large ? 6 : 3} />
          ))}
        </>
      )}
    </Chart>
  );
}

/** What is wanted, and the floor. */
function Band({ band, field }: { band: NonNullable<VisitsChartProps["band"]>; field: Field }) {
  const top = field.y(band.to);
  return (
    <g>
      <rect
        x={field.left}
        width={Math.max(0, field.right - field.left)}
        y={top}
        height={field.y(band.from) - top}
        fill="var(--ok)"
        opacity={0.16}
      />
      {band.floor !== undefined && (
        <Level field={field} at={band.floor} colour="var(--floor)" dashes="6 4" strokeWidth={1} />
      )}
    </g>
  );
}

function Dots({ v, field: { x, y }, r }: { v: Visit; field: Field; r: number }) {
  const cx = x(v.engineHours);
  const cold = v.state === "COLD";
  return (
    <g>
      {v.found !== undefined && (
        <circle
          cx={cx}
          cy={y(v.found)}
          r={r}
          fill="none"
          stroke={cold ? "var(--muted)" : "var(--line)"}
          strokeWidth={1.6}
        />
      )}
      {v.left !== undefined && (
        <circle
          cx={cx}
          cy={y(v.left)}
          r={r * 0.55}
          fill={cold ? "var(--plate)" : "var(--ink)"}
          stroke={cold ? "var(--muted)" : "var(--ink)"}
        />
      )}
    </g>
  );
}

function describe(visits: Visit[], text: (v: number | undefined) => string): string {
  const last = visits.at(-1);
  if (!last) return "no rounds";
  return `${visits.length} rounds; last found ${text(last.found)}, left ${text(last.left)}`;
}
