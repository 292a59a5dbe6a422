import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";

type Chosen = Schemas["Ranked"]["at"][number];

export const VERDICTS: Record<Schemas["Ranked"]["verdict"], { words: string; sign: string; tone: string }> = {
  FITS: { words: "fits", sign: "✓", tone: "text-ok" },
  WITH_QUESTIONS: { words: "can be made to fit", sign: "?", tone: "text-wide" },
  NOT: { words: "does not fit", sign: "✕", tone: "text-tight" },
};

/** How many valves take which shims. */
export function waysWords(at: Chosen[], unit: LashUnit): string {
  const by = new Map<string, number>();
  for (const a of at) {
    const shims = a.way.shimsIn.map((s) => heightText(s, unit)).join(" + ");
    const way =
      a.way.machineIn > 0
        ? `pocket cut by ${heightText(a.way.machineIn, unit)}`
        : shims === ""
          ? "no shim"
          : a.way.kind === "ONE_MADE_PIECE"
            ? `a shim of ${shims} made for it`
            : `shims ${shims}`;
    by.set(way, (by.get(way) ?? 0) + 1);
  }
  const ways = [...by].sort((x, y) => y[1] - x[1]).map(([way, n]) => `${n} × ${way}`);
  return `${ways.slice(0, 5).join(", ")} ${ways.length > 5 ? "and more" : `(${heightUnit(unit)})`}`;
}

/** Retainers, locks and cups that go with it, where they are named. */
export function partsWords(at: Chosen[]): string {
  const names = new Set(at.flatMap((a) => [a.retainer?.name, a.locks?.name, a.cup?.name]).filter(Boolean));
  return names.size > 0 ? `; with ${[...names].join(", ")}` : "";
}

const SAYS: Record<Schemas["BreakIn"]["gentle"], string> = {
  WHOLE: "the whole spring will do",
  INNER_OUT: "inner out",
  LIGHTER_SET: "a lighter set",
};

const KNOWN: Record<Schemas["Alone"]["source"], string> = {
  MEASURED: "measured",
  SUBTRACTED: "the whole less the inner",
  ESTIMATED: "by its wires",
};

/** Both schools of breaking in flat tappets. */
export function breakInWords(b: Schemas["BreakIn"], unit: LashUnit): string {
  const lbf = (v: number) => `${loadText(v, unit, 0)} ${loadUnit(unit)}`;
  const outer = b.outerLbf ? `, ${lbf(b.outerLbf.loadLbf)} inner out (${KNOWN[b.outerLbf.source]})` : "";
  return `Break-in, ${lbf(b.openLbf)} open${outer}: to some ${lbf(220)}, ${SAYS[b.gentle]}; the other school, to ${lbf(280)}, ${SAYS[b.hearty]}.`;
}
