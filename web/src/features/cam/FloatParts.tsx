import type { Schemas } from "../../api/client";
import { bandOf, Chart, Level, Moment, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { loadText, loadUnit } from "../../units/load";
import { rpmText } from "../../units/rpm";
import { Part } from "./CamFrame";

type Side = Schemas["FloatSide"];

/** What the spring has over, by engine speed: new, today, after the next event. */
export function Curves({ side, topRpm }: { side: Side; topRpm: number }) {
  const { unit } = useSettings();
  const load = (lbf: number) => Number(loadText(lbf, unit, 2));
  const all = [...side.freshCurve, ...side.nextCurve];
  const last = side.freshCurve.at(-1)?.rpm ?? 9000;
  const first = side.freshCurve[0]?.rpm ?? 0;
  return (
    <Part title={`Margin over engine speed, ${loadUnit(unit)}`}>
      <Chart
        label="What the spring has over, by engine speed: new, today, after the next event"
        height={260}
        pad={{ l: 60, r: 12, t: 22, b: 26 }}
        x={[first, last]}
        y={[Math.min(...all.map((a) => load(a.midLbf))), Math.max(...all.map((a) => load(a.midLbf)))]}
        axes={{ xText: (r) => r.toLocaleString("en"), yText: (l) => l.toFixed(0).replace("-", "−") }}
      >
        {(f) => {
          const line = (c: Schemas["MarginAt"][]) =>
            pathOf(
              c,
              (a) => f.x(a.rpm),
              (a) => f.y(load(a.midLbf)),
            );
          return (
            <>
              <path
                d={bandOf(
                  side.nextCurve,
                  (a) => f.x(a.rpm),
                  (a) => f.y(load(a.lowLbf)),
                  (a) => f.y(load(a.highLbf)),
                )}
                fill="var(--accent)"
                opacity={0.18}
              />
              <path
                d={line(side.freshCurve)}
                fill="none"
                stroke="var(--ok)"
                strokeWidth={2}
                strokeDasharray="7 4"
              />
              <path d={line(side.todayCurve)} fill="none" stroke="var(--line)" strokeWidth={2} />
              <path d={line(side.nextCurve)} fill="none" stroke="var(--accent)" strokeWidth={2.5} />
              <Level field={f} at={0} colour="var(--tight)" words="floats" />
              <Moment field={f} at={topRpm} colour="var(--muted)" words="turned to" />
            </>
          );
        }}
      </Chart>
      <p className="text-sm text-muted">
        broken: new; full: today; strong, with its band: after the next event
      </p>
    </Part>
  );
}

/** Every kind of spring in the fitted one's place. */
export function Kinds({ side }: { side: Side }) {
  const { unit } = useSettings();
  const wires = side.kinds.some((k) => k.wires.length > 0);
  const kinds = [...side.kinds].sort((a, b) => b.floats.rpm - a.floats.rpm);
  return (
    <Part title="Other springs in its place, new">
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr className="text-left text-sm text-muted">
              <th>kind</th>
              <th>floats at, rpm</th>
              <th>on the lobe, standing / at speed, {loadUnit(unit)}</th>
              {wires && <th>wire</th>}
            </tr>
          </thead>
          <tbody>
            {kinds.map((k) => (
              <tr key={`${k.typeId} ${k.outerAlone}`} className="border-t border-hair">
                <td className={k.fitted ? "font-bold" : ""}>
                  {k.name}
                  {k.outerAlone && ", outer alone"}
                  {k.fitted && !k.outerAlone && " (fitted)"}
                </td>
                <td className="num text-xl">{rpmText(k.floats.rpm)}</td>
                <td className="num">
                  {loadText(k.floats.standingLbf, unit, 0)} / {loadText(k.floats.atSpeedLbf, unit, 0)}
                </td>
                {wires && (
                  <td className="text-sm text-muted">
                    {k.wires
                      .map(
                        (w) =>
                          `${w.factor === undefined ? "" : `life ${w.factor.toFixed(2)}, `}surge ${w.surgeRatio?.toFixed(0) ?? "–"}×`,
                      )
                      .join("; ")}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {wires && (
        <p className="text-sm text-muted">
          Life is Goodman's factor between shut and open: below 1 the wire will tire. Surge is its frequency
          over the cam's; machines ask 15 to 20, racing springs sit lower, so only compare.
        </p>
      )}
    </Part>
  );
}
