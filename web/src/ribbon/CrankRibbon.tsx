import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { Schemas, Valve } from "../api/client";
import { CYCLE, pieces, slackAt, wrap } from "./arcs";

type Window = Schemas["Window"];

interface CrankRibbonProps {
  windows: Window[];
  tdc: Schemas["CylinderTdc"][];
  crankDeg: number;
  onCrank: (deg: number) => void;
  stops?: { number: number; crankDeg: number; valves: Valve[] }[];
  selected?: Valve;
  /** The same valves as somebody says they should stand, behind in ghost lines. */
  ghosts?: Window[];
  /** Readings of a wheel, each at its valve's lane. */
  readings?: { valve: Valve; crankDeg: number }[];
}

const LEFT = 44;
const RIGHT = 66;
const WIDTH = 900;
const TOP = 46;

/** The 720 degrees of a cycle, one lane a valve: where it is free, where its lobe stands, the crank now. */
export function CrankRibbon(props: CrankRibbonProps) {
  const { windows, tdc, crankDeg, onCrank, stops = [], selected, ghosts = [], readings = [] } = props;
  const ribbon = useRef<HTMLDivElement>(null);
  const lane = windows.length > 24 ? 16 : windows.length > 12 ? 25 : 32;
  const height = TOP + windows.length * lane + 26;
  const x = (deg: number) => LEFT + (deg / CYCLE) * (WIDTH - LEFT - RIGHT);

  const toDeg = (e: PointerEvent) => {
    const box = ribbon.current?.getBoundingClientRect();
    if (!box) return crankDeg;
    const px = ((e.clientX - box.left) / box.width) * WIDTH;
    return Math.round(wrap(((px - LEFT) / (WIDTH - LEFT - RIGHT)) * CYCLE));
  };
  const drag = (e: PointerEvent) => {
    if (e.buttons !== 1) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    onCrank(toDeg(e));
  };
  const key = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 10 : 1;
    const by = e.key === "ArrowRight" ? step : e.key === "ArrowLeft" ? -step : 0;
    if (by !== 0) {
      e.preventDefault();
      onCrank(wrap(Math.round(crankDeg) + by));
    }
  };

  return (
    <div
      ref={ribbon}
      className="w-full touch-none select-none"
      role="slider"
      tabIndex={0}
      aria-label="Crank position"
      aria-valuemin={0}
      aria-valuemax={CYCLE}
      aria-valuenow={Math.round(crankDeg)}
      aria-valuetext={`${Math.round(crankDeg)} degrees`}
      onPointerDown={drag}
      onPointerMove={drag}
      onKeyDown={key}
    >
      <svg viewBox={`0 0 ${WIDTH} ${height}`} className="block w-full" aria-hidden="true">
        <Scale tdc={tdc} x={x} height={height} />
        {windows.map((w, i) => (
          <Lane
            key={w.position}
            window={w}
            y={TOP + i * lane}
            h={lane}
            x={x}
            crankDeg={crankDeg}
            selected={w.position === selected}
            stopsHere={stops.filter((s) => s.valves.includes(w.position))}
            ghost={ghosts.find((g) => g.position === w.position)}
            readings={readings.filter((r) => r.valve === w.position)}
          />
        ))}
        {stops.map((s) => (
          <g key={s.number} transform={`translate(${x(wrap(s.crankDeg))} 0)`}>
            <line y1={TOP - 4} y2={height - 22} stroke="var(--line)" strokeWidth={1} strokeDasharray="2 3" />
            {stops.length <= 16 && (
              <text y={TOP - 8} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--line)">
                {s.number}
              </text>
            )}
          </g>
        ))}
        <g transform={`translate(${x(wrap(crankDeg))} 0)`}>
          <line y1={4} y2={height - 4} stroke="var(--accent)" strokeWidth={2.5} />
          <path d="M-9 2 H9 L0 15 Z" fill="var(--accent)" />
          <text
            x={crankDeg > 620 ? -12 : 12}
            y={14}
            textAnchor={crankDeg > 620 ? "end" : "start"}
            className="num"
            fontSize={20}
            fill="var(--accent)"
          >
            {Math.round(crankDeg)}°
          </text>
        </g>
      </svg>
    </div>
  );
}

