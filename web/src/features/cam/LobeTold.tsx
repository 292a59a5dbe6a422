import { useState } from "react";
import type { Schemas } from "../../api/client";
import { bandOf, Chart, Level, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { Choice } from "../../ui/Choice";
import { fromInch } from "../../units/lash";
import { heightText, heightUnit, sizeText } from "../../units/load";
import { Part } from "./CamFrame";
import { degText } from "./camWords";

type Lobe = Schemas["LobeView"];

const SHOWN = [
  ["liftIn", "lift"],
  ["velocity", "velocity"],
  ["acceleration", "acceleration"],
] as const;

/** What one table says: drawn, and its durations. */
export function LobeTold({ lobe, all }: { lobe: Lobe; all: Lobe[] }) {
  const { unit } = useSettings();
  const [what, setWhat] = useState<(typeof SHOWN)[number][0]>("liftIn");
  const f = lobe.figures;
  const other = all.find((l) => l.valve === lobe.valve && l.design !== lobe.design);
  const value = (m: Schemas["MotionView"]) => fromInch(m[what], unit === "mm" ? "mm" : "in");
  const points = f.motions;
  const low = Math.min(0, ...points.map(value));
  const high = Math.max(...points.map(value));
  const digits = what === "liftIn" ? (unit === "mm" ? 1 : 2) : what === "velocity" ? 4 : 5;
  return (
    <Part
      title={`${lobe.valve}: ${lobe.name}`}
      aside={<Choice label="Shown" value={what} onChange={setWhat} options={SHOWN} />}
    >
      <Chart
        label={`${what === "liftIn" ? "Lift" : what} of the lobe of ${lobe.valve} over crank degrees from its centre`}
        height={230}
        pad={{ l: 70, r: 12, t: 12, b: 26 }}
        x={[points[0]?.deg ?? -200, points.at(-1)?.deg ?? 200]}
        y={[low * 1.1, high * 1.1]}
        axes={{ xText: (d) => `${d}°`.replace("-", "−"), yText: (v) => v.toFixed(digits).replace("-", "−") }}
      >
        {(field) => (
          <>
            <Level field={field} at={0} colour="var(--hair)" dashes="" strokeWidth={1} />
            {other && (
              <path
                d={pathOf(
                  other.figures.motions,
                  (m) => field.x(m.deg),
                  (m) => field.y(value(m)),
                )}
                fill="none"
                stroke="var(--muted)"
                strokeDasharray="5 4"
              />
            )}
            {what === "acceleration" && (
              <path
                d={bandOf(
                  points,
                  (m) => field.x(m.deg),
                  (m) => field.y(value(m) - fromInch(m.accelerationBand, unit === "mm" ? "mm" : "in")),
                  (m) => field.y(value(m) + fromInch(m.accelerationBand, unit === "mm" ? "mm" : "in")),
                )}
                fill="var(--line)"
                opacity={0.25}
              />
            )}
            <path
              d={pathOf(
                points,
                (m) => field.x(m.deg),
                (m) => field.y(value(m)),
              )}
              fill="none"
              stroke="var(--line)"
              strokeWidth={2}
            />
          </>
        )}
      </Chart>
      <p>
        lobe lift <b className="num">{heightText(f.liftIn, unit)}</b> {heightUnit(unit)}, base circle run-out{" "}
        <b className="num">{sizeText(f.runOutIn, unit)}</b>, middle at a tenth of the lift{" "}
        <b className="num">{degText(f.lopsidedDeg)}</b> off the nose's, readings scatter{" "}
        <b className="num">±{sizeText(f.noiseIn, unit)}</b>
        {lobe.lsaDeg !== undefined && `; LSA to the cylinder's other lobe ${degText(lobe.lsaDeg)}`}
        {f.countedDown && "; the dial counted down and was turned round"}
      </p>
      <table className="w-full">
        <thead>
          <tr className="text-left text-sm text-muted">
            <th>tappet lift</th>
            <th>duration</th>
            <th>opens before centre</th>
            <th>closes after</th>
          </tr>
        </thead>
        <tbody className="num text-lg">
          {f.durations.map((d) => (
            <tr key={d.liftIn} className="border-t border-hair">
              <td>{heightText(d.liftIn, unit)}</td>
              <td className="font-bold">{degText(d.durationDeg)}</td>
              <td>{degText(-d.opensDeg)}</td>
              <td>{degText(d.closesDeg)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}
