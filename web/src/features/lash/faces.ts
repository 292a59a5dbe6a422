import type { Schemas, Valve } from "../../api/client";
import { kindOf } from "../../plan/geometry";
import type { ValveFace } from "../../plan/ValvePlan";
import { driftText, type LashUnit, lashText } from "../../units/lash";
import { preloadDriftText, preloadFigure } from "../../words/preload";

export type Shown = "left" | "found" | "drift";
type Point = Schemas["Point"];

/** The latest visit of a valve at or before an hour (of all, when null) that has what is to be shown. */
export function visitAt(points: Point[], hour: number | null, shown: Shown = "found"): Point | undefined {
  const has = (p: Point) => shown !== "left" || p.leftIn !== undefined || p.leftPreload !== undefined;
  return points.filter((p) => has(p) && (hour === null || p.engineHours <= hour + 1e-6)).at(-1);
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
    const visit = visitAt(valve.points, hour, shown);
    if (!visit) continue;
    const target = lash.preloads.find((t) => t.kind === kindOf(valve.position));
    if (shown === "drift") {
      faces[valve.position] = {
        text: target ? preloadDriftText(visit.preloadDrift, target, unit) : driftText(visit.driftIn, unit),
      };
    } else {
      const preload = shown === "left" ? visit.leftPreload : visit.foundPreload;
      const inch = shown === "left" ? visit.leftIn : visit.foundIn;
      faces[valve.position] = {
        text: target ? shownPreload(preload, target, unit) : inch === undefined ? "" : lashText(inch, unit),
        mark: shown === "left" ? visit.leftVerdict : visit.foundVerdict,
      };
    }
  }
  return faces;
}

const shownPreload = (value: number | undefined, target: Schemas["PreloadTarget"], unit: LashUnit) =>
  value === undefined ? "" : preloadFigure(value, target, unit);
