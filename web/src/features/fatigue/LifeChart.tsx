import type { Schemas } from "../../api/client";
import { bandOf, Chart, type Field, Level, Moment, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { loadText, loadUnit } from "../../units/load";

type Life = Schemas["SpringLife"];

const PAD = { l: 46, r: 14, t: 22, b: 26 };

const area = (band: Schemas["LoadBand"][], { x, y }: Field) =>
  bandOf(
    band,
    (b) => x(b.hours),
    (b) => y(b.lowLbf),
    (b) => y(b.highLbf),
  );

const line = (band: Schemas["LoadBand"][], { x, y }: Field) =>
  pathOf(
    band,
    (b) => x(b.hours),
    (b) => y(b.midLbf),
  );

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
  const end = life.coming.at(-1)?.endHours ?? life.hoursNow;
  const loads = [
    ...life.points.flatMap((p) => [p.lowLbf, p.highLbf, ...p.rawLbf]),
    ...life.fan.flatMap((b) => [b.lowLbf, b.highLbf]),
    life.limitLbf,
    life.baselineLbf,
  ];
  return (
    <>
      <Chart
        label={described(life, unit)}
        height={height}
        pad={PAD}
        x={[0, Math.max(end, 1)]}
        y={[Math.min(...loads) - 3, Math.max(...loads) + 2]}
        axes={{ yText: (t) => loadText(t, unit, 0) }}
      >
        {(field) => (
          <>
            <path d={area(life.set, field)} fill="var(--ok)" opacity={0.18} />
            <path d={line(life.set, field)} fill="none" stroke="var(--ok)" strokeDasharray="6 4" />
            <path d={area(life.fan, field)} fill="var(--accent)" opacity={0.25} />
            <path d={line(life.fan, field)} fill="none" stroke="var(--accent)" strokeWidth={2} />
            <Level
              field={field}
              at={life.limitLbf}
              colour="var(--tight)"
              words={`limit ${loadText(life.limitLbf, unit, 0)}`}
            />
            {life.coming.map((c, i) => (
              <Moment
                key={c.name + c.endHours}
                field={field}
                at={c.endHours}
                colour="var(--line)"
                dashes="3 4"
                // The next event decides; the names of later ones would run into it.
                words={i === 0 ? c.name : undefined}
              />
            ))}
            <Moment field={field} at={life.hoursNow} colour="var(--accent)" />
            {life.points.map((p) => (
              <Reading key={p.testId} p={p} field={field} />
            ))}
          </>
        )}
      </Chart>
      <ul className="flex flex-wrap gap-x-4 text-sm text-muted">
        <li>● corrected, with its 95 % bar</li>
        <li>– as the tester showed it</li>
        <li className="text-ok">▒ a spring of its set</li>
        <li className="text-accent">▒ where it goes, 80 %</li>
      </ul>
    </>
  );
}

function Reading({ p, field: { x, y } }: { p: Schemas["LifePoint"]; field: Field }) {
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
