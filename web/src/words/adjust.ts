import type { Schemas } from "../api/client";
import { fromInch, type LashUnit, lashText, unitName } from "../units/lash";
import { heightText } from "../units/load";
import { preloadFigure, preloadUnit } from "./preload";

/** How far to turn the adjuster. */
export function turnText(turn: Schemas["Turn"]): string {
  if (turn.direction === "LEAVE") return "less than a wrench can be turned: leave it";
  const way = turn.direction === "TIGHTEN" ? "tighten" : "loosen";
  return `${way} ${turn.degrees}°${turn.fraction ? ` (${turn.fraction} turn)` : ""}`;
}

/** What to do about a hydraulic lifter's preload: turns to the nearest 5° of wrench, or a part. */
export function preloadText(
  preload: Schemas["Preload"],
  target: Schemas["PreloadTarget"],
  unit: LashUnit,
): string {
  const { verdict, change, parts } = preload;
  if (verdict === "IN") return "preload is right";
  if (target.unit === "TURNS") {
    if (verdict === "BOTTOMED") return "the plunger is bottomed: back off to zero lash and set it anew";
    const degrees = Math.round(Math.abs(change) * 72) * 5;
    return `${change > 0 ? "tighten" : "loosen"} ${degrees}°`;
  }
  const best = parts?.sizes.find((s) => s.verdict === "IN");
  if (!parts) return "write the pushrods' length on the engine's sheet";
  return best
    ? `fit ${sizeText(best.sizeIn, unit)} for ${preloadFigure(best.travelIn, target, unit)} ${preloadUnit(target, unit)}`
    : `none to hand is right: a one-off of ${sizeText(parts.wantedSizeIn, unit)} is wanted`;
}

const USES: Record<NonNullable<Schemas["PreloadTarget"]["use"]>, string> = {
  HIGH_REVS: "for high revs",
  STANDARD: "for standard use",
  LIMITED_TRAVEL: "for limited-travel lifters",
};

/** "0.38 to 0.63 turns". */
export const rangeText = (t: Schemas["PreloadTarget"], unit: LashUnit) =>
  `${preloadFigure(t.from, t, unit)} to ${preloadFigure(t.to, t, unit)} ${preloadUnit(t, unit)}`;

/** Whose figure it is and what it is for, as far as somebody wrote it down. */
export const groundText = (t: Schemas["PreloadTarget"]) =>
  [t.use && USES[t.use], t.source && `by ${t.source}`, t.ruled && "the class wants it above zero"]
    .filter(Boolean)
    .join(", ");

/** Size of a part that sets lash; shims are told apart by less than lash is read to. */
export function sizeText(inch: number, unit: LashUnit): string {
  return unit === "mm" ? `${fromInch(inch, "mm").toFixed(3)} mm` : `${inch.toFixed(4)} in`;
}

/** Which part to fit. */
export function partText(choice: Schemas["PartChoice"], unit: LashUnit): string {
  if (choice.right) return "what is in is right";
  const best = choice.options.find((o) => o.withinTolerance);
  return best
    ? `fit ${sizeText(best.sizeIn, unit)} for a lash of ${lashText(best.lashIn, unit)} ${unitName(unit)}`
    : `none to hand fits: a one-off of ${sizeText(choice.wantedSizeIn, unit)} is wanted`;
}

/** What is under the spring, from the bottom. */
export const stackText = (shimsIn: readonly number[], unit: LashUnit) =>
  shimsIn.length === 0
    ? "no shim"
    : `${shimsIn.map((s) => heightText(s, unit)).join(" + ")}${shimsIn.length > 1 ? ", thinnest at the bottom" : ""}`;

const offsetText = (inch: number, unit: LashUnit) =>
  inch === 0 ? "plain" : `${inch > 0 ? "+" : "−"}${heightText(Math.abs(inch), unit)}`;

/** What comes out and what goes in, and the stack it makes where something stays. */
function shimsText({ shimsIn, takeOutIn, putInIn }: Schemas["Way"], unit: LashUnit): string {
  const list = (pieces: readonly number[]) => pieces.map((s) => heightText(s, unit)).join(" and ");
  if (takeOutIn.length === 0 && putInIn.length === shimsIn.length)
    return `put in ${stackText(shimsIn, unit)}, serrated side down`;
  const out = takeOutIn.length > 0 ? `take out ${list(takeOutIn)}` : "";
  const put = putInIn.length > 0 ? `put in ${list(putInIn)}` : "";
  const stays = shimsIn.length > putInIn.length || shimsIn.length === 0;
  const makes = stays ? ` (then ${stackText(shimsIn, unit)})` : "";
  return `${[out, put].filter(Boolean).join(", ")}${makes}`;
}

/** A way to an installed height. */
export function wayText(way: Schemas["Way"], unit: LashUnit): string {
  const shims = way.takeOutIn.length + way.putInIn.length > 0 ? shimsText(way, unit) : "";
  const locks = `${offsetText(way.lockIn, unit)} locks`;
  switch (way.kind) {
    case "AS_IT_IS":
      return "as it is";
    case "SHIMS":
      return shims;
    case "LOCKS":
      return locks;
    case "LOCKS_AND_SHIMS":
      return `${locks}, ${shims}`;
    case "RETAINER":
      return [`${offsetText(way.retainerIn, unit)} retainer`, way.lockIn === 0 ? "" : locks, shims]
        .filter(Boolean)
        .join(", ");
    case "MACHINE_LOCATOR":
      return `${way.takeOutIn.length > 0 ? `${shims}, ` : ""}machine ${heightText(way.machineIn, unit)} off the locator or pocket: part cool, sneak up`;
    case "ONE_MADE_PIECE":
      return `${way.takeOutIn.length > 0 ? `take out ${way.takeOutIn.map((s) => heightText(s, unit)).join(" and ")}, ` : ""}one piece made to ${heightText(way.shimsIn[0], unit)}`;
  }
}
