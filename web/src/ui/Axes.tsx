import type { ScaleLinear } from "d3-scale";

export type Scale = ScaleLinear<number, number>;

interface AxesProps {
  x: Scale;
  y: Scale;
  pad: { l: number; r: number; t: number; b: number };
  width: number;
  height: number;
  /** A figure of the upright axis, in the person's unit. */
  yText: (value: number) => string;
  /** A figure along the foot; hours when not told otherwise. */
  xText?: (value: number) => string;
}

/** Hours, or another measure, along the foot, figures at the left, a hairline at each. */
export function Axes({ x, y, pad, width, height, yText, xText = (t) => `${t} h` }: AxesProps) {
  return (
    <g className="num" fontSize={15} fill="var(--muted)">
      {y.ticks(5).map((t) => (
        <g key={t}>
          <line x1={pad.l} x2={width - pad.r} y1={y(t)} y2={y(t)} stroke="var(--hair)" strokeWidth={0.6} />
          <text x={pad.l - 6} y={y(t)} textAnchor="end" dominantBaseline="central">
            {yText(t)}
          </text>
        </g>
      ))}
      {x.ticks(8).map((t) => (
        <text key={t} x={x(t)} y={height - 6} textAnchor="middle">
          {xText(t)}
        </text>
      ))}
    </g>
  );
}
