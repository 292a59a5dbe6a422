import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";

/** "1 lock", "2 locks". */
export function itemText(item: Schemas["LayOut"]["item"], n: number): string {
  const words = item.toLowerCase();
  return `${n} ${n === 1 ? words.replace(/s$/, "") : words}`;
}

/** A spring from stock: what it reads where it would stand, how long it has run, how it fits. */
export function offerText(offer: Schemas["Offer"], unit: LashUnit): string {
  const size = (inch: number) => `${heightText(Math.abs(inch), unit)} ${heightUnit(unit)}`;
  const { loadLbf, heightIn, hours, playIn = 0 } = offer;
  return [
    loadLbf !== undefined && `${loadText(loadLbf, unit, 0)} ${loadUnit(unit)} at ${size(heightIn)}`,
    hours > 0 ? `${hours.toFixed(1)} h run` : "new",
    playIn < 0 && `${size(playIn)} too wide for the pocket`,
    playIn > 0 && `${size(playIn)} of play in the pocket`,
  ]
    .filter(Boolean)
    .join(", ");
}

const COMES_OFF: Record<Schemas["ComesOff"]["part"], string> = {
  PLUGS: "plugs",
  COVERS: "valve covers",
  INTAKE: "intake",
  ROCKERS_AND_PUSHRODS: "rockers and pushrods",
  ROCKERS_OR_BUCKETS: "rockers or buckets",
};

export const comesOffText = ({ part, cylinder }: Schemas["ComesOff"]) =>
  cylinder === undefined ? COMES_OFF[part] : `${COMES_OFF[part]} of cylinder ${cylinder}`;
