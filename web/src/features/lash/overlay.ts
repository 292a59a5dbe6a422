import type { Parcel, ParcelOf } from "../../outbox/parcel";
import { heardIn, judge, judgePreload, plain } from "./gauge";
import type { Round, ValveView } from "./useRound";

export type RoundParcel = ParcelOf<"reading" | "unread" | "look" | "crank">;
type Reading = NonNullable<ValveView["found"]>;

export const ofRound = (box: readonly Parcel[], roundId: string): RoundParcel[] =>
  box.filter(
    (p): p is RoundParcel =>
      (p.kind === "reading" || p.kind === "unread" || p.kind === "look" || p.kind === "crank") &&
      p.roundId === roundId,
  );

/** A reading that Shim has not answered yet has no version. */
export const UNANSWERED = -1;

/** Words of Shim's own question come with its answer; until then these. */
const FAR_OFF = {
  code: "KEPT",
  figures: {},
  name: "that is far from its target: read it again, or keep it",
};

/** The round as it stands for whoever enters it: Shim's last answer and, over it, what still waits. */
export function withWaiting(round: Round, parcels: readonly RoundParcel[]): Round {
  const now = parcels.reduce(over, round);
  const valves = now.valves;
  return valves === round.valves ? now : { ...now, done: valves.filter((v) => v.status === "DONE").length };
}

function over(round: Round, p: RoundParcel): Round {
  if (p.held) return round;
  switch (p.kind) {
    case "crank":
      return { ...round, crankDeg: p.body.crankDeg };
    case "reading":
      return at(round, p.body.valve, (v) => read(v, p, round.feelerStepIn));
    case "unread":
      return at(round, p.valve, (v) => unread(v, p.readingId));
    case "look":
      return at(round, p.valve, (v) => {
        const { spring, rocker, note, skipped } = p.body;
        return standing({ ...v, spring, rocker, note }, skipped);
      });
  }
}

function at(round: Round, valve: string, change: (v: ValveView) => ValveView): Round {
  return { ...round, valves: round.valves.map((v) => (v.position === valve ? change(v) : v)) };
}

function standing(v: ValveView, skipped = false): ValveView {
  const status = v.left ? "DONE" : skipped ? "SKIPPED" : v.found ? "FOUND" : "OPEN";
  return { ...v, status };
}

/** What Shim reckoned from the figure before says nothing of this one. */
const NOT_RECKONED = { turn: undefined, preload: undefined, part: undefined };

function read(v: ValveView, p: ParcelOf<"reading">, stepIn: number): ValveView {
  const { body } = p;
  const held = body.phase === "FOUND" ? v.found : v.left;
  // Shim has it already, and only its answer was lost.
  if (held?.id === p.readingId && held.version >= 0 && sameFigure(held, body)) return v;
  const valueIn = body.form === "SAME" ? v.found?.valueIn : heardIn(body, stepIn);
  const reading: Reading = {
    id: p.readingId,
    form: body.form,
    figure: body.figure,
    secondFigure: body.secondFigure,
    feel: body.feel,
    typed: body.typed,
    valueIn,
    turns: body.form === "SAME" ? v.found?.turns : body.form === "TURNS" ? body.figure : undefined,
    zeroLashIn: body.form === "SAME" ? v.found?.zeroLashIn : body.form === "LENGTH" ? body.figure : undefined,
    partSizeIn: body.partSizeIn,
    hand: body.hand,
    note: body.note,
    takenAt: p.at,
    version: UNANSWERED,
  };
  const said = judged(v, reading);
  const far = v.gauge && valueIn !== undefined && !body.note && !plain(v.gauge, valueIn);
  const fresh = { ...v, ...NOT_RECKONED, ask: far ? FAR_OFF : undefined };
  return body.phase === "FOUND"
    ? standing({ ...fresh, found: reading, foundVerdict: said, driftIn: undefined, noDrift: undefined })
    : standing({ ...fresh, left: reading, leftVerdict: said });
}

/** In or out, as far as the screen can say it itself: a length is reckoned by Shim. */
function judged(v: ValveView, { valueIn, turns }: Reading): ValveView["leftVerdict"] {
  if (v.gauge && valueIn !== undefined) return judge(v.gauge, valueIn);
  return v.preloadTarget && turns !== undefined ? judgePreload(v.preloadTarget, turns) : undefined;
}

function sameFigure(held: Reading, body: ParcelOf<"reading">["body"]): boolean {
  return (
    held.form === body.form &&
    held.figure === body.figure &&
    held.secondFigure === body.secondFigure &&
    held.feel === body.feel &&
    held.partSizeIn === body.partSizeIn &&
    held.note === body.note
  );
}

function unread(v: ValveView, readingId: string): ValveView {
  const without = { ...v, ...NOT_RECKONED, ask: undefined };
  const putOff = v.status === "SKIPPED";
  if (v.left?.id === readingId)
    return standing({ ...without, left: undefined, leftVerdict: undefined }, putOff);
  if (v.found?.id === readingId) {
    return standing({ ...without, found: undefined, foundVerdict: undefined }, putOff);
  }
  return v;
}
