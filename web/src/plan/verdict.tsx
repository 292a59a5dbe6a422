import type { Schemas } from "../api/client";

export type LashVerdict = NonNullable<Schemas["ValveView"]["leftVerdict"]>;

export type SpringVerdict = Schemas["SpringSaid"]["verdict"];

/** What a valve's mark can say. Shape first, colour second. */
export type Mark =
  | LashVerdict
  | SpringVerdict
  | "OPEN"
  | "ASIDE"
  | "LOOK"
  | "AGAIN"
  | "LOOSE"
  | "HELD"
  | "HOME";

interface Style {
  word: string;
  color: string;
}

export const MARKS: Record<Mark, Style> = {
  IN: { word: "in", color: "var(--ok)" },
  TIGHT: { word: "tight", color: "var(--tight)" },
  WIDE: { word: "wide", color: "var(--wide)" },
  BELOW_FLOOR: { word: "below the lowest allowed", color: "var(--floor)" },
  NO_PRELOAD: { word: "no preload", color: "var(--floor)" },
  SHALLOW: { word: "shallow", color: "var(--wide)" },
  DEEP: { word: "deep", color: "var(--tight)" },
  BOTTOMED: { word: "at the end of the plunger", color: "var(--floor)" },
  RUN: { word: "run", color: "var(--ok)" },
  NOT_TESTED: { word: "not tested", color: "var(--muted)" },
  WATCH: { word: "watch", color: "var(--wide)" },
  CHANGE: { word: "change", color: "var(--tight)" },
  AGAIN: { word: "read again", color: "var(--accent)" },
  OPEN: { word: "to do", color: "var(--muted)" },
  ASIDE: { word: "put off", color: "var(--muted)" },
  LOOSE: { word: "unhooked", color: "var(--tight)" },
  HELD: { word: "compressed or held", color: "var(--wide)" },
  HOME: { word: "locks proved", color: "var(--ok)" },
  LOOK: { word: "look here first", color: "var(--accent)" },
};

/** The gap between two edges, drawn: touching, apart, gone, or simply right. */
const SHAPES: Record<Mark, (c: string) => React.ReactNode> = {
  IN: (c) => <path d="M-6 0 L-2 4 L6 -5" fill="none" stroke={c} strokeWidth={3} />,
  TIGHT: (c) => <path d="M-7 -6 L-1 0 L-7 6 Z M7 -6 L1 0 L7 6 Z" fill={c} />,
  WIDE: (c) => <path d="M-2 -6 L-8 0 L-2 6 Z M2 -6 L8 0 L2 6 Z" fill={c} />,
  BELOW_FLOOR: (c) => (
    <path d="M-7 -7 H7 V7 H-7 Z M-7 -7 L7 7 M7 -7 L-7 7" fill="none" stroke={c} strokeWidth={2.5} />
  ),
  /* A plunger in its lifter: out and away, high, low, on the floor. */
  NO_PRELOAD: (c) => (
    <path d="M-6 -2 V8 H6 V-2 M-4 -7 H4 M-2 -9 H2" fill="none" stroke={c} strokeWidth={2.2} />
  ),
  SHALLOW: (c) => <path d="M-6 -8 V8 H6 V-8 M-4 -4 H4" fill="none" stroke={c} strokeWidth={2.6} />,
  DEEP: (c) => <path d="M-6 -8 V8 H6 V-8 M-4 2.5 H4 M0 -8 V2" fill="none" stroke={c} strokeWidth={2.6} />,
  BOTTOMED: (c) => (
    <>
      <path d="M-6 -8 V8 H6 V-8 M0 -8 V2" fill="none" stroke={c} strokeWidth={2.6} />
      <path d="M-5 2 H5 V8 H-5 Z" fill={c} />
    </>
  ),
  /* A spring seen from the side: standing, sagging, flat. */
  RUN: (c) => <path d="M-6 6 L6 3 M-6 1 L6 -2 M-6 -4 L6 -7" stroke={c} strokeWidth={2.2} />,
  NOT_TESTED: (c) => (
    <path d="M-6 6 L6 3 M-6 1 L6 -2 M-6 -4 L6 -7" stroke={c} strokeWidth={1.6} strokeDasharray="2 2.4" />
  ),
  WATCH: (c) => <path d="M-7 6 L7 4 M-7 2 L7 0 M0 -8 V-3" stroke={c} strokeWidth={2.6} />,
  CHANGE: (c) => <path d="M-8 6 H8 M-8 2.5 H8 M-4 -8 L4 -1 M4 -8 L-4 -1" stroke={c} strokeWidth={2.8} />,
  AGAIN: (c) => (
    <path d="M5 -3 A6 6 0 1 0 6 3 M6 -8 L5.5 -2.5 L0.5 -3.5" fill="none" stroke={c} strokeWidth={2.4} />
  ),
  OPEN: (c) => <circle r={5} fill="none" stroke={c} strokeWidth={1.5} strokeDasharray="2.5 2.5" />,
  ASIDE: (c) => <path d="M-6 -2 H6 M-6 3 H6" stroke={c} strokeWidth={2.5} />,
  /* The two halves of a lock: fallen away, under the tool, wedged with their gap. */
  LOOSE: (c) => (
    <path d="M-8 -6 L-4 5 M8 -6 L4 5 M0 -2 V8 M-3 5 L0 8 L3 5" stroke={c} strokeWidth={2.6} fill="none" />
  ),
  HELD: (c) => <path d="M-6 -7 H6 M0 -7 V-1 M-6 3 H6 M-6 7 H6" stroke={c} strokeWidth={2.6} />,
  HOME: (c) => <path d="M-7 -6 H-2 L-3 6 Z M7 -6 H2 L3 6 Z" fill={c} />,
  LOOK: (c) => <path d="M0 -8 L8 0 L0 8 L-8 0 Z" fill={c} />,
};

export function MarkShape({ mark }: { mark: Mark }) {
  return <>{SHAPES[mark](MARKS[mark].color)}</>;
}

/** A mark in a line of text. */
export function MarkIcon({ mark, size = 20 }: { mark: Mark; size?: number }) {
  return (
    <svg
      viewBox="-10 -10 20 20"
      width={size}
      height={size}
      role="img"
      aria-label={MARKS[mark].word}
      className="shrink-0"
    >
      <MarkShape mark={mark} />
    </svg>
  );
}
