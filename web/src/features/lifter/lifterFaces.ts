import type { Schemas, Valve } from "../../api/client";
import type { ValveFace } from "../../plan/ValvePlan";
import type { Mark } from "../../plan/verdict";
import { driftText, type LashUnit, thouText } from "../../units/lash";
import { say } from "../../words/said";

export type ValveChain = Schemas["ValveChain"];

/** What the plan shows of each valve. */
export const SHOWN = [
  ["drift", "Lash drift"],
  ["hours", "Hours"],
  ["left", "To interval"],
  ["lift", "Lift short"],
] as const;
export type LifterShown = (typeof SHOWN)[number][0];

export function figure(v: ValveChain, shown: LifterShown, unit: LashUnit): string {
  switch (shown) {
    case "drift":
      return signed(v.drift.points.at(-1)?.pathThou, unit);
    case "hours":
      return v.lifter ? v.lifter.sinceRebuilt.toFixed(1) : "–";
    case "left":
      return v.toInterval === undefined ? "–" : v.toInterval.toFixed(1);
    case "lift": {
      const lift = v.seen.find((s) => s.look === "LOBE_LIFT");
      return lift ? thouText(lift.figure, unit) : "–";
    }
  }
}

export function signed(thou: number | undefined, unit: LashUnit): string {
  return driftText(thou === undefined ? thou : thou / 1000, unit);
}

/** The drift has marks of its own: which way it goes; all else carries the lifter's verdict. */
export function mark(v: ValveChain, shown: LifterShown): Mark | undefined {
  if (shown !== "drift") return v.lifter || v.seen.length > 0 ? v.verdict : undefined;
  if (v.drift.strength === "UNKNOWN") return undefined;
  if (v.drift.strength === "STEADY") return "IN";
  if (v.drift.strength === "WATCH") return "WATCH";
  return v.drift.signal === "OPENING" || v.drift.signal === "STEP_OPEN" ? "WIDE" : "TIGHT";
}

export function lifterFaces(
  valves: ValveChain[],
  shown: LifterShown,
  unit: LashUnit,
): Record<Valve, ValveFace> {
  return Object.fromEntries(
    valves.map((v) => [v.position, { text: figure(v, shown, unit), mark: mark(v, shown) }]),
  );
}

/** No lifter, no finding, no lash to compare: no verdict either. */
export const unknown = (v: ValveChain) => !v.lifter && v.seen.length === 0 && v.drift.strength === "UNKNOWN";

const VERDICTS = { CHANGE: 2, WATCH: 1, NOT_TESTED: 0, RUN: 0 } as const;
const STRENGTHS = { FINDING: 3, WATCH: 1, STEADY: 0, UNKNOWN: 0 } as const;

const noisy = (v: ValveChain) => v.symptoms.includes("NOISE");

const weight = (v: ValveChain) => VERDICTS[v.verdict] + STRENGTHS[v.drift.strength] + (noisy(v) ? 1 : 0);

/** Valves worth a look, most pressing first. */
export function pressing(valves: ValveChain[]): ValveChain[] {
  return valves.filter((v) => weight(v) > 0).sort((a, b) => weight(b) - weight(a));
}

/** What a valve's line says: its drift where that speaks, else the lifter's first reason. */
export function lineOf(v: ValveChain, unit: LashUnit): string {
  return v.drift.strength === "FINDING" || v.drift.strength === "WATCH"
    ? `lash ${say(v.drift.said, unit)}`
    : noisy(v)
      ? "ticks when hot"
      : v.reasons[0]
        ? say(v.reasons[0].said, unit)
        : "";
}

/**
 * How far all valves together stood, since a valve's signal began, from where they were in the round
 * before it, in its temperature state; thou. Nothing where the valve shows no signal.
 */
export function alikeSince(rounds: Schemas["RoundShiftView"][], valve: Schemas["ValveDriftView"]) {
  const { begunLow } = valve;
  if (begunLow === undefined) return undefined;
  const since = rounds.filter((r) => r.engineHours > begunLow);
  const before = rounds[rounds.length - since.length - 1];
  const alike = since.filter((r) => r.state === before?.state);
  if (!before || alike.length === 0) return undefined;
  const moved = alike.map((r) => r.allThou - before.allThou);
  return { fromHours: before.engineHours, low: Math.min(...moved), high: Math.max(...moved) };
}
