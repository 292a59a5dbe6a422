import { useState } from "react";
import type { Schemas } from "../api/client";
import { Button } from "../ui/Button";
import { useWidth } from "../ui/useWidth";
import { addDays, day } from "../words/days";
import { MovableEvent } from "./MovableEvent";

interface HoursRailProps {
  /** Shim's word on the engine's hours: now, what ran, what is planned. */
  hours: Schemas["EngineHoursView"];
  rounds: Schemas["RoundLine"][];
  changes: Schemas["ChangeLine"][];
  /** Spring tests, marks below the axis. */
  tests?: { testId: string; engineHours: number }[];
  /** Spring changes that were signed, marks under the changed parts. */
  jobs?: { id: string; kind: string; engineHours: number; valves: string[]; signedBy?: string }[];
  /** Whether the end of a planned event can be looked at. */
  predicts?: boolean;
  /** Hour the plan is looked at; null for now. */
  hour: number | null;
  onHour: (h: number | null) => void;
  /** Puts a planned event on another day; without it events stand where they are. */
  onMove?: (eventId: string, on: string) => void;
}

type Span = Schemas["HoursSpan"] & { planned: boolean };

const LEFT = 66;

const since = (now: number, hours: number) => `${Math.max(0, now - hours).toFixed(1)} h ago`;

/** A name shortened to the room there is, about seven pixels a letter. */
function shortened(name: string, room: number): string {
  const letters = Math.floor(room / 7);
  if (name.length <= letters) return name;
  return letters < 4 ? "" : `${name.slice(0, letters - 1)}…`;
}

/** The day, and as much of the name as there is room for. */
const named = (s: Span, room: number) => shortened(`${day(s.on).slice(4)} ${s.event ?? ""}`.trim(), room);

