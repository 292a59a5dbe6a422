import type { Schemas } from "../../api/client";
import type { Contents } from "../../outbox/parcel";
import { nth } from "../../ui/nth";
import { type LashUnit, readGap, readSize, readTurns, type Typed } from "../../units/lash";
import { measuresFirst, nextValve, type Step, stepOf } from "./flow";
import { judgePreload, refusedAsLeft } from "./gauge";
import { type RoundParcel, UNANSWERED, withWaiting } from "./overlay";
import type { Phase, Round, ValveView } from "./useRound";

/**
 * A lash round as one pure machine: what a person does goes in, what is to be kept and the next
 * screen come out. It never waits for an answer: the round it works on is Shim's last answer with
 * all that waits laid over it, so the same keys make the same record on any line.
 */
export interface Begun {
  valve: string;
  phase: Phase;
  /** The reading that stood there when it was begun; another hand's later one is not written over. */
  on?: { id: string; version: number };
}

export interface Hand {
  /** Index of the valve at hand. */
  at: number;
  text: string;
  /** What stands in the box was begun for this, and stays so whatever happens meanwhile. */
  textFor?: Begun;
  correcting?: Phase;
  /** Enter once more leaves it as found though it is out. */
  sureOut: boolean;
  trouble?: string;
  /** Size of the part fitted, inch, where it was changed in its box. */
  partIn?: number;
  /** The valve passed by the house rule a moment ago: its verdict stays in sight. */
  passed?: { valve: string; found: string };
  /** What each Enter has kept, the last one last: taken back as a whole. */
  entered: { valve: string; readings: string[] }[];
}

export const EMPTY_HAND: Hand = { at: 0, text: "", sureOut: false, entered: [] };

export type Act =
  | { do: "type"; text: string }
  | { do: "enter" }
  /** As Enter, but the valve is set though it is in. */
  | { do: "setAnyway" }
  | { do: "skip" }
  | { do: "takeBack" }
  | { do: "correct"; phase: Phase }
  | { do: "part"; inch: number | undefined }
  | { do: "look"; change: Partial<Schemas["ValveLook"]> }
  | { do: "there"; crankDeg?: number }
  | { do: "move"; by: number }
  | { do: "select"; valve: string }
  | { do: "next" };

export interface Ground {
  hand: string;
  unit: LashUnit;
  newId: () => string;
  now: () => string;
}

export interface Outcome {
  hand: Hand;
  keep: Contents[];
  /** On to the next valve or, where none is left, to the end. */
  goes?: "NEXT" | "END";
}

export const stopOf = (round: Round, valve: ValveView) =>
  round.plan.stops.find((s) => s.number === valve.stop) ?? nth(round.plan.stops, 0);

export function isThere(round: Round, valve: ValveView): boolean {
  const stop = stopOf(round, valve);
  return round.crankDeg !== undefined && Math.abs(round.crankDeg - stop.crankDeg) < 0.5;
}

/** What is asked at the valve at hand; a figure begun for a step keeps it. */
export function askedNow(hand: Hand, valve: ValveView): Step {
  const begun = hand.text !== "" && hand.textFor?.valve === valve.position ? hand.textFor.phase : undefined;
  const natural = stepOf(valve);
  if (begun && begun !== phaseOf(natural)) return begun;
  if (hand.correcting) return hand.correcting === "FOUND" ? "FOUND" : "AGAIN";
  return natural;
}

export const phaseOf = (step: Step): Phase => (step === "FOUND" || step === "SURE" ? "FOUND" : "LEFT");