function Scale({
  tdc,
  x,
  height,
}: {
  tdc: Schemas["CylinderTdc"][];
  x: (d: number) => number;
  height: number;
}) {
  return (
    <g>
      {[0, 90, 180, 270, 360, 450, 540, 630, 720].map((d) => (
        <g key={d} transform={`translate(${x(d)} 0)`}>
          <line y1={TOP} y2={height - 22} stroke="var(--hair)" strokeWidth={d % 360 === 0 ? 1.6 : 0.8} />
          <text y={height - 7} textAnchor="middle" className="num" fontSize={14} fill="var(--muted)">
            {d}
          </text>
        </g>
      ))}
      {tdc.map((t) => (
        <text
          key={t.cylinder}
          x={x(t.crankDeg)}
          y={TOP - 22}
          textAnchor="middle"
          fontSize={12}
          fill="var(--muted)"
        >
          <title>{`Compression TDC of cylinder ${t.cylinder}`}</title>
          TDC {t.cylinder}
        </text>
      ))}
    </g>
  );
}

interface LaneProps {
  window: Window;
  y: number;
  h: number;
  x: (deg: number) => number;
  crankDeg: number;
  selected: boolean;
  stopsHere: { number: number; crankDeg: number }[];
  ghost?: Window;
  readings: { crankDeg: number }[];
}

function Lane({ window: w, y, h, x, crankDeg, selected, stopsHere, ghost, readings }: LaneProps) {
  const slack = slackAt(crankDeg, w);
  const free = slack >= 0;
  const mid = y + h / 2;
  return (
    <g>
      <text
        x={LEFT - 8}
        y={mid}
        textAnchor="end"
        dominantBaseline="central"
        fontSize={Math.min(15, h - 3)}
        fontWeight={700}
        fill={selected ? "var(--accent)" : free ? "var(--ink)" : "var(--muted)"}
      >
        {w.position}
      </text>
      <line x1={x(0)} x2={x(CYCLE)} y1={y + h - 4} y2={y + h - 4} stroke="var(--hair)" strokeWidth={0.8} />
      {pieces(w.freeFromDeg, w.freeToDeg).map(([a, b]) => (
        <rect
          key={a}
          x={x(a)}
          width={x(b) - x(a)}
          y={y + 4}
          height={h - 8}
          fill={free ? "var(--ok)" : "var(--line)"}
          opacity={free ? 0.34 : 0.14}
        />
      ))}
      {[-CYCLE, 0, CYCLE].map((turn) => (
        <g key={turn}>
          {ghost && <Lobe w={ghost} turn={turn} y={y} h={h} x={x} ghost />}
          <Lobe w={w} turn={turn} y={y} h={h} x={x} />
        </g>
      ))}
      {readings.map((r, i) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: two readings may stand at one angle
          key={i}
          x1={x(wrap(r.crankDeg))}
          x2={x(wrap(r.crankDeg))}
          y1={y + 2}
          y2={y + h - 2}
          stroke="var(--accent)"
          strokeWidth={2}
        />
      ))}
      {stopsHere.map((s) => (
        <circle
          key={s.number}
          cx={x(wrap(s.crankDeg))}
          cy={mid}
          r={Math.min(5.5, h / 4)}
          fill="var(--line)"
        />
      ))}
      <text
        x={x(CYCLE) + 8}
        y={mid}
        dominantBaseline="central"
        className="num"
        fontSize={Math.min(17, h - 1)}
        fill={free ? "var(--ok)" : "var(--muted)"}
      >
        {free
          ? `✓ ${Math.round(slack)}°`
          : Math.abs(wrapSigned(crankDeg - w.centreDeg)) < openHalf(w)
            ? "open"
            : "ramp"}
      </text>
    </g>
  );
}

const openHalf = (w: Window) => wrap(w.closesDeg - w.opensDeg) / 2;
const wrapSigned = (d: number) => {
  const v = wrap(d);
  return v > CYCLE / 2 ? v - CYCLE : v;
};

/** A lobe as a scribed hump over its open period, clipped to the ribbon. */
function Lobe({
  w,
  turn,
  y,
  h,
  x,
  ghost = false,
}: {
  w: Window;
  turn: number;
  y: number;
  h: number;
  x: (d: number) => number;
  ghost?: boolean;
}) {
  const half = openHalf(w);
  const a = w.centreDeg - half + turn;
  const b = w.centreDeg + half + turn;
  if (b <= 0 || a >= CYCLE) return null;
  const base = y + h - 4;
  const points: string[] = [];
  for (let i = 0; i <= 24; i++) {
    const d = a + ((b - a) * i) / 24;
    if (d < 0 || d > CYCLE) continue;
    const rise = Math.sin((Math.PI * i) / 24) ** 2;
    points.push(`${x(d).toFixed(1)} ${(base - rise * (h - 9)).toFixed(1)}`);
  }
  return (
    <polyline
      points={points.join(" ")}
      fill="none"
      stroke={ghost ? "var(--muted)" : "var(--line)"}
      strokeWidth={ghost ? 1.2 : 1.5}
      strokeDasharray={ghost ? "5 4" : undefined}
    />
  );
}
