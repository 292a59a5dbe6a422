import type { Schemas } from "../../api/client";
import { Chart, type Field, Level, pathOf } from "../../charts/Chart";

interface SumChartProps {
  drift: Schemas["ValveDriftView"];
  watchAt: number;
  findingAt: number;
}

const PAD = { l: 46, r: 14, t: 6, b: 6 };
const HEIGHT = 84;

/** What speaks for a change after each round: any, and a drift open or closed, with its two lines. */
export function SumChart({ drift, watchAt, findingAt }: SumChartProps) {
  const hours = drift.points.map((p) => p.engineHours);
  const top = Math.max(findingAt * 1.25, ...drift.points.map((p) => p.all));
  const line = (of: (p: Schemas["Compared"]) => number, { x, y }: Field) =>
    pathOf(
      drift.points,
      (p) => x(p.engineHours),
      (p) => y(of(p)),
    );
  return (
    <>
      <Chart
        label={`What speaks for a change: ${drift.sum.toFixed(1)}; watched from ${watchAt}, a finding from ${findingAt}`}
        height={HEIGHT}
        pad={PAD}
        x={[0, Math.max(1, ...hours)]}
        y={[0, top]}
      >
        {(field) => (
          <>
            {/* One above its line, one below: the lines lie close together. */}
            <Level field={field} at={watchAt} colour="var(--wide)" words="watch" under />
            <Level field={field} at={findingAt} colour="var(--tight)" words="finding" />
            <Level field={field} at={0} colour="var(--hair)" dashes="" strokeWidth={1} />
            <path d={line((p) => p.down, field)} fill="none" stroke="var(--muted)" strokeWidth={1.4} />
            <path
              d={line((p) => p.up, field)}
              fill="none"
              stroke="var(--muted)"
              strokeWidth={1.4}
              strokeDasharray="5 4"
            />
            <path d={line((p) => p.all, field)} fill="none" stroke="var(--ink)" strokeWidth={2.4} />
          </>
        )}
      </Chart>
      <p className="text-sm text-muted">
        What speaks for a change: any (strong), opening (dashed), closing (faint); a finding where it is more
        likely than not
      </p>
    </>
  );
}
