import type { Schemas } from "../../api/client";
import { Chart, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { nth } from "../../ui/nth";
import { figureText, measureText } from "../../units/measures";

const PAD = { l: 44, r: 20, t: 18, b: 26 };

/** Torque of air on the crank against degrees off TDC, with the chosen point and where it holds. */
export function AirDrawing({ air, height = 210 }: { air: Schemas["AirView"]; height?: number }) {
  const { unit } = useSettings();
  const chosen = nth(air.curves, 0);
  const others = air.curves.slice(1);
  const last = chosen.points.at(-1);
  const most = Math.max(...air.curves.map((c) => c.points.at(-1)?.torqueLbfFt ?? 0));
  const holds = Math.min(air.holdsWithinDeg, last?.offDeg ?? 40);
  return (
    <Chart
      label={`At ${measureText("pressure", air.psi, unit)} and ${air.offDeg} degrees off TDC air turns the crank with ${measureText("torque", air.torqueLbfFt, unit)}`}
      height={height}
      pad={PAD}
      first={520}
      x={[0, last?.offDeg ?? 40]}
      y={[0, most * 1.05]}
      axes={{ xText: (t) => `${t}°`, yText: (t) => figureText("torque", t, unit) }}
    >
      {({ x, y, top, foot }) => {
        const path = (points: Schemas["OffTdc"][]) =>
          pathOf(
            points,
            (p) => x(p.offDeg),
            (p) => y(p.torqueLbfFt),
          );
        const px = x(air.offDeg);
        const py = y(air.torqueLbfFt);
        return (
          <>
            <rect
              x={x(0)}
              y={top}
              width={Math.max(0, x(holds) - x(0))}
              height={foot - top}
              fill="var(--ok)"
              opacity={0.14}
            />
            {others.map((c) => (
              <g key={c.psi}>
                <path d={path(c.points)} fill="none" stroke="var(--line)" strokeDasharray="5 4" />
                <text
                  x={x(last?.offDeg ?? 40)}
                  y={y(c.points.at(-1)?.torqueLbfFt ?? 0) - 5}
                  textAnchor="end"
                  className="num"
                  fontSize={14}
                  fill="var(--muted)"
                >
                  {measureText("pressure", c.psi, unit)}
                </text>
              </g>
            ))}
            <path d={path(chosen.points)} fill="none" stroke="var(--line)" strokeWidth={2.5} />
            <path d={`M${px} ${foot} V${py}`} stroke="var(--accent)" strokeDasharray="4 4" />
            <circle cx={px} cy={py} r={6} fill="var(--accent)" />
            <text x={px + 4} y={Math.max(top + 14, py - 14)} className="num" fontSize={18} fill="var(--ink)">
              {measureText("torque", air.torqueLbfFt, unit)}
            </text>
          </>
        );
      }}
    </Chart>
  );
}
