import type { Phase, Round, ValveView } from "./useRound";

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

export function stepOf(valve: ValveView, pending: (phase: Phase) => boolean): Step {
  const found = valve.found || pending("FOUND");
  if (!found) return "FOUND";
  if (valve.left || pending("LEFT")) {
    return valve.left && (valve.ask || (valve.leftVerdict && valve.leftVerdict !== "IN")) ? "AGAIN" : "DONE";
  }
  return valve.ask ? "SURE" : "LEFT";
}

/** The next valve in working order: to do first, then those put off; undefined when all are done. */
export function nextValve(
  round: Round,
  after: number,
  pendingLeft: (v: ValveView) => boolean,
): number | undefined {
  const open = (i: number) => {
    const v = round.valves[i];
    return v.status !== "DONE" && !pendingLeft(v);
  };
  const order = round.valves.map((_, i) => (after + 1 + i) % round.valves.length);
  const todo = order.filter((i) => open(i) && round.valves[i].status !== "SKIPPED");
  return (todo.find((i) => i > after) ?? todo[0] ?? order.find(open)) as number | undefined;
}

/** What Enter on an empty box means at each step. */
export const EMPTY_ENTER: Record<Step, string> = {
  FOUND: "",
  SURE: "⏎ alone: it is so, keep it",
  LEFT: "⏎ alone: as found is fine",
  AGAIN: "⏎ alone: leave it so",
  DONE: "⏎: next valve",
};
