import type { Schemas } from "../../api/client";
import { type LashUnit, lashText, unitName } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";

/** What a lift table said: lift, run-out, centre and durations, and that a dial was turned round. */
export function foundText(found: Schemas["LiftFound"], unit: LashUnit): string {
  const { liftIn, runOutIn, centreDeg, durations, countedDown, understood } = found;
  return [
    `lift ${heightText(liftIn, unit)} ${heightUnit(unit)}`,
    `base circle runs out ${lashText(runOutIn, unit)} ${unitName(unit)}`,
    centreDeg !== undefined && `centre at ${centreDeg.toFixed(1)}°`,
    ...durations.map((d) => `open ${Math.round(d.durationDeg)}° over ${heightText(d.liftIn, unit)}`),
    countedDown && "the dial counted down and was turned round",
    understood,
  ]
    .filter(Boolean)
    .join("; ");
}
