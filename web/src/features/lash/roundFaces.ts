import type { Valve } from "../../api/client";
import type { Parcel } from "../../outbox/parcel";
import { homeOf } from "../../outbox/words";
import type { ValveFace } from "../../plan/ValvePlan";
import { type LashUnit, lashText } from "../../units/lash";
import { preloadFigure } from "../../words/preload";
import type { Round, ValveView } from "./useRound";

function figure(v: ValveView, unit: LashUnit): string {
  const held = v.left ?? v.found;
  if (!held) return "";
  if (!v.preloadTarget) return lashText(held.valueIn, unit);
  const preload = v.preload?.preload ?? held.turns;
  return preload === undefined ? "…" : preloadFigure(preload, v.preloadTarget, unit);
}

function mark(v: ValveView, notTaken: boolean): ValveFace["mark"] {
  if (notTaken) return "AGAIN";
  if (v.spring === "BROKEN" || v.rocker === "LOOSE" || v.rocker === "WORN" || v.spring === "LOOSE")
    return "LOOK";
  if (v.status === "SKIPPED") return "ASIDE";
  if (v.left) return v.leftVerdict ?? "IN";
  return v.foundVerdict;
}

/** The plan during a round: what is done, what belongs to this stop, what Shim has not taken. */
export function roundFaces(
  round: Round,
  stop: number,
  unit: LashUnit,
  parcels: readonly Parcel[] = [],
): Record<Valve, ValveFace> {
  const notTaken = new Set(parcels.filter((p) => p.held).map((p) => homeOf(p).valve));
  return Object.fromEntries(
    round.valves.map((v) => [
      v.position,
      {
        text: figure(v, unit),
        mark: mark(v, notTaken.has(v.position)),
        lit: v.stop === stop && v.status !== "DONE",
      },
    ]),
  );
}
