import { type KeyboardEvent, useMemo } from "react";
import type { Valve } from "../api/client";
import { useStacked } from "../ui/useNarrow";
import { type Facing, type Layout, type PlacedValve, place } from "./geometry";
import { MARKS, type Mark, MarkShape } from "./verdict";

/** What stands at a valve: a number, a mark, and whether the crank lets it be set now. */
export interface ValveFace {
  text?: string;
  mark?: Mark;
  /** Shown strongly: may be set here, or belongs to this stop. */
  lit?: boolean;
  /** On its lobe now. */
  open?: boolean;
}

interface ValvePlanProps {
  layout: Layout;
  /** Where the front points; by itself up beside a panel and left above one. */
  facing?: Facing;
  faces?: Record<Valve, ValveFace>;
  selected?: Valve;
  onSelect?: (v: Valve) => void;
  label: string;
  className?: string;
}

/** The engine from above, its valves in their real places: the map of everything. */
export function ValvePlan(props: ValvePlanProps) {
  const stacked = useStacked();
  const {
    layout,
    facing = stacked ? "left" : "up",
    faces = {},
    selected,
    onSelect,
    label,
    className,
  } = props;
  const placed = useMemo(() => place(layout, facing), [layout, facing]);
  return (
    <svg
      viewBox={`0 0 ${placed.width} ${placed.height}`}
      className={className}
      role={onSelect ? "group" : "img"}
      aria-label={label}
      preserveAspectRatio="xMidYMid meet"
    >
      <Front facing={facing} width={placed.width} height={placed.height} rotation={layout.rotation} />
      {placed.banks.map((b) => (
        <g key={b.name}>
          <line
            x1={b.line[0]}
            y1={b.line[1]}
            x2={b.line[2]}
            y2={b.line[3]}
            stroke="var(--line)"
            strokeOpacity={0.55}
            strokeDasharray="14 4 3 4"
          />
        </g>
      ))}
      {placed.bores.map((b) => (
        <g key={b.cylinder}>
          <circle
            cx={b.x}
            cy={b.y}
            r={b.r}
            fill="none"
            stroke="var(--line)"
            strokeOpacity={0.6}
            strokeWidth={1}
          />
          <path
            d={
              facing === "up"
                ? `M${b.x - b.r - 6} ${b.y}H${b.x + b.r + 6}`
                : `M${b.x} ${b.y - b.r - 6}V${b.y + b.r + 6}`
            }
            stroke="var(--line)"
            strokeOpacity={0.5}
            strokeWidth={0.8}
          />
        </g>
      ))}
      {placed.valves.map((v) => (
        <ValveSpot
          key={v.valve}
          at={v}
          face={faces[v.valve] ?? {}}
          selected={v.valve === selected}
          onSelect={onSelect}
        />
      ))}
    </svg>
  );
}

interface FrontProps {
  facing: Facing;
  width: number;
  height: number;
  rotation: Layout["rotation"];
}

/** Which end is the front, and which way the crank turns seen from there. */
function Front({ facing, width, height, rotation }: FrontProps) {
  const turns = rotation === "CLOCKWISE" ? "turns clockwise ↻" : "turns anticlockwise ↺";
  return facing === "up" ? (
    <text x={width / 2} y={20} textAnchor="middle" fontSize={14} fill="var(--muted)">
      ▲ front · {turns}
    </text>
  ) : (
    <text
      x={20}
      y={height / 2}
      textAnchor="middle"
      fontSize={14}
      fill="var(--muted)"
      transform={`rotate(-90 20 ${height / 2})`}
    >
      ▲ front · {turns}
    </text>
  );
}

interface SpotProps {
  at: PlacedValve;
  face: ValveFace;
  selected: boolean;
  onSelect?: (v: Valve) => void;
}

function spoken(at: PlacedValve, face: ValveFace): string {
  return [
    at.valve,
    face.text,
    face.mark && MARKS[face.mark].word,
    face.lit && "at this stop",
    face.open && "open",
  ]
    .filter(Boolean)
    .join(", ");
}

function ValveSpot({ at, face, selected, onSelect }: SpotProps) {
  const act = onSelect && {
    role: "button",
    tabIndex: 0,
    "aria-label": spoken(at, face),
    "aria-pressed": selected,
    onClick: () => onSelect(at.valve),
    onKeyDown: (e: KeyboardEvent) => {
      if (e.key === "Enter" || e.key === " ") {
        e.preventDefault();
        e.stopPropagation();
        onSelect(at.valve);
      }
    },
    style: { cursor: "pointer" },
  };
  const alarm = face.mark === "CHANGE" || face.mark === "WATCH";
  const edge = selected ? "var(--accent)" : alarm && face.mark ? MARKS[face.mark].color : "var(--line)";
  return (
    <g transform={`translate(${at.x} ${at.y})`} data-valve={at.valve} {...act}>
      <circle r={at.r + 5} fill="transparent" stroke="none" />
      <path
        d={`M${-at.r - 6} 0H${at.r + 6}M0 ${-at.r - 6}V${at.r + 6}`}
        stroke="var(--line)"
        strokeOpacity={0.55}
        strokeWidth={0.8}
      />
      <circle
        r={at.r}
        fill={selected ? "var(--accent)" : face.open ? "var(--hair)" : "var(--raised)"}
        stroke={edge}
        strokeWidth={selected ? 4 : face.lit || alarm ? 3.5 : 1}
      />
      {!at.intake && <circle r={at.r - 4} fill="none" stroke={edge} strokeWidth={1} />}
      {/* The name first, as it is spoken; the space keeps the two apart. */}
      <text
        x={at.nameX - at.x}
        y={at.nameY - at.y}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize={16}
        fontWeight={700}
        fill={face.lit || selected ? "var(--ink)" : "var(--muted)"}
      >
        {at.valve}
      </text>{" "}
      <text
        textAnchor="middle"
        dominantBaseline="central"
        className="num"
        fontSize={face.text && face.text.length > 3 ? 17 : 21}
        fill={selected ? "var(--on-accent)" : "var(--ink)"}
      >
        {face.text}
      </text>
      {face.mark && face.mark !== "OPEN" && (
        <g transform={`translate(${at.r - 3} ${-at.r + 3})`}>
          <circle r={10.5} fill="var(--plate)" />
          <g transform="scale(0.95)">
            <MarkShape mark={face.mark} />
          </g>
        </g>
      )}
    </g>
  );
}
