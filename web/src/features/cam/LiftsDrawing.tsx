import type { Schemas } from "../../api/client";
import { bandOf, Chart, Moment, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { fromInch } from "../../units/lash";
import { Part } from "./CamFrame";

type Column = Schemas["CamColumn"];
type At = Schemas["LiftsAt"];

interface DrawingProps {
  own: Column;
  other?: Column;
  names: [string, string];
}

/** Lift of both valves over the crank, the overlap shaded, the piston coming up beneath. */
export function LiftsDrawing({ own, other, names }: DrawingProps) {
  const { unit } = useSettings();
  const mm = unit === "mm" ? "mm" : "in";
  const v = (inch: number) => fromInch(inch, mm);
  const all = [...own.lifts, ...(other?.lifts ?? [])];
  const top = Math.max(...all.map((a) => Math.max(a.intakeHighIn, a.exhaustHighIn)));
  const near = own.lifts.filter((a) => a.pistonIn !== undefined && a.pistonIn <= top);
  return (
    <Part title="Lift over the crank">
      <Chart
        label="Lift of exhaust and intake over crank degrees, overlap shaded, piston below top dead centre drawn"
        height={380}
        pad={{ l: 46, r: 12, t: 24, b: 26 }}
        x={[-300, 300]}
        y={[0, v(top) * 1.08]}
        axes={{ xText: (d) => `${d}°`.replace("-", "−"), yText: (l) => l.toFixed(unit === "mm" ? 0 : 1) }}
      >
        {(f) => {
          const x = (a: At) => f.x(a.deg);
          const line = (lifts: At[], of: (a: At) => number) => pathOf(lifts, x, (a) => f.y(v(of(a))));
          const band = (lifts: At[], low: (a: At) => number, high: (a: At) => number) =>
            bandOf(
              lifts,
              x,
              (a) => f.y(v(low(a))),
              (a) => f.y(v(high(a))),
            );
          return (
            <>
              <path
                d={`${line(own.lifts, (a) => Math.min(a.intakeIn, a.exhaustIn))}L${f.x(300)} ${f.y(0)}L${f.x(-300)} ${f.y(0)}Z`}
                fill="var(--accent)"
                opacity={0.35}
              />
              <path
                d={band(
                  own.lifts,
                  (a) => a.intakeLowIn,
                  (a) => a.intakeHighIn,
                )}
                fill="var(--line)"
                opacity={0.16}
              />
              <path
                d={band(
                  own.lifts,
                  (a) => a.exhaustLowIn,
                  (a) => a.exhaustHighIn,
                )}
                fill="var(--line)"
                opacity={0.16}
              />
              <path
                d={line(own.lifts, (a) => a.exhaustIn)}
                fill="none"
                stroke="var(--line)"
                strokeWidth={2}
              />
              <path d={line(own.lifts, (a) => a.intakeIn)} fill="none" stroke="var(--line)" strokeWidth={2} />
              {other && (
                <>
                  <path
                    d={line(other.lifts, (a) => a.exhaustIn)}
                    fill="none"
                    stroke="var(--ok)"
                    strokeWidth={2}
                    strokeDasharray="7 4"
                  />
                  <path
                    d={line(other.lifts, (a) => a.intakeIn)}
                    fill="none"
                    stroke="var(--ok)"
                    strokeWidth={2}
                    strokeDasharray="7 4"
                  />
                </>
              )}
              <path
                d={line(near, (a) => a.pistonIn ?? 0)}
                fill="none"
                stroke="var(--muted)"
                strokeWidth={2}
                strokeDasharray="2 4"
              />
              <Moment field={f} at={0} colour="var(--muted)" words="TDC" />
              <text x={f.x(-115)} y={f.y(0) - 8} textAnchor="middle" fontSize={14} fill="var(--ink)">
                exhaust
              </text>
              <text x={f.x(115)} y={f.y(0) - 8} textAnchor="middle" fontSize={14} fill="var(--ink)">
                intake
              </text>
            </>
          );
        }}
      </Chart>
      <p className="text-sm text-muted">
        full line: {names[0]}
        {other && `; broken line: ${names[1]}`}; dotted: piston below TDC; filled at the foot: overlap
        {!own.measured && "; pale band: what the card leaves open"}
      </p>
    </Part>
  );
}
