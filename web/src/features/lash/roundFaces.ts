import type { Valve } from "../../api/client";
import type { ValveFace } from "../../plan/ValvePlan";
import { type LashUnit, lashText } from "../../units/lash";
import { turnsText } from "./faces";
import type { Round, ValveView } from "./useRound";

function figure(v: ValveView, unit: LashUnit): string {
  const held = v.left ?? v.found;
  if (!held) return "";
  return held.turns === undefined ? lashText(held.valueIn, unit) : turnsText(held.turns);
}

function mark(v: ValveView): ValveFace["mark"] {
  if (v.spring === "BROKEN" || v.rocker === "LOOSE" || v.rocker === "WORN" || v.spring === "LOOSE")
    return "LOOK";
  if (v.status === "SKIPPED") return "ASIDE";
  if (v.left) return v.leftVerdict ?? "IN";
  return v.foundVerdict;
}

/** The plan during a round: what is done, what belongs to this stop. */
export function roundFaces(round: Round, stop: number, unit: LashUnit): Record<Valve, ValveFace> {
  return Object.fromEntries(
    round.valves.map((v) => [
      v.position,
      { text: figure(v, unit), mark: mark(v), lit: v.stop === stop && v.status !== "DONE" },
    ]),
  );
}
