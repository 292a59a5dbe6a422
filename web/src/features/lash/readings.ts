import type { Schemas } from "../../api/client";
import { type LashUnit, lashText } from "../../units/lash";
import { rangeText, sizeText } from "../../words/adjust";
import { preloadFigure, turnsText } from "../../words/preload";
import type { ValveView } from "./useRound";

/** Size of the part that is in, inch. */
export const fittedIn = (v: ValveView) => v.left?.partSizeIn ?? v.partNowIn;

/** What is wanted at a valve, in a table. */
export const wantedText = (v: ValveView, unit: LashUnit) =>
  v.target ? lashText(v.target.targetIn, unit) : v.preloadTarget ? rangeText(v.preloadTarget, unit) : "";

/** A reading in a table: turns, a length, or a gap. */
export function readText(r: Schemas["ReadingView"] | undefined, unit: LashUnit): string {
  if (!r) return "–";
  if (r.turns !== undefined) return turnsText(r.turns);
  return r.zeroLashIn === undefined ? lashText(r.valueIn, unit) : sizeText(r.zeroLashIn, unit);
}

/** What is in where a part sets the preload, and what preload it makes. */
export function fittedText(v: ValveView, unit: LashUnit): string {
  const size = fittedIn(v);
  const makes = v.preload && v.preloadTarget && preloadFigure(v.preload.preload, v.preloadTarget, unit);
  return [size !== undefined && sizeText(size, unit), makes && `(${makes})`].filter(Boolean).join(" ");
}
