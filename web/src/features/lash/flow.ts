import { nth } from "../../ui/nth";
import { type LashUnit, unitName } from "../../units/lash";
import type { Round, ValveView } from "./useRound";

/** What is asked of a person at one valve now. */
export type Step =
  /** Read the gap before anything is touched. */
  | "FOUND"
  /** The figure looks like a slip: read again, or keep it. */
  | "SURE"
  /** Set it, lock it, read again; or leave it as found. */
  | "LEFT"
  /** Read after locking and still out: set again, or leave it so. */
  | "AGAIN"
  | "DONE";

export function stepOf(valve: ValveView): Step {
  if (!valve.found) return "FOUND";
  if (valve.left) {
    return valve.ask || (valve.leftVerdict && valve.leftVerdict !== "IN") ? "AGAIN" : "DONE";
  }
  return valve.ask ? "SURE" : "LEFT";
}

/** Where a part is exchanged, all gaps are measured first: one shim may serve another valve. */
export const measuresFirst = (round: Round) =>
  round.adjuster === "BUCKET_SHIM" ||
  round.adjuster === "PUSHROD_LENGTH" ||
  round.adjuster === "PEDESTAL_SHIM";

/** The next valve in working order: to do first, then those put off; undefined when all are done. */
export function nextValve(round: Round, after: number): number | undefined {
  const open = (i: number) => nth(round.valves, i).status !== "DONE";
  const order = round.valves.map((_, i) => (after + 1 + i) % round.valves.length).filter(open);
  const unread = measuresFirst(round) ? order.filter((i) => nth(round.valves, i).status === "OPEN") : [];
  const todo = order.filter((i) => nth(round.valves, i).status !== "SKIPPED");
  const pick = [unread, todo, order].find((list) => list.length > 0) ?? [];
  return pick.find((i) => i > after) ?? pick[0];
}

/** What fills the box of a valve: its unit, or what of it is measured where nothing turns. */
export function enteredIn(round: Round, valve: ValveView, step: Step, unit: LashUnit): string {
  if (!valve.preloadTarget) return `in ${unitName(unit)}`;
  if (valve.preloadTarget.unit === "TURNS") return "in turns back to zero lash";
  const size = unit === "mm" ? "mm" : "inches";
  if (step === "FOUND" || step === "SURE") return `the length at zero lash, in ${size}`;
  return `the ${round.adjuster === "PEDESTAL_SHIM" ? "shim" : "pushrod"} fitted, in ${size}`;
}

/** What Enter on an empty box means at each step. */
export const EMPTY_ENTER: Record<Step, string> = {
  FOUND: "",
  SURE: "⏎ alone: it is so, keep it",
  LEFT: "⏎ alone: as found is fine",
  AGAIN: "⏎ alone: leave it so",
  DONE: "⏎: next valve",
};
