import { scaleLinear } from "d3-scale";
import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Axes, type Scale } from "../../ui/Axes";
import { useWidth } from "../../ui/useWidth";
import type { LashUnit } from "../../units/lash";
import { thouText, unitName } from "../../units/lash";
import { say } from "../../words/said";

const PAD = { l: 46, r: 14, t: 20, b: 26 };

interface DriftChartProps {
  drift: Schemas["ValveDriftView"];
  rounds: Schemas["RoundShiftView"][];
  height?: number;
}

/**
 * One valve against all: where its own lash stands with settings taken out, what every valve did
 * alike in the same rounds, and when it began. The two lines side by side are why it is not the
 * temperature.
 */
export function DriftChart({ drift, rounds, height = 200 }: DriftChartProps) {
  const { unit } = useSettings();
  const [box, width] = useWidth<HTMLDivElement>(640);
  const own = drift.points.map((p) => ({ hours: p.engineHours, thou: p.pathThou, sd: p.sdThou }));
  const all = rounds.map((r) => ({ hours: r.engineHours, thou: r.allThou }));
  const hours = [...own, ...all].map((p) => p.hours);
  const thous = [...own.flatMap((p) => [p.thou - p.sd, p.thou + p.sd]), ...all.map((p) => p.thou), -2, 2];
  const x = scaleLinear([Math.min(0, ...hours), Math.max(1, ...hours)], [PAD.l, width - PAD.r]);
  const y = scaleLinear([Math.min(...thous), Math.max(...thous)], [height - PAD.b, PAD.t]);
  return (
    <div ref={box} className="w-full min-w-0">
      <svg width={width} height={height} role="img" aria-label={described(drift, unit)} className="block">
        <Axes x={x} y={y} pad={PAD} width={width} height={height} yText={(t) => thouText(t, unit)} />
        {drift.begunLow !== undefined && drift.begunHigh !== undefined && (
          <rect
            x={x(drift.begunLow)}
            width={Math.max(3, x(drift.begunHigh) - x(drift.begunLow))}
            y={PAD.t}
            height={height - PAD.t - PAD.b}
            fill="var(--accent)"
            opacity={0.18}
          />
        )}
        {drift.begun !== undefined && (
          <>
            <line
              x1={x(drift.begun)}
              x2={x(drift.begun)}
              y1={PAD.t}
              y2={height - PAD.b}
              stroke="var(--accent)"
              strokeWidth={2}
            />
            <text
              x={x(drift.begun) - 5}
              y={14}
              textAnchor="end"
              fontSize={13}
              fontWeight={700}
              fill="var(--accent)"
            >
              began about {drift.begun.toFixed(1)} h
            </text>
          </>
        )}
        <path d={path(all, x, y)} fill="none" stroke="var(--muted)" strokeWidth={1.6} strokeDasharray="6 4" />
        {all.map((p) => (
          <path
            key={p.hours}
            d={`M${x(p.hours) - 4} ${y(p.thou) - 4}h8v8h-8z`}
            fill="var(--plate)"
            stroke="var(--muted)"
          />
        ))}
        {own.map((p) => (
          <path
            key={p.hours}
            d={`M${x(p.hours)} ${y(p.thou - p.sd)}V${y(p.thou + p.sd)}`}
            stroke="var(--ink)"
            strokeOpacity={0.6}
          />
        ))}
        <path d={path(own, x, y)} fill="none" stroke="var(--ink)" strokeWidth={2.2} />
        {own.map((p) => (
          <circle key={p.hours} cx={x(p.hours)} cy={y(p.thou)} r={4.5} fill="var(--ink)" />
        ))}
      </svg>
      <ul className="flex flex-wrap gap-x-4 text-sm text-muted">
        <li>
          ● {drift.position} by itself, settings taken out, {unitName(unit)}
        </li>
        <li>□ all valves alike in the same rounds: temperature, hand, leaf</li>
        {drift.begun !== undefined && <li className="text-accent">▒ may have begun here</li>}
      </ul>
    </div>
  );
}

function path(points: { hours: number; thou: number }[], x: Scale, y: Scale): string {
  return points.length === 0 ? "" : `M${points.map((p) => `${x(p.hours)} ${y(p.thou)}`).join("L")}`;
}

function described(drift: Schemas["ValveDriftView"], unit: LashUnit): string {
  return `Lash of ${drift.position} over the hours against all valves: ${say(drift.said, unit)}`;
}
