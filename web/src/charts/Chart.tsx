import { type ScaleLinear, scaleLinear } from "d3-scale";
import type { ReactNode } from "react";
import { useWidth } from "../ui/useWidth";

type Scale = ScaleLinear<number, number>;
interface Pad {
  l: number;
  r: number;
  t: number;
  b: number;
}

/** Where a chart draws: its scales in pixels and the edges of its field. */
export interface Field {
  x: Scale;
  y: Scale;
  left: number;
  right: number;
  top: number;
  foot: number;
}

interface ChartProps {
  /** What it shows, in words, for whoever does not see it. */
  label: string;
  height: number;
  pad: Pad;
  /** Least and most, left to right. */
  x: readonly [number, number];
  /** Least and most, from the foot upwards; downwards where they are given the other way round. */
  y: readonly [number, number];
  /** Figures at the axes; hours along the foot when not told otherwise. */
  axes?: { xText?: (value: number) => string; yText: (value: number) => string };
  /** Width until the place is measured, pixels. */
  first?: number;
  children: (field: Field) => ReactNode;
}

/** The frame of a chart: as wide as its place, whatever was drawn in it before. */
export function Chart({ label, height, pad, x: ofX, y: ofY, axes, first = 640, children }: ChartProps) {
  const [box, width] = useWidth<HTMLDivElement>(first);
  const field: Field = {
    x: scaleLinear(ofX, [pad.l, width - pad.r]),
    y: scaleLinear(ofY, [height - pad.b, pad.t]),
    left: pad.l,
    right: width - pad.r,
    top: pad.t,
    foot: height - pad.b,
  };
  return (
    <div ref={box} className="w-full min-w-0 [contain:inline-size]">
      <svg width={width} height={height} role="img" aria-label={label} className="block">
        {axes && <Axes field={field} height={height} xText={axes.xText ?? inHours} yText={axes.yText} />}
        {children(field)}
      </svg>
    </div>
  );
}

const inHours = (t: number) => `${t} h`;

interface AxesProps {
  field: Field;
  height: number;
  xText: (value: number) => string;
  yText: (value: number) => string;
}

/** Figures along the foot and at the left, a hairline at each of these. */
function Axes({ field, height, xText, yText }: AxesProps) {
  const { x, y, left, right } = field;
  return (
    <g className="num" fontSize={15} fill="var(--muted)">
      {y.ticks(5).map((t) => (
        <g key={t}>
          <line x1={left} x2={right} y1={y(t)} y2={y(t)} stroke="var(--hair)" strokeWidth={0.6} />
          <text x={left - 6} y={y(t)} textAnchor="end" dominantBaseline="central">
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

interface LevelProps {
  field: Field;
  at: number;
  colour: string;
  /** Stands on the line, or under it. */
  words?: string;
  under?: boolean;
  dashes?: string;
  strokeWidth?: number;
}

/** A level across the field, such as a limit. */
export function Level({ field, at, colour, words, under, dashes = "9 4", strokeWidth = 2 }: LevelProps) {
  const y = field.y(at);
  return (
    <g>
      <line
        x1={field.left}
        x2={field.right}
        y1={y}
        y2={y}
        stroke={colour}
        strokeWidth={strokeWidth}
        strokeDasharray={dashes}
      />
      {words && (
        <text x={field.left + 4} y={under ? y + 13 : y - 5} fontSize={13} fontWeight={700} fill={colour}>
          {words}
        </text>
      )}
    </g>
  );
}

interface MomentProps {
  field: Field;
  at: number;
  colour: string;
  /** Stands left of the line, above the field. */
  words?: string;
  dashes?: string;
  strokeWidth?: number;
  strong?: boolean;
  /** What the browser tells of the line when it is pointed at. */
  children?: ReactNode;
}

/** A line from the foot to the top, such as the hours now. */
export function Moment({ field, at, colour, words, dashes, strokeWidth = 1, strong, children }: MomentProps) {
  const x = field.x(at);
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={field.top}
        y2={field.foot}
        stroke={colour}
        strokeWidth={strokeWidth}
        strokeDasharray={dashes}
      >
        {children}
      </line>
      {words && (
        <text
          x={x - 5}
          y={14}
          textAnchor="end"
          fontSize={13}
          fontWeight={strong ? 700 : undefined}
          fill={strong ? colour : "var(--muted)"}
        >
          {words}
        </text>
      )}
    </g>
  );
}

/** A line through points of the field. */
export function pathOf<T>(points: readonly T[], x: (p: T) => number, y: (p: T) => number): string {
  return points.length === 0 ? "" : `M${points.map((p) => `${x(p)} ${y(p)}`).join("L")}`;
}

/** The field between two lines through the same points, closed. */
export function bandOf<T>(
  points: readonly T[],
  x: (p: T) => number,
  low: (p: T) => number,
  high: (p: T) => number,
): string {
  const edge = [
    ...points.map((p) => [x(p), high(p)] as const),
    ...[...points].reverse().map((p) => [x(p), low(p)] as const),
  ];
  const around = pathOf(
    edge,
    ([across]) => across,
    ([, up]) => up,
  );
  return around && `${around}Z`;
}
