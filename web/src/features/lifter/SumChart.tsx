import { scaleLinear } from "d3-scale";
import type { Schemas } from "../../api/client";
import { useWidth } from "../../ui/useWidth";

interface SumChartProps {
  drift: Schemas["ValveDriftView"];
  watchAt: number;
  findingAt: number;
}

const PAD = { l: 46, r: 14 };
const HEIGHT = 84;

/** Evidence added up round by round, towards opening and towards closing, with its two lines. */
export function SumChart({ drift, watchAt, findingAt }: SumChartProps) {
  const [box, width] = useWidth<HTMLDivElement>(640);
  const hours = drift.points.map((p) => p.engineHours);
  const top = Math.max(findingAt * 1.25, ...drift.points.flatMap((p) => [p.up, p.down]));
  const x = scaleLinear([0, Math.max(1, ...hours)], [PAD.l, width - PAD.r]);
  const y = scaleLinear([0, top], [HEIGHT - 6, 6]);
  const line = (of: (p: Schemas["Compared"]) => number) =>
    `M${drift.points.map((p) => `${x(p.engineHours)} ${y(of(p))}`).join("L")}`;
  return (
    <div ref={box} className="w-full min-w-0">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        className="block"
        aria-label={`Evidence added up: ${drift.sum.toFixed(1)}; watched from ${watchAt}, a finding from ${findingAt}`}
      >
        {(
          [
            [watchAt, "watch", "var(--wide)"],
            [findingAt, "finding", "var(--tight)"],
          ] as const
        ).map(([at, word, color]) => (
          <g key={word}>
            <line
              x1={PAD.l}
              x2={width - PAD.r}
              y1={y(at)}
              y2={y(at)}
              stroke={color}
              strokeDasharray="8 4"
              strokeWidth={1.5}
            />
            <text
              x={PAD.l + 4}
              // One above its line, one below: the lines lie close together.
              y={word === "watch" ? y(at) + 12 : y(at) - 3}
              fontSize={12}
              fill={color}
            >
              {word}
            </text>
          </g>
        ))}
        <line x1={PAD.l} x2={width - PAD.r} y1={y(0)} y2={y(0)} stroke="var(--hair)" />
        {drift.points.length > 0 && (
          <>
            <path d={line((p) => p.down)} fill="none" stroke="var(--muted)" strokeWidth={1.8} />
            <path d={line((p) => p.up)} fill="none" stroke="var(--ink)" strokeWidth={2.2} />
          </>
        )}
      </svg>
      <p className="text-sm text-muted">Evidence added up: opening (strong line), closing (faint line)</p>
    </div>
  );
}
