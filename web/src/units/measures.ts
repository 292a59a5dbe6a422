import type { LashUnit } from "./lash";
import { heightText, heightUnit, loadText, loadUnit } from "./load";

/** What is measured beside lash, heights and loads. Shim itself keeps the trade's unit everywhere. */
interface Measure {
  trade: string;
  metric: string;
  toMetric: (v: number) => number;
  toTrade: (v: number) => number;
  digits: { thou: number; mm: number };
  /** How people write the two, in small letters without blanks, points or degree signs. */
  names: { trade: readonly string[]; metric: readonly string[] };
}

const times = (f: number) => ({ toMetric: (v: number) => v * f, toTrade: (v: number) => v / f });

/** NIST SP 811. */
const MEASURES = {
  torque: {
    trade: "lbf·ft",
    metric: "N·m",
    ...times(1.355817948),
    digits: { thou: 0, mm: 0 },
    names: { trade: ["lbfft", "lbft", "ftlb", "ftlbf", "ftlbs"], metric: ["nm"] },
  },
  pressure: {
    trade: "psi",
    metric: "bar",
    ...times(0.06894757),
    digits: { thou: 0, mm: 1 },
    names: { trade: ["psi"], metric: ["bar"] },
  },
  rate: {
    trade: "lbf/in",
    metric: "N/mm",
    ...times(0.175126835),
    digits: { thou: 0, mm: 1 },
    names: { trade: ["lbf/in", "lb/in"], metric: ["n/mm"] },
  },
  warmth: {
    trade: "°F",
    metric: "°C",
    toMetric: (f: number) => (f - 32) / 1.8,
    toTrade: (c: number) => c * 1.8 + 32,
    digits: { thou: 0, mm: 0 },
    names: { trade: ["f"], metric: ["c"] },
  },
} as const satisfies Record<string, Measure>;

export type Measured = keyof typeof MEASURES;

export const unitOf = (of: Measured, unit: LashUnit) => MEASURES[of][unit === "mm" ? "metric" : "trade"];

/** A figure in the person's unit, without its name. */
export function figureText(of: Measured, v: number | undefined | null, unit: LashUnit, digits?: number) {
  if (v === undefined || v === null) return "–";
  const m: Measure = MEASURES[of];
  return (unit === "mm" ? m.toMetric(v) : v).toFixed(digits ?? m.digits[unit]);
}

/** With its name. */
export const measureText = (of: Measured, v: number | undefined | null, unit: LashUnit) =>
  `${figureText(of, v, unit)} ${unitOf(of, unit)}`;

/** What stands in a box, without a tail from the conversion. */
export function measureBox(of: Measured, v: number | undefined, unit: LashUnit): string {
  if (v === undefined) return "";
  const m: Measure = MEASURES[of];
  return String(unit === "mm" ? Number(m.toMetric(v).toPrecision(3)) : v);
}

/** As typed, in the person's unit or with the other one named: `80`, `5,5 bar`, `30 N·m`. */
export function readMeasure(of: Measured, text: string, unit: LashUnit): number | undefined {
  const [, figure, typed = ""] = /^\s*(-?(?:\d+[.,]?\d*|[.,]\d+))\s*(\D*)$/.exec(text) ?? [];
  if (figure === undefined) return undefined;
  const m: Measure = MEASURES[of];
  const named = typed.toLowerCase().replace(/[\s.·°-]/g, "");
  const metric = m.names.metric.includes(named);
  if (named !== "" && !metric && !m.names.trade.includes(named)) return undefined;
  const v = Number(figure.replace(",", "."));
  if (named === "" ? unit !== "mm" : !metric) return v;
  return Math.round(m.toTrade(v) * 1e6) / 1e6;
}

const BY_UNIT: Record<string, Measured> = { lbf·ft: "torque", psi: "pressure", "lbf/in": "rate" };

function figureIn(figure: string, of: string, unit: LashUnit): string {
  const as = `${figure} ${of}`;
  if (unit === "thou") return as;
  const v = Number(figure);
  if (of === "in") return `${heightText(v, unit)} ${heightUnit(unit)}`;
  if (of === "lbf") return `${loadText(v, unit)} ${loadUnit(unit)}`;
  const measure = BY_UNIT[of];
  return measure ? measureText(measure, v, unit) : as;
}

/** Shim's words with the figures in them, `{1.950 in}` or a moment, as the person reads them. */
export function inUnit(text: string, unit: LashUnit): string {
  return text.replace(/\{(-?[\d.]+) ([^}\d]+)\}|\{(\d{4}-\d\d-\d\dT[^}]+)\}/g, (_, figure, of, moment) =>
    moment
      ? new Date(moment).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" })
      : figureIn(figure, of, unit),
  );
}