export function step(hand: Hand, act: Act, round: Round, ground: Ground): Outcome {
  const valve = nth(round.valves, hand.at);
  switch (act.do) {
    case "type":
      return typed(hand, act.text, valve);
    case "enter":
      return hand.text.trim() === ""
        ? emptyEnter(hand, round, valve, ground)
        : figure(hand, round, valve, ground, round.leavesWhatIsIn);
    case "setAnyway":
      return hand.text.trim() === ""
        ? backToPassed(hand, round, ground)
        : figure(hand, round, valve, ground, false);
    case "skip":
      return goOn(
        fresh(hand),
        round,
        valve.left ? [] : [look(round, valve, { skipped: true }, ground)],
        ground,
      );
    case "takeBack":
      return takeBack(hand, round, valve, ground);
    case "correct":
      return just({ ...hand, correcting: act.phase, trouble: undefined });
    case "part":
      return just({ ...hand, partIn: act.inch });
    case "look":
      return { hand, keep: [look(round, valve, act.change, ground)] };
    case "there":
      return { hand, keep: [crank(round, act.crankDeg ?? stopOf(round, valve).crankDeg, ground)] };
    case "move":
      return just({ ...fresh(hand), at: (hand.at + act.by + round.valves.length) % round.valves.length });
    case "select": {
      const at = round.valves.findIndex((v) => v.position === act.valve);
      return just(at < 0 ? hand : { ...fresh(hand), at });
    }
    case "next":
      return goOn(fresh(hand), round, [], ground);
  }
}

const just = (hand: Hand): Outcome => ({ hand, keep: [] });

/** At another valve, or the same one with an empty box. */
const fresh = (hand: Hand): Hand => ({ ...EMPTY_HAND, at: hand.at, entered: hand.entered });

function typed(hand: Hand, text: string, valve: ValveView): Outcome {
  const phase = phaseOf(askedNow(hand, valve));
  const held = heldAt(valve, phase);
  const on = held && { id: held.id, version: held.version };
  const begun = { valve: valve.position, phase, on };
  const textFor = text === "" ? undefined : hand.text === "" ? begun : hand.textFor;
  return just({ ...hand, text, textFor, trouble: undefined });
}

function emptyEnter(hand: Hand, round: Round, valve: ValveView, ground: Ground): Outcome {
  if (!isThere(round, valve)) {
    return { hand, keep: [crank(round, stopOf(round, valve).crankDeg, ground)] };
  }
  const asked = askedNow(hand, valve);
  if (asked === "FOUND") return just({ ...hand, trouble: "enter what you found" });
  if (asked === "SURE" && valve.found) {
    const { form, figure: f, secondFigure, feel, typed: t, partSizeIn } = valve.found;
    const again = { form, figure: f, secondFigure, feel, typed: t, partSizeIn };
    return kept(hand, round, valve, ground, "FOUND", { ...again, note: "read again: it is so" }, false);
  }
  if (asked === "LEFT") {
    const refused = refusal(valve, valve.foundVerdict);
    if (refused) return just({ ...hand, trouble: refused });
    const out = valve.foundVerdict !== undefined && valve.foundVerdict !== "IN";
    if (out && !hand.sureOut) return just({ ...hand, sureOut: true });
    return kept(hand, round, valve, ground, "LEFT", { form: "SAME" }, false);
  }
  return goOn(fresh(hand), round, [], ground);
}

type Said = Omit<Schemas["ReadingEntry"], "valve" | "phase" | "hand" | "basedOn">;

function said(read: Typed, text: string): Said | string {
  switch (read.kind) {
    case "figure":
      return { form: "FIGURE", figure: read.inch, typed: text };
    case "goNoGo":
      return { form: "GO_NO_GO", figure: read.goIn, secondFigure: read.noGoIn, typed: text };
    case "leaf":
      return { form: "LEAF", figure: read.leafIn, feel: read.feel, typed: text };
    case "turns":
      return { form: "TURNS", figure: read.turns, typed: text };
    case "length":
      return { form: "LENGTH", figure: read.inch, typed: text };
    case "empty":
      return "a figure, please";
    case "unclear":
      return read.why;
  }
}

