import type { LashUnit } from "./lash";

/** Loads go with the unit of the lash: thou with lbf, mm with N. Shim itself keeps lbf everywhere. */
const NEWTON_PER_LBF = 4.4482216152605;
const MM_PER_INCH = 25.4;

export const loadUnit = (unit: LashUnit) => (unit === "mm" ? "N" : "lbf");
export const heightUnit = (unit: LashUnit) => (unit === "mm" ? "mm" : "in");

export function loadText(lbf: number | undefined | null, unit: LashUnit, digits = 1): string {
  if (lbf === undefined || lbf === null) return "–";
  return unit === "mm" ? (lbf * NEWTON_PER_LBF).toFixed(0) : lbf.toFixed(digits);
}

export function heightText(inch: number | undefined | null, unit: LashUnit): string {
  if (inch === undefined || inch === null) return "–";
  return unit === "mm" ? (inch * MM_PER_INCH).toFixed(2) : inch.toFixed(3);
}

/** A size of a part: to a tenth of a thou where it was measured so. */
export function sizeText(inch: number | undefined | null, unit: LashUnit): string {
  if (inch === undefined || inch === null) return "–";
  return unit === "mm" ? (inch * MM_PER_INCH).toFixed(2) : inch.toFixed(4).replace(/0$/, "");
}

/** A share as percent; a true minus. */
export function percentText(share: number | undefined | null, digits = 1): string {
  if (share === undefined || share === null) return "–";
  const text = Math.abs(100 * share).toFixed(digits);
  return (share < 0 && Number(text) !== 0 ? "−" : "") + text;
}

const round = (v: number) => Math.round(v * 1e6) / 1e6;

/** A load as typed, in the person's unit or with another one named: `214.5`, `214,5`, `954 N`. */
export function readLoad(text: string, unit: LashUnit): number | undefined {
  const [, figure, unitTyped] =
    /^\s*([\d]+[.,]?\d*|[.,]\d+)\s*(lbf|lb|lbs|psi|n|kgf|kg)?\s*$/i.exec(text) ?? [];
  if (figure === undefined) return undefined;
  const v = Number(figure.replace(",", "."));
  const named = unitTyped?.toLowerCase();
  if (named === "n" || (!named && unit === "mm")) return round(v / NEWTON_PER_LBF);
  if (named === "kg" || named === "kgf") return round((v * 9.80665) / NEWTON_PER_LBF);
  return v;
}

/** A height as typed: `1.950`, `49,5 mm`. */
export function readHeight(text: string, unit: LashUnit): number | undefined {
  const [, figure, named] = /^\s*([\d]+[.,]?\d*|[.,]\d+)\s*(in|mm)?\s*$/i.exec(text) ?? [];
  if (figure === undefined) return undefined;
  const v = Number(figure.replace(",", "."));
  const mm = named ? named.toLowerCase() === "mm" : unit === "mm";
  return mm ? round(v / MM_PER_INCH) : v;
}

/** A number as typed; undefined when empty, NaN when it is none. */
export function readNumber(text: string): number | undefined {
  return text.trim() === "" ? undefined : Number(text.trim().replace(",", "."));
}

/** Sizes in a text that others read too keep the unit they were written in. */
export const named = (text: string, unit: LashUnit) =>
  unit === "mm" && /\d/.test(text) && !/[a-z"]/i.test(text) ? `${text.trim()} mm` : text;

/** What was kept without a unit is inches: whoever works in mm sees that, and leaves it so. */
export const kept = (text: string, unit: LashUnit) =>
  unit === "mm" && named(text, unit) !== text ? `${text.trim()} in` : text;
