import { useRef } from "react";
import type { Schemas } from "../api/client";
import { addDays, day } from "../words/days";

/** So far is an event drawn for a day. */
const PX_A_DAY = 14;

interface MovableEventProps {
  span: Schemas["HoursSpan"];
  x: number;
  width: number;
  /** It is held so many days from where it stands. */
  days: number;
  onDays: (days: number) => void;
  onKeep: () => void;
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 };

/** A planned event that is put on another day: by hand along the rail, or by the arrow keys. */
export function MovableEvent({ span, x, width, days, onDays, onKeep }: MovableEventProps) {
  const held = useRef<number | null>(null);
  const name = day(addDays(span.on, days));
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`Day of ${span.event}`}
      aria-valuenow={days}
      aria-valuetext={name}
      style={{ cursor: "ew-resize", touchAction: "none" }}
      transform={`translate(${days * PX_A_DAY} 0)`}
      onKeyDown={(e) => {
        const step = STEPS[e.key];
        if (step !== undefined) onDays(days + step);
        else if (e.key === "Enter") onKeep();
        else if (e.key === "Escape") onDays(0);
        else return;
        e.preventDefault();
      }}
      onPointerDown={(e) => {
        held.current = e.clientX - days * PX_A_DAY;
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e) => {
        if (held.current !== null) onDays(Math.round((e.clientX - held.current) / PX_A_DAY));
      }}
      onPointerUp={() => {
        held.current = null;
      }}
    >
      <rect x={x} y={6} width={Math.max(24, width - 16)} height={44} fill="transparent" />
      <rect
        x={x}
        y={40}
        width={Math.max(8, width - 2)}
        height={12}
        rx={2}
        fill={days === 0 ? "none" : "var(--accent)"}
        stroke={days === 0 ? "none" : "var(--accent)"}
        opacity={0.6}
      />
      {days !== 0 && (
        <text x={x} y={62} fontSize={13} fontWeight={700} fill="var(--accent)">
          {name}
        </text>
      )}
    </g>
  );
}