/** One axis of engine hours: the past to the left, the planned events to the right. */
export function HoursRail({
  hours,
  rounds,
  changes,
  tests = [],
  jobs = [],
  predicts,
  hour,
  onHour,
  onMove,
}: HoursRailProps) {
  const [moved, setMoved] = useState<{ id: string; days: number } | null>(null);
  const event = hours.coming.find((s) => s.eventId === moved?.id);
  const keep = () => {
    if (moved && event) onMove?.(moved.id, addDays(event.on, moved.days));
    setMoved(null);
  };
  const [box, width] = useWidth<HTMLElement>(1240);
  const now = hours.hours;
  const all: Span[] = [
    ...hours.past.map((s) => ({ ...s, planned: false })),
    ...hours.coming.map((s) => ({ ...s, planned: true })),
  ];
  const end = Math.max(1, now * 1.05, ...all.map((s) => s.toHours));
  const x = (h: number) => LEFT + (h / end) * (width - LEFT - 24);
  /** Words after the line of now have no room any more. */
  const atTheEdge = x(now) > width - 110;
  const step = [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500].find((s) => end / s <= 14) ?? 1000;
  const ticks = Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step);
  return (
    <section ref={box} className="scribed no-print sticky bottom-0" aria-label="Hours rail">
      <svg viewBox={`0 0 ${width} 82`} width={width} height={82} className="block">
        <title>Engine hours with rounds and events</title>
        <line x1={x(0)} x2={x(now)} y1={50} y2={50} stroke="var(--line)" strokeWidth={1.5} />
        <line
          x1={x(now)}
          x2={x(end)}
          y1={50}
          y2={50}
          stroke="var(--line)"
          strokeWidth={1.5}
          strokeDasharray="5 5"
        />
        {all.map((s, i) => (
          <g key={`${s.event}${s.on}${s.fromHours}`}>
            <rect
              x={x(s.fromHours)}
              width={Math.max(2, x(s.toHours) - x(s.fromHours) - 2)}
              y={42}
              height={8}
              fill={s.planned ? "none" : "var(--hair)"}
              stroke={s.planned ? "var(--line)" : "none"}
              strokeDasharray="3 3"
            />
            <text
              x={x(s.fromHours) + 2}
              y={i % 2 === 0 ? 34 : 18}
              fontSize={13}
              fill={s.planned ? "var(--ink)" : "var(--muted)"}
            >
              {named(s, Math.min((x(s.toHours) - x(s.fromHours)) * 2, width - x(s.fromHours) - 8))}
            </text>
          </g>
        ))}
        {onMove &&
          hours.coming.map(
            (s) =>
              s.eventId && (
                <MovableEvent
                  key={s.eventId}
                  span={s}
                  x={x(s.fromHours)}
                  width={x(s.toHours) - x(s.fromHours)}
                  days={moved?.id === s.eventId ? moved.days : 0}
                  onDays={(days) => setMoved(days === 0 ? null : { id: s.eventId ?? "", days })}
                  onKeep={keep}
                />
              ),
          )}
        {predicts &&
          all
            .filter((s) => s.planned)
            .map((s) => (
              <EndMark
                key={`${s.event}${s.on}${s.toHours}`}
                span={s}
                x={x(s.toHours)}
                picked={hour === s.toHours}
                onHour={onHour}
              />
            ))}
        {ticks.map((t) => (
          <text key={t} x={x(t)} y={78} textAnchor="middle" className="num" fontSize={14} fill="var(--muted)">
            {t} h
          </text>
        ))}
        {changes.map((c) => (
          <path key={c.id} d={`M${x(c.engineHours)} 54 v9 m-5 0 h10`} stroke="var(--ink)" strokeWidth={1.6}>
            <title>{`${c.part.toLowerCase()} changed at ${c.valves.join(" ")}, ${since(now, c.engineHours)}`}</title>
          </path>
        ))}
        {jobs
          .filter((j) => j.signedBy)
          .map((j) => (
            <path
              key={j.id}
              d={`M${x(j.engineHours) - 5} 60 h4 l-1 9 Z M${x(j.engineHours) + 5} 60 h-4 l1 9 Z`}
              fill="var(--ink)"
            >
              <title>{`${j.kind === "HEADS_ON" ? "heads put on" : `springs changed at ${j.valves.join(" ")}`}, ${since(now, j.engineHours)}`}</title>
            </path>
          ))}
        {tests.map((t) => (
          <TestMark
            key={t.testId}
            hours={t.engineHours}
            now={now}
            x={x(t.engineHours)}
            picked={hour === t.engineHours}
            onHour={onHour}
          />
        ))}
        {rounds.map((r) => (
          <RoundMark
            key={r.id}
            round={r}
            now={now}
            x={x(r.engineHours)}
            picked={hour === r.engineHours}
            onHour={onHour}
          />
        ))}
        <g>
          <line x1={x(now)} x2={x(now)} y1={4} y2={66} stroke="var(--accent)" strokeWidth={2} />
          <text
            x={x(now) + (atTheEdge ? -16 : 16)}
            y={66}
            textAnchor={atTheEdge ? "end" : "start"}
            fontSize={13}
            fontWeight={700}
            fill="var(--accent)"
          >
            now {now.toFixed(1)} h
          </text>
        </g>
        {/* biome-ignore lint/a11y/useSemanticElements: a button element cannot stand inside an SVG */}
        <g
          role="button"
          tabIndex={0}
          aria-label="Look at the engine as it is now"
          aria-pressed={hour === null}
          onClick={() => onHour(null)}
          onKeyDown={(e) => e.key === "Enter" && onHour(null)}
          style={{ cursor: "pointer" }}
        >
          <rect
            x={4}
            y={34}
            width={50}
            height={30}
            rx={3}
            fill={hour === null ? "var(--line)" : "var(--raised)"}
            stroke="var(--hair)"
          />
          <text
            x={29}
            y={54}
            textAnchor="middle"
            fontSize={14}
            fontWeight={700}
            fill={hour === null ? "var(--ground)" : "var(--ink)"}
          >
            now
          </text>
        </g>
      </svg>
      {moved && event && (
        <p className="absolute right-3 bottom-full flex items-center gap-3 rounded border border-accent bg-plate p-2">
          <span>
            {event.event}: {day(event.on)} becomes{" "}
            <span className="font-bold text-accent">{day(addDays(event.on, moved.days))}</span>
          </span>
          <Button look="now" onClick={keep}>
            Keep the day
          </Button>
          <Button onClick={() => setMoved(null)}>Leave it</Button>
        </p>
      )}
    </section>
  );
}

