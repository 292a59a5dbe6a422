import type { Schemas } from "../api/client";

export type LashVerdict = NonNullable<Schemas["ValveView"]["leftVerdict"]>;

/** What a valve's mark can say. Shape first, colour second. */
export type Mark = LashVerdict | "OPEN" | "ASIDE" | "LOOK";

interface Style {
  word: string;
  color: string;
}

export const MARKS: Record<Mark, Style> = {
  IN: { word: "in", color: "var(--ok)" },
  TIGHT: { word: "tight", color: "var(--tight)" },
  WIDE: { word: "wide", color: "var(--wide)" },
  BELOW_FLOOR: { word: "below the lowest allowed", color: "var(--floor)" },
  OPEN: { word: "to do", color: "var(--muted)" },
  ASIDE: { word: "put off", color: "var(--muted)" },
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
  OPEN: (c) => <circle r={5} fill="none" stroke={c} strokeWidth={1.5} strokeDasharray="2.5 2.5" />,
  ASIDE: (c) => <path d="M-6 -2 H6 M-6 3 H6" stroke={c} strokeWidth={2.5} />,
  LOOK: (c) => <path d="M0 -8 L8 0 L0 8 L-8 0 Z" fill={c} />,
};

export function MarkShape({ mark }: { mark: Mark }) {
  return <>{SHAPES[mark](MARKS[mark].color)}</>;
}

/** A mark in a line of text. */
export function MarkIcon({ mark, size = 20 }: { mark: Mark; size?: number }) {
  return (
    <svg viewBox="-10 -10 20 20" width={size} height={size} role="img" aria-label={MARKS[mark].word}>
      <MarkShape mark={mark} />
    </svg>
  );
}
