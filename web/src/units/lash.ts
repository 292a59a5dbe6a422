/** How a person reads lash. Shim itself keeps inches everywhere. */
export type LashUnit = "thou" | "mm";

const MM_PER_INCH = 25.4;

/** Lash in the person's unit, without its name. */
export function lashText(inch: number | undefined | null, unit: LashUnit): string {
  if (inch === undefined || inch === null) return "–";
  if (unit === "mm") return (inch * MM_PER_INCH).toFixed(2);
  const thou = inch * 1000;
  return (Math.round(thou * 10) / 10).toFixed(Math.abs(thou - Math.round(thou)) < 0.05 ? 0 : 1);
}

/** A difference with its sign; a true minus. */
export function driftText(inch: number | undefined | null, unit: LashUnit): string {
  if (inch === undefined || inch === null) return "–";
  const text = lashText(Math.abs(inch), unit);
  if (Number(text) === 0) return "0";
  return (inch < 0 ? "−" : "+") + text;
}

/** How fast lash moves in an hour; finer than a leaf, for it adds up. */
export function rateText(inch: number | undefined, unit: LashUnit): string {
  if (inch === undefined) return "–";
  const thou = inch * 1000;
  return unit === "mm" ? (inch * MM_PER_INCH).toFixed(3) : thou.toFixed(thou < 1 ? 2 : 1);
}

export function unitName(unit: LashUnit): string {
  return unit === "mm" ? "mm" : "thou";
}

export function toInch(value: number, unit: "in" | "mm"): number {
  return unit === "mm" ? value / MM_PER_INCH : value;
}

export function fromInch(value: number, unit: "in" | "mm"): number {
  return unit === "mm" ? value * MM_PER_INCH : value;
}

/** What a person typed as a reading. */
export type Typed =
  | { kind: "figure"; inch: number }
  | { kind: "goNoGo"; goIn: number; noGoIn: number }
  | { kind: "leaf"; leafIn: number; feel: "SNUG" | "RIGHT" | "LOOSE" }
  | { kind: "turns"; turns: number }
  | { kind: "length"; inch: number }
  | { kind: "empty" }
  | { kind: "unclear"; why: string };

const FEEL = { "-": "SNUG", s: "SNUG", "*": "RIGHT", r: "RIGHT", "+": "LOOSE", l: "LOOSE" } as const;

/**
 * Reads a gap as typed: `18` or `0.018`; `18/19` for a leaf that goes and one that does not; `18-`
 * snug, `18*` right, `18+` loose. In thou a figure below 1 written with a point is inches; in mm
 * whole figures are hundredths.
 */
export function readGap(typed: string, unit: LashUnit): Typed {
  const [, figures = "", name] = /^(.*?)\s*(mm|in|thou|")?$/i.exec(typed.trim()) ?? [];
  const t = figures.toLowerCase().replaceAll(",", ".");
  const inchOf = (figure: string) => gapInch(figure, unit, name?.toLowerCase());
  if (t === "") return { kind: "empty" };
  const [, goes, goesNot] = /^([\d.]+)\s*\/\s*([\d.]+)$/.exec(t) ?? [];
  if (goes !== undefined && goesNot !== undefined) {
    const goIn = inchOf(goes);
    const noGoIn = inchOf(goesNot);
    if (goIn === null || noGoIn === null) return unclear(typed);
    return noGoIn > goIn
      ? { kind: "goNoGo", goIn, noGoIn }
      : { kind: "unclear", why: `"${typed}": the leaf that goes is the thinner one, and comes first` };
  }
  const [, leaf, felt] = /^([\d.]+)\s*([-*+srl])$/.exec(t) ?? [];
  if (leaf !== undefined) {
    const leafIn = inchOf(leaf);
    if (leafIn === null) return unclear(typed);
    const feel = FEEL[felt as keyof typeof FEEL];
    return feel === "LOOSE"
      ? { kind: "unclear", why: `a loose ${leaf} only says the gap is wider: try the next leaf` }
      : { kind: "leaf", leafIn, feel };
  }
  const inch = inchOf(t);
  if (inch === null) return unclear(typed);
  return inch < 1
    ? { kind: "figure", inch }
    : { kind: "unclear", why: `a lash of ${inch} in cannot be: 0 to 1 in` };
}

function unclear(text: string): Typed {
  return { kind: "unclear", why: `"${text}" is no reading: 18, 0.018, 18/19 (goes / does not), 18- snug` };
}

/** With its unit named a figure is that; else it goes by the habits of whoever typed it. */
function gapInch(text: string, unit: LashUnit, named?: string): number | null {
  if (!/^(\d+\.?\d*|\.\d+)$/.test(text)) return null;
  const v = Number(text);
  if (named === "thou") return round(v / 1000);
  if (named === "in" || named === '"') return round(v);
  if (named === "mm") return round(toInch(v, "mm"));
  if (unit === "mm") return round(toInch(text.includes(".") ? v : v / 100, "mm"));
  return round(text.includes(".") && v < 1 ? v : v / 1000);
}

function round(inch: number): number {
  return Math.round(inch * 1e7) / 1e7;
}

/** Turns back to zero lash: `0.5`, `1/2`, `1 1/4`. */
export function readTurns(text: string): Typed {
  const t = text.trim().replace(",", ".");
  if (t === "") return { kind: "empty" };
  const mixed = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(t);
  if (mixed && Number(mixed[3]) > 0) {
    return { kind: "turns", turns: Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]) };
  }
  if (/^(\d+\.?\d*|\.\d+)$/.test(t) && Number(t) < 20) return { kind: "turns", turns: Number(t) };
  return { kind: "unclear", why: `"${text}" is no number of turns: 0.5, 1/2 or 1 1/4` };
}

/** A pushrod's length or a shim's thickness, in the person's unit. */
export function readSize(text: string, unit: LashUnit, what: string): Typed {
  const t = text
    .trim()
    .replace(",", ".")
    .replace(/\s*(in|mm|")$/i, "");
  if (t === "") return { kind: "empty" };
  const typed = /mm\s*$/i.test(text) ? "mm" : /(in|")\s*$/i.test(text) ? "in" : unit === "mm" ? "mm" : "in";
  return /^(\d+\.?\d*|\.\d+)$/.test(t)
    ? { kind: "length", inch: round(toInch(Number(t), typed)) }
    : { kind: "unclear", why: `"${text}" is no ${what}: ${unit === "mm" ? "199.4" : "7.850"}` };
}

/** A figure kept in thou, in the person's unit. */
export const thouText = (thou: number | undefined | null, unit: LashUnit): string =>
  lashText(thou === undefined || thou === null ? thou : thou / 1000, unit);