interface EndMarkProps {
  span: Span;
  x: number;
  picked: boolean;
  onHour: (h: number) => void;
}

/** The end of a planned event: a flag to look ahead to. */
function EndMark({ span, x, picked, onHour }: EndMarkProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button element cannot stand inside an SVG
    <g
      transform={`translate(${x} 50)`}
      role="button"
      tabIndex={0}
      aria-label={`As predicted for the end of ${span.event}`}
      aria-pressed={picked}
      onClick={() => onHour(span.toHours)}
      onKeyDown={(e) => e.key === "Enter" && onHour(span.toHours)}
      style={{ cursor: "pointer" }}
    >
      <rect x={-14} y={-12} width={28} height={33} fill="transparent" />
      <path
        d="M0 0 V15 L-11 11 L0 7"
        fill={picked ? "var(--accent)" : "var(--plate)"}
        stroke={picked ? "var(--accent)" : "var(--line)"}
        strokeWidth={2}
      />
    </g>
  );
}

interface RoundMarkProps {
  round: Schemas["RoundLine"];
  now: number;
  x: number;
  picked: boolean;
  onHour: (h: number) => void;
}

/** Hot rounds are filled, cold ones hollow. */
function RoundMark({ round, now, x, picked, onHour }: RoundMarkProps) {
  const hot = round.state === "HOT";
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button element cannot stand inside an SVG
    <g
      transform={`translate(${x} 50)`}
      role="button"
      tabIndex={0}
      aria-label={`${hot ? "Hot" : "Cold"} round at ${round.engineHours} h`}
      aria-pressed={picked}
      onClick={() => onHour(round.engineHours)}
      onKeyDown={(e) => e.key === "Enter" && onHour(round.engineHours)}
      style={{ cursor: "pointer" }}
    >
      <rect x={-14} y={-26} width={28} height={33} fill="transparent" />
      <title>{`${hot ? "Hot" : "Cold"} round, ${since(now, round.engineHours)}`}</title>
      <path
        d="M0 -8 L7 0 L0 8 L-7 0 Z"
        fill={picked ? "var(--accent)" : hot ? "var(--line)" : "var(--plate)"}
        stroke={picked ? "var(--accent)" : "var(--line)"}
        strokeWidth={2}
      />
    </g>
  );
}

interface TestMarkProps {
  hours: number;
  now: number;
  x: number;
  picked: boolean;
  onHour: (h: number) => void;
}

/** A spring test: two coils below the axis. */
function TestMark({ hours, now, x, picked, onHour }: TestMarkProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button element cannot stand inside an SVG
    <g
      transform={`translate(${x} 65)`}
      role="button"
      tabIndex={0}
      aria-label={`Spring test at ${hours} h`}
      aria-pressed={picked}
      onClick={() => onHour(hours)}
      onKeyDown={(e) => e.key === "Enter" && onHour(hours)}
      style={{ cursor: "pointer" }}
    >
      <rect x={-14} y={-8} width={28} height={25} fill="transparent" />
      <title>{`Spring test, ${since(now, hours)}`}</title>
      <path
        d="M-5 3 L5 1 M-5 -1 L5 -3"
        stroke={picked ? "var(--accent)" : "var(--line)"}
        strokeWidth={picked ? 3.4 : 2.2}
      />
    </g>
  );
}