function figure(hand: Hand, round: Round, valve: ValveView, ground: Ground, leaves: boolean): Outcome {
  const text = hand.text.trim();
  const phase = phaseOf(askedNow(hand, valve));
  const what = said(readAs(valve, phase, text, ground.unit), text);
  if (typeof what === "string") return just({ ...hand, trouble: what });
  const target = valve.preloadTarget;
  if (what.form === "TURNS" && phase === "LEFT" && target) {
    const refused = refusal(valve, judgePreload(target, what.figure ?? 0));
    if (refused) return just({ ...hand, trouble: refused });
  }
  // Measured once at zero lash; as left is which part went in.
  const fitted = what.form === "LENGTH" && phase === "LEFT";
  const size = fitted ? valve.preload?.parts?.sizes.find((s) => same(s.sizeIn, what.figure)) : undefined;
  const refused = size && refusal(valve, size.verdict);
  if (refused) return just({ ...hand, trouble: refused });
  const entry = fitted ? { ...what, figure: valve.found?.zeroLashIn, partSizeIn: what.figure } : what;
  return kept(hand, round, valve, ground, phase, entry, leaves);
}

/** What is typed at a valve: a gap, turns, or where nothing turns a length and then a part. */
function readAs(valve: ValveView, phase: Phase, text: string, unit: LashUnit): Typed {
  if (!valve.preloadTarget) return readGap(text, unit);
  if (valve.preloadTarget.unit === "TURNS") return readTurns(text);
  return readSize(text, unit, phase === "FOUND" ? "length at zero lash" : "size");
}

const same = (a: number, b: number | undefined) => b !== undefined && Math.abs(a - b) < 1e-6;

const refusal = (valve: ValveView, verdict: ValveView["leftVerdict"]) =>
  valve.preloadTarget && verdict && refusedAsLeft(valve.preloadTarget, verdict);

/** Keeps a figure; a valve that was put off no longer is. */
function kept(
  hand: Hand,
  round: Round,
  valve: ValveView,
  ground: Ground,
  phase: Phase,
  what: Said,
  leavesWhatIsIn: boolean,
): Outcome {
  const partSizeIn = what.partSizeIn ?? (phase === "LEFT" ? (hand.partIn ?? valve.partNowIn) : hand.partIn);
  const begun = hand.text !== "" && hand.textFor?.valve === valve.position ? hand.textFor : undefined;
  const on = begun ? begun.on : heldAt(valve, phase);
  const first = reading(round, valve, phase, { ...what, partSizeIn }, ground, on);
  const before = valve.status === "SKIPPED" ? [look(round, valve, { skipped: false }, ground)] : [];
  const out = onward(hand, round, valve, ground, { phase, what, leavesWhatIsIn, first });
  return { ...out, keep: [...before, ...out.keep] };
}

interface Entered {
  phase: Phase;
  what: Said;
  leavesWhatIsIn: boolean;
  first: Contents;
}

/** Where a figure leads: to its as left, to the next valve, or to stay and be asked. */
function onward(hand: Hand, round: Round, valve: ValveView, ground: Ground, entered: Entered): Outcome {
  const { phase, what, leavesWhatIsIn, first } = entered;
  const now = after(round, [first], ground);
  const there = nth(now.valves, hand.at);
  const done: Hand = { ...fresh(hand), entered: [...hand.entered, entry(valve, first)] };
  if (phase === "LEFT")
    return stepOf(there) === "DONE" ? goOn(done, round, [first], ground) : result(done, first);
  const settled = there.foundVerdict === "IN" && !there.ask && !there.left;
  if (leavesWhatIsIn && settled && !hand.correcting) {
    const second = reading(now, there, "LEFT", { form: "SAME", partSizeIn: there.partNowIn }, ground);
    const passed = { valve: valve.position, found: what.typed ?? "" };
    const both = { ...done, entered: [...hand.entered, entry(valve, first, second)] };
    const out = goOn(both, round, [first, second], ground);
    return { ...out, hand: { ...out.hand, passed } };
  }
  const toMeasureOn = measuresFirst(now) && there.foundVerdict !== "IN" && !there.ask && !there.left;
  return toMeasureOn ? goOn(done, round, [first], ground) : result(done, first);
}

const result = (hand: Hand, ...keep: Contents[]): Outcome => ({ hand, keep });

