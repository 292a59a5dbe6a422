import type { Schemas, Valve } from "../../api/client";
import type { ValveFace } from "../../plan/ValvePlan";
import { driftText, type LashUnit, lashText } from "../../units/lash";

export type Shown = "left" | "found" | "drift";
type Point = Schemas["Point"];

/** The latest visit of a valve at or before an hour; all of them when the hour is null. */
export function visitAt(points: Point[], hour: number | null): Point | undefined {
  return points.filter((p) => hour === null || p.engineHours <= hour + 1e-6).at(-1);
}

/** What the plan shows of an engine as it was at an hour. */
export function facesAt(
  lash: Schemas["EngineLash"],
  hour: number | null,
  shown: Shown,
  unit: LashUnit,
): Record<Valve, ValveFace> {
  const faces: Record<Valve, ValveFace> = {};
  for (const valve of lash.valves) {
    const visit = visitAt(valve.points, hour);
    if (!visit) continue;
    if (shown === "drift") {
      faces[valve.position] = { text: driftText(visit.driftIn, unit) };
    } else {
      const inch = shown === "left" ? visit.leftIn : visit.foundIn;
      faces[valve.position] = {
        text: inch === undefined ? "" : lashText(inch, unit),
        mark: shown === "left" ? visit.leftVerdict : visit.foundVerdict,
      };
    }
  }
  return faces;
}
