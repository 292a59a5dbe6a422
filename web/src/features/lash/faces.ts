import type { Schemas, Valve } from "../../api/client";
import type { ValveFace } from "../../plan/ValvePlan";
import { driftText, type LashUnit, lashText } from "../../units/lash";

export type Shown = "left" | "found" | "drift";
type Point = Schemas["Point"];

/** The latest visit of a valve at or before an hour (of all, when null) that has what is to be shown. */
export function visitAt(points: Point[], hour: number | null, shown: Shown = "found"): Point | undefined {
  const has = (p: Point) => shown !== "left" || p.leftIn !== undefined || p.leftTurns !== undefined;
  return points.filter((p) => has(p) && (hour === null || p.engineHours <= hour + 1e-6)).at(-1);
}

/** Turns of a hydraulic preload, to the hundredth. */
export const turnsText = (turns: number) => String(Math.round(turns * 100) / 100);

/** What the plan shows of an engine as it was at an hour. */
export function facesAt(
  lash: Schemas["EngineLash"],
  hour: number | null,
  shown: Shown,
  unit: LashUnit,
): Record<Valve, ValveFace> {
  const faces: Record<Valve, ValveFace> = {};
  for (const valve of lash.valves) {
    const visit = visitAt(valve.points, hour, shown);
    if (!visit) continue;
    if (shown === "drift") {
      faces[valve.position] = { text: driftText(visit.driftIn, unit) };
    } else {
      const turns = shown === "left" ? visit.leftTurns : visit.foundTurns;
      const inch = shown === "left" ? visit.leftIn : visit.foundIn;
      faces[valve.position] = {
        text: inch !== undefined ? lashText(inch, unit) : turns === undefined ? "" : turnsText(turns),
        mark: shown === "left" ? visit.leftVerdict : visit.foundVerdict,
      };
    }
  }
  return faces;
}
