import type { Schemas } from "./client";

export type RoundChange = Schemas["RoundChange"];
type ValveView = Schemas["ValveView"];

/**
 * A round as this device knows it: Shim's last whole answer, and the answers to single entries that
 * have seen more changes than it. Answers overtake each other on a slow line, so each valve is kept
 * with the number of changes its answer had seen.
 */
export type KnownRound = Schemas["RoundView"] & { ahead?: Readonly<Record<string, number>> };

/** Stands among the valves for where the crank is. */
const CRANK = "crank";

const seenAt = (round: KnownRound, what: string) => round.ahead?.[what] ?? round.changes;

/** The most changes any answer had seen. */
export const changesSeen = (round: KnownRound) =>
  Math.max(round.changes, ...Object.values(round.ahead ?? {}));

/** The round with what an entry changed in it. */
export function withChange(round: KnownRound, change: RoundChange): KnownRound {
  const changed = new Map(change.valves.map((v) => [v.position, v]));
  const ahead = { ...round.ahead };
  for (const what of [...changed.keys(), CRANK]) ahead[what] = change.changes;
  return newest(round, {
    ...round,
    crankDeg: change.crankDeg,
    crankBy: change.crankBy,
    valves: round.valves.map((v) => changed.get(v.position) ?? v),
    ahead,
  });
}

/** Of two answers the one that has seen more changes counts, valve by valve. */
export function newest(before: KnownRound, now: KnownRound): KnownRound {
  const whole = now.changes >= before.changes ? now : before;
  const newer = (what: string) => (seenAt(before, what) > seenAt(now, what) ? before : now);
  const at = (round: KnownRound, position: string) => round.valves.find((v) => v.position === position);
  const valves = whole.valves.map((v): ValveView => at(newer(v.position), v.position) ?? v);
  const ahead = Object.fromEntries(
    [...whole.valves.map((v) => v.position), CRANK]
      .map((what) => [what, seenAt(newer(what), what)] as const)
      .filter(([, seen]) => seen > whole.changes),
  );
  const { crankDeg, crankBy } = newer(CRANK);
  const done = valves.filter((v) => v.status === "DONE").length;
  return { ...whole, crankDeg, crankBy, valves, done, ahead };
}
