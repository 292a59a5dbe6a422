import type { LashUnit } from "./lash";
import { heightText, heightUnit, loadText, loadUnit, readHeight, readLoad } from "./load";

/** What a figure of a walk or a head is in. */
export type FigureUnit = "INCH" | "LBF" | "CC" | "DEG" | "PERCENT";

/** As typed, in the person's unit where it has two. */
export function readFigure(text: string, of: FigureUnit | undefined, unit: LashUnit): number | undefined {
  if (of === "INCH") return readInch(text.trim(), unit);
  if (of === "LBF") return readLoad(text, unit);
  const v = text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", "."));
  return Number.isFinite(v) ? v : undefined;
}

/** A length may lie on the other side of what it is read from. */
function readInch(text: string, unit: LashUnit): number | undefined {
  if (!/^[-−]/.test(text)) return readHeight(text, unit);
  const away = readHeight(text.slice(1), unit);
  return away === undefined ? undefined : -away;
}

const NAMES: Record<FigureUnit, (unit: LashUnit) => string> = {
  INCH: heightUnit,
  LBF: loadUnit,
  CC: () => "cc",
  DEG: () => "°",
  PERCENT: () => "%",
};

export const unitName = (of: FigureUnit, unit: LashUnit) => NAMES[of](unit);

/** A figure as a person reads it. */
export function figureOf(v: number, of: FigureUnit, unit: LashUnit): string {
  if (of === "INCH") return heightText(v, unit);
  return of === "LBF" ? loadText(v, unit, 0) : String(Math.round(v * 10) / 10);
}
