import { scaleLinear } from "d3-scale";
import type { Schemas } from "../../api/client";
import { Axes } from "../../ui/Axes";
import { nth } from "../../ui/nth";
import { useWidth } from "../../ui/useWidth";

const PAD = { l: 44, r: 20, t: 18, b: 26 };

/** Torque of air on the crank against degrees off TDC, with the chosen point and where it holds. */
export function AirDrawing({ air, height = 210 }: { air: Schemas["AirView"]; height?: number }) {
  const [box, width] = useWidth<HTMLDivElement>(520);
  const chosen = nth(air.curves, 0);
  const others = air.curves.slice(1);
  const last = chosen.points.at(-1);
  const most = Math.max(...air.curves.map((c) => c.points.at(-1)?.torqueLbfFt ?? 0));
  const x = scaleLinear([0, last?.offDeg ?? 40], [PAD.l, width - PAD.r]);
  const y = scaleLinear([0, most * 1.05], [height - PAD.b, PAD.t]);
  const holds = Math.min(air.holdsWithinDeg, last?.offDeg ?? 40);
  const path = (points: Schemas["OffTdc"][]) =>
    `M${points.map((p) => `${x(p.offDeg)} ${y(p.torqueLbfFt)}`).join("L")}`;
  const px = x(air.offDeg);
  const py = y(air.torqueLbfFt);
  return (
    <div ref={box} className="w-full min-w-0">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`At ${air.psi} psi and ${air.offDeg} degrees off TDC air turns the crank with ${air.torqueLbfFt.toFixed(0)} lbf·ft`}
      >
        <rect
          x={x(0)}
          y={PAD.t}
          width={Math.max(0, x(holds) - x(0))}
          height={height - PAD.b - PAD.t}
          fill="var(--ok)"
          opacity={0.14}
        />
        <Axes
          x={x}
          y={y}
          pad={PAD}
          width={width}
          height={height}
          xText={(t) => `${t}°`}
          yText={(t) => String(t)}
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
              {c.psi} psi
            </text>
          </g>
        ))}
        <path d={path(chosen.points)} fill="none" stroke="var(--line)" strokeWidth={2.5} />
        <path d={`M${px} ${height - PAD.b} V${py}`} stroke="var(--accent)" strokeDasharray="4 4" />
        <circle cx={px} cy={py} r={6} fill="var(--accent)" />
        <text x={px + 4} y={Math.max(PAD.t + 14, py - 14)} className="num" fontSize={18} fill="var(--ink)">
          {air.torqueLbfFt.toFixed(0)} lbf·ft
        </text>
      </svg>
    </div>
  );
}