const entry = (valve: ValveView, ...readings: Contents[]) => ({
  valve: valve.position,
  readings: readings.flatMap((r) => (r.kind === "reading" ? [r.readingId] : [])),
});

const heldAt = (valve: ValveView, phase: Phase) => (phase === "FOUND" ? valve.found : valve.left);

function reading(
  round: Round,
  valve: ValveView,
  phase: Phase,
  what: Said,
  ground: Ground,
  on?: Begun["on"],
): Contents {
  const now = heldAt(valve, phase);
  // One's own reading may have been answered since: then its version is known.
  const held = on && now?.id === on.id && on.version === UNANSWERED ? now : on;
  const waits = held?.version === UNANSWERED;
  return {
    kind: "reading",
    roundId: round.id,
    readingId: held?.id ?? ground.newId(),
    ...(waits && { follows: true }),
    body: {
      valve: valve.position,
      phase,
      hand: ground.hand,
      ...what,
      ...(held && !waits && { basedOn: held.version }),
    },
  };
}

function look(round: Round, valve: ValveView, change: Partial<Schemas["ValveLook"]>, g: Ground): Contents {
  const { spring, rocker, note, status } = valve;
  const body = { spring, rocker, note, skipped: status === "SKIPPED", hand: g.hand, ...change };
  return { kind: "look", roundId: round.id, valve: valve.position, body };
}

const crank = (round: Round, crankDeg: number, g: Ground): Contents => ({
  kind: "crank",
  roundId: round.id,
  body: { crankDeg, by: g.hand || "?" },
});

/** The round once this is laid over it too. */
function after(round: Round, keep: Contents[], ground: Ground): Round {
  const asParcel = (c: Contents) => ({ ...c, key: "", at: ground.now(), tried: 0, held: false });
  return withWaiting(round, keep.map(asParcel) as RoundParcel[]);
}

function goOn(hand: Hand, round: Round, keep: Contents[], ground: Ground): Outcome {
  const next = nextValve(after(round, keep, ground), hand.at);
  return next === undefined
    ? { hand, keep, goes: "END" }
    : { hand: { ...fresh(hand), at: next }, keep, goes: "NEXT" };
}

const unread = (round: Round, valve: ValveView, r: { id: string; version: number }, g: Ground): Contents => ({
  kind: "unread",
  roundId: round.id,
  readingId: r.id,
  valve: valve.position,
  hand: g.hand,
  known: r.version !== UNANSWERED,
});

/** The last figure here; where there is none, all that the last Enter has kept elsewhere. */
function takeBack(hand: Hand, round: Round, valve: ValveView, ground: Ground): Outcome {
  const last = valve.left ?? valve.found;
  if (last) {
    const entered = hand.entered.map((e) => ({ ...e, readings: e.readings.filter((r) => r !== last.id) }));
    const clear = { ...fresh(hand), entered: entered.filter((e) => e.readings.length > 0) };
    return result(clear, unread(round, valve, last, ground));
  }
  const before = hand.entered.at(-1);
  const at = round.valves.findIndex((v) => v.position === before?.valve);
  if (!before || at < 0) return just({ ...hand, trouble: "nothing to take back here" });
  const there = nth(round.valves, at);
  const readings = [there.left, there.found].filter((r) => r && before.readings.includes(r.id));
  return {
    hand: { ...fresh(hand), at, entered: hand.entered.slice(0, -1) },
    keep: readings.flatMap((r) => (r ? [unread(round, there, r, ground)] : [])),
  };
}

/** The valve just passed by the house rule is set after all: its found stays, its left goes. */
function backToPassed(hand: Hand, round: Round, ground: Ground): Outcome {
  const at = round.valves.findIndex((v) => v.position === hand.passed?.valve);
  const left = at < 0 ? undefined : nth(round.valves, at).left;
  if (at < 0 || !left) return just(hand);
  return result({ ...fresh(hand), at }, unread(round, nth(round.valves, at), left, ground));
}
