import type { Schemas } from "../../api/client";
import { bandOf, Chart, Level, Moment, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import { fromInch } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { Part } from "./CamFrame";
import { degText, gapText, MARGINS } from "./camWords";

interface GapPanelProps {
  view: Schemas["ClearanceView"];
  valve: Schemas["ValveGap"];
}

/** One valve's gap through overlap: its least, where, and what proves it. */
export function GapPanel({ view, valve }: GapPanelProps) {
  const { unit } = useSettings();
  const bad = valve.margin === "TIGHT" || valve.margin === "TOUCHES";
  return (
    <Part title={`Valve ${valve.valve}`}>
      <div className="flex flex-wrap items-baseline gap-x-6">
        <p className={`num text-5xl font-bold ${bad ? "text-tight" : ""}`} data-least-gap>
          {heightText(valve.leastIn, unit).replace("-", "−")}
        </p>
        <p className="text-xl">
          {heightUnit(unit)} at {degText(valve.leastDeg)} {valve.leastDeg < 0 ? "before" : "after"} TDC:{" "}
          <b>{MARGINS[valve.margin]}</b>, {heightText(valve.wantedIn, unit)} wanted
        </p>
      </div>
      <p className="text-muted">
        {valve.leastHighIn - valve.leastLowIn > 0.0005 &&
          `${heightText(valve.leastLowIn, unit)} to ${heightText(valve.leastHighIn, unit)}, as the card alone leaves the flank open; `}
        read:{" "}
        {valve.readings
          .map((r) => `${r.touched ? "" : "over "}${heightText(r.figure, unit)} at ${degText(r.at)}`)
          .join(", ")}
        {valve.radialIn !== undefined && `; all round ${gapText(valve.radialIn, unit)} (0.050 in is usual)`}
      </p>
      {!valve.agree && (
        <Notice tone="ask">
          Its readings differ by {gapText(valve.apartIn, unit)} once moved to one angle; the least is taken.
          Measure again.
        </Notice>
      )}
      {!valve.touched && (
        <Notice tone="ask">
          The valve never met the piston: the gap is at least what was read, no more is proved.
        </Notice>
      )}
      {valve.curve.length > 0 && <Curve valve={valve} />}
      <p className="text-sm text-muted">
        {view.byCard ? "lift by the card's range; " : "lift by the measured lobe; "}
        {view.centreFrom
          ? "centres as the cam was last degreed"
          : "centres by the card: the cam was not degreed"}
        {valve.curve.some((a) => a.provesIn !== undefined) &&
          "; dotted: more than spring or dial can prove there"}
      </p>
    </Part>
  );
}

function Curve({ valve }: { valve: Schemas["ValveGap"] }) {
  const { unit } = useSettings();
  const v = (inch: number) => fromInch(inch, unit === "mm" ? "mm" : "in");
  const near = valve.curve.filter((a) => Math.abs(a.deg) <= 40);
  const low = Math.min(0, ...near.map((a) => v(a.lowIn)));
  const high = Math.min(v(0.5), Math.max(...near.map((a) => v(a.highIn))));
  const proved = near.filter((a) => a.provesIn !== undefined && a.provesIn < a.midIn);
  return (
    <Chart
      label={`Gap between valve ${valve.valve} and its piston over crank degrees`}
      height={230}
      pad={{ l: 52, r: 12, t: 22, b: 26 }}
      x={[-40, 40]}
      y={[low, high]}
      axes={{ xText: (d) => `${d}°`.replace("-", "−"), yText: (g) => g.toFixed(unit === "mm" ? 1 : 2) }}
    >
      {(f) => {
        const line = (of: (a: Schemas["GapAt"]) => number) =>
          pathOf(
            near,
            (a) => f.x(a.deg),
            (a) => f.y(Math.min(high, v(of(a)))),
          );
        return (
          <>
            <path
              d={bandOf(
                near,
                (a) => f.x(a.deg),
                (a) => f.y(Math.min(high, v(a.lowIn))),
                (a) => f.y(Math.min(high, v(a.highIn))),
              )}
              fill="var(--line)"
              opacity={0.22}
            />
            <path d={line((a) => a.midIn)} fill="none" stroke="var(--line)" strokeWidth={2.5} />
            {proved.map((a) => (
              <line
                key={a.deg}
                x1={f.x(a.deg)}
                x2={f.x(a.deg)}
                y1={f.y(Math.min(high, v(a.provesIn ?? 0)))}
                y2={f.y(Math.min(high, v(a.midIn)))}
                stroke="var(--muted)"
                strokeDasharray="2 3"
              />
            ))}
            <Level field={f} at={v(valve.wantedIn)} colour="var(--accent)" words="wanted" />
            <Level field={f} at={0} colour="var(--tight)" words="touches" />
            <Moment field={f} at={0} colour="var(--muted)" words="TDC" dashes="2 4" />
            <circle cx={f.x(valve.leastDeg)} cy={f.y(v(valve.leastIn))} r={5} fill="var(--accent)" />
          </>
        );
      }}
    </Chart>
  );
}
