import { scaleLinear } from "d3-scale";
import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Axes, type Scale } from "../../ui/Axes";
import { useWidth } from "../../ui/useWidth";
import { loadText, loadUnit } from "../../units/load";

type Life = Schemas["SpringLife"];

const PAD = { l: 46, r: 14, t: 22, b: 26 };

function area(band: Schemas["LoadBand"][], x: Scale, y: Scale): string {
  const top = band.map((b) => `${x(b.hours)} ${y(b.highLbf)}`);
  const bottom = [...band].reverse().map((b) => `${x(b.hours)} ${y(b.lowLbf)}`);
  return band.length === 0 ? "" : `M${[...top, ...bottom].join("L")}Z`;
}

const line = (band: Schemas["LoadBand"][], x: Scale, y: Scale) =>
  band.length === 0 ? "" : `M${band.map((b) => `${x(b.hours)} ${y(b.midLbf)}`).join("L")}`;

interface LifeChartProps {
  life: Life;
  height: number;
}

/**
 * One spring over its hours: readings with their bars, raw and corrected, its set as a band, the fan
 * of where it goes, and the limit it must not meet.
 */
export function LifeChart({ life, height }: LifeChartProps) {
  const { unit } = useSettings();
  const [box, width] = useWidth<HTMLDivElement>(640);
  const end = life.coming.at(-1)?.endHours ?? life.hoursNow;
  const loads = [
    ...life.points.flatMap((p) => [p.lowLbf, p.highLbf, ...p.rawLbf]),
    ...life.fan.flatMap((b) => [b.lowLbf, b.highLbf]),
    life.limitLbf,
    life.baselineLbf,
  ];
  const x = scaleLinear([0, Math.max(end, 1)], [PAD.l, width - PAD.r]);
  const y = scaleLinear([Math.min(...loads) - 3, Math.max(...loads) + 2], [height - PAD.b, PAD.t]);
  return (
    <div ref={box} className="w-full min-w-0">
      <svg width={width} height={height} role="img" aria-label={described(life, unit)} className="block">
        <Axes x={x} y={y} pad={PAD} width={width} height={height} yText={(t) => loadText(t, unit, 0)} />
        <path d={area(life.set, x, y)} fill="var(--ok)" opacity={0.18} />
        <path d={line(life.set, x, y)} fill="none" stroke="var(--ok)" strokeDasharray="6 4" />
        <path d={area(life.fan, x, y)} fill="var(--accent)" opacity={0.25} />
        <path d={line(life.fan, x, y)} fill="none" stroke="var(--accent)" strokeWidth={2} />
        <line
          x1={PAD.l}
          x2={width - PAD.r}
          y1={y(life.limitLbf)}
          y2={y(life.limitLbf)}
          stroke="var(--tight)"
          strokeWidth={2}
          strokeDasharray="9 4"
        />
        <text x={PAD.l + 4} y={y(life.limitLbf) - 5} fontSize={13} fontWeight={700} fill="var(--tight)">
          limit {loadText(life.limitLbf, unit, 0)}
        </text>
        {life.coming.map((c, i) => (
          <g key={c.name + c.endHours}>
            <line
              x1={x(c.endHours)}
              x2={x(c.endHours)}
              y1={PAD.t}
              y2={height - PAD.b}
              stroke="var(--line)"
              strokeDasharray="3 4"
            />
            {/* The next event decides; the names of later ones would run into it. */}
            {i === 0 && (
              <text x={x(c.endHours) - 4} y={14} textAnchor="end" fontSize={13} fill="var(--muted)">
                {c.name}
              </text>
            )}
          </g>
        ))}
        <line
          x1={x(life.hoursNow)}
          x2={x(life.hoursNow)}
          y1={PAD.t}
          y2={height - PAD.b}
          stroke="var(--accent)"
        />
        {life.points.map((p) => (
          <Reading key={p.testId} p={p} x={x} y={y} />
        ))}
      </svg>
      <ul className="flex flex-wrap gap-x-4 text-sm text-muted">
        <li>● corrected, with its 95 % bar</li>
        <li>– as the tester showed it</li>
        <li className="text-ok">▒ a spring of its set</li>
        <li className="text-accent">▒ where it goes, 80 %</li>
      </ul>
    </div>
  );
}

function Reading({ p, x, y }: { p: Schemas["LifePoint"]; x: Scale; y: Scale }) {
  const at = x(p.hours);
  const color = p.used ? "var(--ink)" : "var(--muted)";
  return (
    <g>
      {p.rawLbf.map((raw, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: repeats have no other name than their order
        <path key={i} d={`M${at - 7} ${y(raw)}h5`} stroke="var(--muted)" strokeWidth={2} />
      ))}
      <path d={`M${at} ${y(p.lowLbf)}V${y(p.highLbf)}`} stroke={color} strokeWidth={1.5} />
      <circle
        cx={at}
        cy={y(p.correctedLbf)}
        r={4.5}
        fill={p.checked && p.used ? color : "var(--plate)"}
        stroke={color}
        strokeWidth={1.6}
      />
    </g>
  );
}

function described(life: Life, unit: "thou" | "mm"): string {
  const last = life.points.at(-1);
  const read = last
    ? `${life.points.length} tests, last ${loadText(last.correctedLbf, unit)} ${loadUnit(unit)} corrected`
    : "no tests";
  return `${life.mark}: load over its hours, ${read}, limit ${loadText(life.limitLbf, unit)}`;
}
