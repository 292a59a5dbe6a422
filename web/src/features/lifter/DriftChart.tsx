import type { Schemas } from "../../api/client";
import { Chart, type Field, Moment, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
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
  const own = drift.points.map((p) => ({ hours: p.engineHours, thou: p.pathThou, sd: p.sdThou }));
  const all = rounds.map((r) => ({ hours: r.engineHours, thou: r.allThou }));
  const hours = [...own, ...all].map((p) => p.hours);
  const thous = [...own.flatMap((p) => [p.thou - p.sd, p.thou + p.sd]), ...all.map((p) => p.thou), -2, 2];
  return (
    <>
      <Chart
        label={described(drift, unit)}
        height={height}
        pad={PAD}
        x={[Math.min(0, ...hours), Math.max(1, ...hours)]}
        y={[Math.min(...thous), Math.max(...thous)]}
        axes={{ yText: (t) => thouText(t, unit) }}
      >
        {(field) => (
          <>
            {drift.begunLow !== undefined && drift.begunHigh !== undefined && (
              <rect
                x={field.x(drift.begunLow)}
                width={Math.max(3, field.x(drift.begunHigh) - field.x(drift.begunLow))}
                y={field.top}
                height={field.foot - field.top}
                fill="var(--accent)"
                opacity={0.18}
              />
            )}
            {drift.begun !== undefined && (
              <Moment
                field={field}
                at={drift.begun}
                colour="var(--accent)"
                strokeWidth={2}
                words={`began about ${drift.begun.toFixed(1)} h`}
                strong
              />
            )}
            <path
              d={path(all, field)}
              fill="none"
              stroke="var(--muted)"
              strokeWidth={1.6}
              strokeDasharray="6 4"
            />
            {all.map((p) => (
              <path
                key={p.hours}
                d={`M${field.x(p.hours) - 4} ${field.y(p.thou) - 4}h8v8h-8z`}
                fill="var(--plate)"
                stroke="var(--muted)"
              />
            ))}
            {own.map((p) => (
              <path
                key={p.hours}
                d={`M${field.x(p.hours)} ${field.y(p.thou - p.sd)}V${field.y(p.thou + p.sd)}`}
                stroke="var(--ink)"
                strokeOpacity={0.6}
              />
            ))}
            <path d={path(own, field)} fill="none" stroke="var(--ink)" strokeWidth={2.2} />
            {own.map((p) => (
              <circle key={p.hours} cx={field.x(p.hours)} cy={field.y(p.thou)} r={4.5} fill="var(--ink)" />
            ))}
          </>
        )}
      </Chart>
      <ul className="flex flex-wrap gap-x-4 text-sm text-muted">
        <li>
          ● {drift.position} by itself, settings taken out, {unitName(unit)}
        </li>
        <li>□ all valves alike in the same rounds: temperature, hand, leaf</li>
        {drift.begun !== undefined && <li className="text-accent">▒ may have begun here</li>}
      </ul>
    </>
  );
}

const path = (points: { hours: number; thou: number }[], { x, y }: Field) =>
  pathOf(
    points,
    (p) => x(p.hours),
    (p) => y(p.thou),
  );

function described(drift: Schemas["ValveDriftView"], unit: LashUnit): string {
  return `Lash of ${drift.position} over the hours against all valves: ${say(drift.said, unit)}`;
}
