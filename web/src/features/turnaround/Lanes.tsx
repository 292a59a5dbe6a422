import { useWidth } from "../../ui/useWidth";
import { minutesBetween, planned, type Task, type Turnaround, waits } from "./board";
import { engineName } from "./TaskCard";
import { at, taskWords } from "./words";

interface LanesProps {
  turnaround: Turnaround;
  onEdit: (t: Task) => void;
}

const LEFT = 76;
const ROW = 46;
const TOP = 26;

/** Minutes in which nobody works that are folded away. */
const FOLDED = 240;

/** Stretches in which somebody works; the hours between them are folded away. */
function stretches(t: Turnaround): { from: string; to: string }[] {
  const spans = planned(t)
    .map((p) => ({ from: p.placed.start, to: p.placed.end }))
    .sort((a, b) => a.from.localeCompare(b.from));
  const joined: { from: string; to: string }[] = [];
  for (const s of spans) {
    const last = joined[joined.length - 1];
    if (!last || minutesBetween(last.to, s.from) > FOLDED) joined.push({ ...s });
    else if (s.to > last.to) last.to = s.to;
  }
  return joined;
}

/** Who is at what when: a lane a hand, nights and empty hours folded to a scribed line. */
export function Lanes({ turnaround, onEdit }: LanesProps) {
  const [box, width] = useWidth<HTMLElement>(1200);
  const open = stretches(turnaround);
  const total = open.reduce((sum, s) => sum + minutesBetween(s.from, s.to), 0);
  if (total === 0) return null;
  const gap = 18;
  const scale = (width - LEFT - 16 - gap * (open.length - 1)) / total;
  const x = (time: string) => {
    let from = LEFT;
    for (const s of open) {
      if (time <= s.to) return from + Math.max(0, minutesBetween(s.from, time)) * scale;
      from += minutesBetween(s.from, s.to) * scale + gap;
    }
    return from - gap;
  };
  const hands = turnaround.hands.map((h) => h.hand.name);
  const height = TOP + hands.length * ROW + 8;
  const chain = new Set(turnaround.plan?.chain);
  return (
    <section
      ref={box}
      className="scribed no-print min-w-0 overflow-hidden rounded"
      aria-label="Who is at what when"
    >
      <svg viewBox={`0 0 ${width} ${height}`} width={width} height={height} className="block">
        <title>A lane for each hand, with its tasks in order of time</title>
        {open.map((s, i) => (
          <g key={s.from}>
            <text x={x(s.from)} y={17} fontSize={14} className="num" fill="var(--muted)">
              {minutesBetween(s.from, s.to) * scale > 60 ? at(s.from, turnaround.now) : ""}
            </text>
            {i > 0 && (
              <line
                x1={x(s.from) - gap / 2}
                x2={x(s.from) - gap / 2}
                y1={6}
                y2={height - 6}
                stroke="var(--line)"
                strokeDasharray="2 5"
              />
            )}
          </g>
        ))}
        {waits(turnaround).map((w) => (
          <line
            key={w.task.id + w.after.id}
            x1={x(w.from)}
            x2={x(w.to)}
            y1={height - 5}
            y2={height - 5}
            stroke="var(--accent)"
            strokeWidth={2}
            strokeDasharray="1 4"
          />
        ))}
        {hands.map((name, row) => (
          <g key={name}>
            <text x={10} y={TOP + row * ROW + 27} fontSize={16} fontWeight={700} fill="var(--ink)">
              {name}
            </text>
            <line
              x1={LEFT}
              x2={width - 12}
              y1={TOP + row * ROW + ROW - 4}
              y2={TOP + row * ROW + ROW - 4}
              stroke="var(--hair)"
            />
            {planned(turnaround)
              .filter((p) => p.placed.hands.includes(name))
              .map((p) => {
                const from = x(p.placed.start);
                const wide = Math.max(4, x(p.placed.end) - from - 2);
                const words = `${taskWords(p.task)} ${engineName(turnaround, p.task.engineId)}`;
                return (
                  // biome-ignore lint/a11y/noStaticElementInteractions: the same task is a button in the lists above
                  <g key={p.task.id} onClick={() => onEdit(p.task)} className="cursor-pointer">
                    <title>{`${words}, ${at(p.placed.start, turnaround.now)} to ${at(p.placed.end, turnaround.now)}`}</title>
                    <rect
                      x={from}
                      y={TOP + row * ROW + 4}
                      width={wide}
                      height={ROW - 12}
                      fill="var(--raised)"
                      stroke={chain.has(p.task.id) ? "var(--accent)" : "var(--line)"}
                      strokeWidth={chain.has(p.task.id) ? 2.5 : 1}
                      strokeDasharray={p.task.weight === "MUST" ? undefined : "5 4"}
                    />
                    <text x={from + 6} y={TOP + row * ROW + 27} fontSize={13} fill="var(--ink)">
                      {shortened(words, wide - 10)}
                    </text>
                  </g>
                );
              })}
          </g>
        ))}
      </svg>
    </section>
  );
}

function shortened(words: string, room: number): string {
  const letters = Math.floor(room / 6.6);
  if (words.length <= letters) return words;
  return letters < 5 ? "" : `${words.slice(0, letters - 1)}…`;
}
