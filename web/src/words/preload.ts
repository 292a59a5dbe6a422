import type { Schemas } from "../api/client";
import { type LashUnit, lashText, unitName } from "../units/lash";

type Target = Pick<Schemas["PreloadTarget"], "unit">;

/** Turns of an adjuster to the hundredth, all of one width. */
export const turnsText = (turns: number) => turns.toFixed(2).replace("-", "−");

/** A preload as it is counted on its engine: turns from zero lash, or travel of the plunger. */
export function preloadFigure(value: number | undefined, of: Target, unit: LashUnit): string {
  if (value === undefined) return "–";
  if (of.unit === "TURNS") return turnsText(value);
  return value < 0 ? `−${lashText(-value, unit)}` : lashText(value, unit);
}

/** A difference of preload with its sign. */
export function preloadDriftText(value: number | undefined, of: Target, unit: LashUnit): string {
  if (value === undefined) return "–";
  const text = preloadFigure(Math.abs(value), of, unit);
  return Number(text) === 0 ? "0" : (value < 0 ? "−" : "+") + text;
}

/** The name of what it is counted in. */
export const preloadUnit = (of: Target, unit: LashUnit) =>
  of.unit === "TURNS" ? "turns" : `${unitName(unit)} of plunger`;
