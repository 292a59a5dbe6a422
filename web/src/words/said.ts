import type { Schemas, Valve } from "../api/client";
import { driftText, type LashUnit, lashText, rateText, unitName } from "../units/lash";
import { heightText, heightUnit, loadText, loadUnit, percentText } from "../units/load";

/** Something Shim says: a code and its figures, made into a sentence here and nowhere else. */
export type Said = Schemas["Said"];

/** A figure by its name, as a person reads it in their unit. */
interface Figures {
  /** Name of the unit of lash. */
  unit: string;
  hours(name: string): string;
  share(name: string): string;
  chance(name: string): string;
  load(name: string): string;
  height(name: string): string;
  lash(name: string): string;
  thou(name: string): string;
  signed(name: string): string;
  rate(name: string): string;
  plain(name: string, digits?: number): string;
  above0(name: string): boolean;
  /** A figure of common practice, inch. */
  usual(inch: number): string;
}

type Saying = (f: Figures, name: string) => string;

const among = (f: Figures) => f.plain("tests", 0);

const MISMATCH: Record<string, string> = {
  ANGLE: "their angle is not the retainer's",
  STEM: "they are made for another stem",
  GROOVE: "they are made for another groove",
};

const SAYINGS: Record<string, Saying> = {
  "SPRING.LOSS": (f) =>
    `loss ${f.share("now")} now; at the end of the next event ${f.share("next")} (${f.share("nextLow")} to ${f.share("nextHigh")}), ${f.chance("chance")} chance of more than the ${f.share("limit")} limit`,
  "SPRING.LEAST_LOAD": (f) =>
    `load ${f.load("nextLbf")} at the end of the next event, ${f.chance("chance")} chance of less than ${f.load("leastLbf")}`,
  "SPRING.LIFE": (f) =>
    `${f.hours("hours")} run of a life of ${f.hours("lifeHours")}; load does not predict a fracture`,
  "SPRING.SUDDEN": (f) =>
    `fell by ${f.share("by")} all at once or since its test before, and has not come back: measure its height again, then pull it and look for a broken inner`,
  "SPRING.READ_AGAIN": (f) => {
    const what = f.above0("apart") ? "its settings do not agree" : "one setting alone says so";
    const then = f.above0("waits") ? "read it again before you change it" : "set it up and read it again";
    return `${what}, ${f.plain("sd")} s.d. off what was predicted (${f.chance("wrong")} chance that it was wrong): ${then}`;
  },
  "SPRING.BATCH": (f) =>
    `another spring of its batch broke at ${f.hours("brokeHours")}; this one has ${f.hours("hours")}`,
  "SPRING.OWN_WAY": (f) => `has left its set (${f.chance("chance")}): judged by its own readings alone`,
  "SPRING.ODD_ONE_OUT": (f) =>
    `stands apart from its set today (robust z ${f.plain("z")}): a reason to look, not to change`,
  "SPRING.OVER_REV": () => "over-revved since its last test: test again",
  "SPRING.LITTLE_KNOWN": (f) =>
    among(f) === "0"
      ? "no test so far: nothing is known of its load"
      : `${among(f) === "1" ? "one test" : `${among(f)} tests`} so far: the set's usual rate is assumed`,
  "SPRING.NO_CHECK_SPRING": () =>
    "no check spring in the last test: the loss of the whole set is uncertain, the comparison within it is not",

  "CHOICE.OUT_OF_HEIGHT": (f) => `its height is out by ${f.height("offIn")} with all that can be had`,
  "CHOICE.MUST_BE_CUT": (f) =>
    f.above0("byIn") ? `the pocket must be cut by ${f.height("byIn")}` : "a shim must be made for it",
  "CHOICE.NO_LOCKS": (_, name) => `none of its locks go in here: ${MISMATCH[name] ?? "they do not match"}`,
  "CHOICE.LINK_OVER_LOAD": (f, name) =>
    `${f.load("dutyLbf")} open is too much for the ${name.toLowerCase()}: ${f.load("limitLbf")} at most`,
  "CHOICE.LINK_OVER_LIFT": (f, name) =>
    `${f.height("dutyIn")} lift is too much for the ${name.toLowerCase()}: ${f.height("limitIn")} at most`,
  "CHOICE.LINK_OVER_SPEED": (f, name) =>
    `${f.plain("duty", 0)} rpm is too much for the ${name.toLowerCase()}: ${f.plain("limit", 0)} at most`,
  "CHOICE.RING_BINDS": (f) =>
    `a ring of the nest has ${f.height("clearanceIn")} to bind, ${f.height("leastIn")} is wanted`,
  "CHOICE.HEIGHT_UNKNOWN": () => "no height of these heads is known yet: measure them first",

  "FIT.UNDER_BIND": (f) =>
    `installed height ${f.height("heightIn")} is not above bind at ${f.height("bindIn")}`,
  "FIT.NEAR_BIND": (f) =>
    `${f.height("clearanceIn")} from bind at full lift, under ${f.height("leastIn")}: it does not run so`,
  "FIT.CLOSE_TO_BIND": (f) =>
    `${f.height("clearanceIn")} from bind at full lift: ${f.height("leastIn")} is wanted`,
  "FIT.COILS_CLOSE": (f) =>
    `${f.height("gapIn")} between the lowest coils at full lift: ${f.height("leastIn")} is wanted`,
  "FIT.BOOST_TAKES": (f) =>
    `boost takes ${f.load("takesLbf")} off the closed valve: ${f.load("leftLbf")} is left`,
  "FIT.FAR_FROM_BIND": (f) =>
    `${f.height("clearanceIn")} from bind: over ${f.usual(0.15)} gives away surge damping`,
  "FIT.MEETS_SEAL": (f) => `the retainer meets the seal: ${f.height("clearanceIn")} at full lift`,
  "FIT.CLOSE_TO_SEAL": (f) =>
    `${f.height("clearanceIn")} from retainer to seal at full lift: ${f.usual(0.05)} is usual`,
  "FIT.WIDER_THAN_POCKET": (f) => `the spring is ${f.height("byIn")} wider than its pocket`,
  "FIT.LITTLE_PLAY": (f) => `${f.height("playIn")} play in the pocket: it must turn freely`,
  "FIT.MUCH_PLAY": (f) => `${f.height("playIn")} play in the pocket: about ${f.usual(0.005)}, or it dances`,
  "FIT.WRONG_PLAY": (f) =>
    `${f.height("playIn")} play in the pocket: surely another part, or a wrong reading`,
  "FIT.STATED_DIFFERS": (f) =>
    `height less lift less bind gives ${f.height("clearanceIn")}, ${f.height("statedIn")} is stated: measure the height, the lift or the bind again`,
  "FIT.SEAT_WITH_ROLLER": (f) => seat(f, "roller"),
  "FIT.SEAT_WITH_FLAT": (f) => seat(f, "flat tappet"),
  "FIT.OPEN_WITH_ROLLER": (f) => open(f, "roller"),
  "FIT.OPEN_WITH_FLAT": (f) => open(f, "flat tappet"),
  "FIT.OVER_ITS_LIFT": (f) => `the lift is over the spring's ${f.height("mostIn")}`,

  "LASH.UNKNOWN": () => "not enough rounds in one temperature state to compare yet",
  "LASH.STEADY": () => "as it was, within what leaves can tell",
  "LASH.OPENING": (f, first) => drifts(f, "opening") + lookFirst(first),
  "LASH.CLOSING": (f, first) => drifts(f, "closing") + lookFirst(first),
  "LASH.WENT_WIDE": (f, first) => stepped(f, "wide") + lookFirst(first),
  "LASH.WENT_TIGHT": (f, first) => stepped(f, "tight") + lookFirst(first),

  "COMMON.ALL_MOVE": (f) => `all valves ${moves(f)}: growth, gasket or a wrong temperature state before wear`,
  "COMMON.EXHAUSTS_MOVE": (f) =>
    `the exhausts against the intakes ${moves(f)}: ${f.above0("thouPerHour") ? "intake seats, or heat" : "exhaust seats sinking, if it goes on"}`,
  "COMMON.SECOND_BANK_MOVES": (f) =>
    `the second bank against the first ${moves(f)}: a head or gasket settling, or one bank read warmer`,
  "COMMON.NOTHING_OF_ALL": () => `all valves${NO_RATE}`,
  "COMMON.NOTHING_OF_EXHAUSTS": () => `the exhausts against the intakes${NO_RATE}`,
  "COMMON.NOTHING_OF_SECOND_BANK": () => `the second bank against the first${NO_RATE}`,
  "COMMON.ROUND_READ_OFF": (f) =>
    `the round at ${f.hours("atHours")} read ${f.thou("thou")} ${f.above0("thou") ? "wide" : "tight"} at every valve: temperature, hand or leaf; no valve is blamed for it`,

  "LIFTER.SEEN": (_, seen) => seen,
  "LIFTER.TREND": (f) =>
    `lash opened ${f.thou("movedThou")} since ${f.hours("sinceHours")}, ${f.thou("thenThou")} by the end of the next event; over ${f.thou("wornThou")} is a worn lobe or lifter`,
  "LIFTER.LOOK_FIRST": (f, look) =>
    `look at the ${look} first, it may explain it; then change: lash opened ${f.thou("movedThou")} since ${f.hours("sinceHours")}, ${f.thou("thenThou")} by the end of the next event, over ${f.thou("wornThou")} is a worn lobe or lifter`,
  "LIFTER.WENT_WIDE_ONCE": () => "the lash of its valve went wide once: look before blaming it",
  "LIFTER.MAY_BE_OPENING": () => "the lash of its valve may be opening: look before blaming it",
  "LIFTER.INTERVAL": (f) => interval(f),
  "LIFTER.OVER_INTERVAL": (f) => `${interval(f)}: over it`,
  "LIFTER.INTERVAL_AT_NEXT": (f) => `${interval(f)}: the next event takes it over`,
  "LIFTER.OVER_REV": (f) =>
    `${f.plain("times", 0)} ${f.plain("times", 0) === "1" ? "over-rev" : "over-revs"} since it was fitted`,
  "LIFTER.OPEN_LOAD": (f) =>
    `carries ${f.load("loadLbf")} open; over ${f.load("usualLbf")} is much for its kind`,
  "LIFTER.NOT_LOOKED_AT": () => "never looked at since it was fitted",
  "LIFTER.NOT_ON_RECORD": () => "no lifter is on record at this valve",

  "LOBE.NO_CARD": () => "the card gives no lobe lift to compare with",
  "LOBE.FULL_LIFT": () => "full lift",
  "LOBE.FULL_THOUGH_LASH_OPENS": () =>
    "lift is there though the lash opens: adjuster, tips or lifter, not the lobe's nose",
  "LOBE.SHORT_LASH_STANDS": (f, means) =>
    `${short(f, means)}; its lash has not moved: dial and zero lash first`,
  "LOBE.SHORT_LASH_AGREES": (f, means) =>
    `${short(f, means)}; its lash opened ${f.thou("openedThou")}, the same story`,
  "LOBE.SHORT_LASH_DIFFERS": (f, means) =>
    `${short(f, means)}; its lash opened ${f.thou("openedThou")}: more than one thing, or the dial`,

  /** As it was said until it had a code. */
  "ROUND.SEEN": (_, seen) => seen,
  "SEEN.SPRING_BROKEN": () => "spring broken: it does not run like this",
  "SEEN.SPRING_LOOSE": () => "spring loose: measure its seat load and height before it runs",
  "SEEN.SPRING_WORN": () => "spring worn: look at it before it runs",
  "SEEN.ROCKER_BROKEN": () => "rocker broken: it does not run like this",
  "SEEN.ROCKER_LOOSE": () => "rocker loose: look at its stud, nut and shaft before it runs",
  "SEEN.ROCKER_WORN": () => "rocker worn: look at its tip and underside before it runs",
  "ROUND.NOT_DONE": () => "was not done",
  "ROUND.UNDER_FLOOR": (f) =>
    `left at ${f.lash("leftIn")}, under the lowest allowed ${f.lash("floorIn")} ${f.unit}`,
  "ROUND.OUTSIDE": (f) =>
    `left at ${f.lash("leftIn")}, outside ${f.lash("targetIn")} ± ${f.lash("toleranceIn")} ${f.unit}`,
  "ROUND.PRELOAD_TURNS_OUT": (f, verdict) =>
    `left ${OUT[verdict] ?? verdict} with a preload of ${f.plain("left", 2)} turns, wanted ${f.plain("from", 2)} to ${f.plain("to", 2)}`,
  "ROUND.PRELOAD_OUT": (f, verdict) =>
    `left ${OUT[verdict] ?? verdict} with ${f.lash("leftIn")} of plunger, wanted ${f.lash("fromIn")} to ${f.lash("toIn")} ${f.unit}`,
  "ROUND.ALL_MOVED": (f) =>
    `intakes and exhausts all moved the same way (${f.signed("intakesThou")} and ${f.signed("exhaustsThou")}): temperature, hand or leaf before wear`,
  "ROUND.EXHAUSTS_CLOSED": (f) =>
    `the exhausts as a whole closed ${f.thou("thou")}: seats sinking, if it goes on`,

  "ASK.NO_LASH": () => "no lash at all: is the lifter on the base circle?",
  "ASK.TEN_TIMES": (f) =>
    `${f.lash("lashIn")} is ten times the target ${f.lash("targetIn")}: ${f.lash("meantIn")}?`,
  // Whoever types mm is not asked whether it was mm.
  "ASK.MILLIMETRE": (f) =>
    f.unit === "mm"
      ? farOver(f)
      : `${f.lash("lashIn")} is far over the target ${f.lash("targetIn")}; as mm it would be ${f.lash("meantIn")}: was it mm?`,
  "ASK.TENTH": (f) => `${f.lash("lashIn")} is a tenth of the target ${f.lash("targetIn")}, or less: right?`,
  "ASK.FAR_OVER": (f) => farOver(f),

  "ASK.PRELOAD_FAR_OVER": (f) =>
    `that would be ${f.lash("travelIn")} of a plunger that has ${f.lash("totalIn")} ${f.unit}: read it again`,
  "ASK.PRELOAD_FAR_UNDER": (f) =>
    `what is in is ${f.lash("shortIn")} too short to touch, with a plunger of ${f.lash("totalIn")} ${f.unit}: read it again`,

  "NO_TARGET.HYDRAULIC": () => "hydraulic lifters have preload, no lash",
  "NO_TARGET.NO_LASH_BY_TABLE": (f, state) => noLash(f, state, "the table"),
  "NO_TARGET.NO_LASH_BY_DIFFERENCE": (f, state) => noLash(f, state, "the team's fixed offset"),
  "NO_TARGET.NO_LASH_BY_GROWTH": (f, state) => noLash(f, state, "this engine's own growth"),

  "TARGET.AS_CARD": (_, state) => `the card's ${heat(state)} figure`,
  "TARGET.AS_TEAM": (_, state) => `the team's own ${heat(state)} figure, in place of the card's`,
  "TARGET.FIXED": (f, state) => `${fromCard(f, state)}: the team's fixed offset`,
  "TARGET.OWN_GROWTH": (f, state) =>
    `${fromCard(f, state)}: this engine's own growth, ${f.plain("pairs", 0)} pairs, s.d. ${f.thou("sdThou")}`,
  "TARGET.TABLE_IRON_HEADS": (f, state) => table(f, state, "iron heads"),
  "TARGET.TABLE_ALUMINIUM_HEADS": (f, state) => table(f, state, "iron block, aluminium heads"),
  "TARGET.TABLE_ALL_ALUMINIUM": (f, state) => table(f, state, "all aluminium"),

  KEPT: (_, words) => words,
};

/** How a preload is out, after "left". */
const OUT: Record<string, string> = {
  NO_PRELOAD: "without preload,",
  SHALLOW: "shallow,",
  DEEP: "deep,",
  BOTTOMED: "at the end of the plunger,",
};

const noLash = (f: Figures, state: string, by: string) =>
  `${by} (${f.signed("shiftThou")}) leaves no lash ${heat(state)} of ${f.lash("cardIn")}: measure this engine's growth, or ask for a ${heat(state)} figure`;

const farOver = (f: Figures) =>
  `${f.lash("lashIn")} is far over the target ${f.lash("targetIn")}: did the crank reach its stop, is the nut tight?`;

const heat = (state: string) => (state === "HOT" ? "hot" : "cold");

const fromCard = (f: Figures, state: string) =>
  `the ${heat(state)} figure ${f.lash("cardIn")} ${f.signed("shiftThou")}`;

const table = (f: Figures, state: string, of: string) =>
  `${fromCard(f, state)}: the usual table for ${of}${f.above0("waits") ? ", until a hot and a cold round have met" : ""}`;

const NO_RATE = ": no rate that stands out of hand, leaf and temperature";

const seat = (f: Figures, kind: string) =>
  `seat load ${f.load("loadLbf")}; ${f.load("lowLbf")} to ${f.load("highLbf")} is usual with this ${kind}`;

const open = (f: Figures, kind: string) =>
  `open load ${f.load("loadLbf")}; up to ${f.load("highLbf")} is usual with this ${kind}`;

const perhaps = (f: Figures) => (f.above0("sure") ? "" : "perhaps ");

const drifts = (f: Figures, how: string) =>
  `${perhaps(f)}${how} ${f.rate("thouPerHour")} an hour since about ${f.hours("sinceHours")} (${f.plain("fromHours")} to ${f.plain("toHours")}), ${f.thou("movedThou")} in all`;

const stepped = (f: Figures, how: string) =>
  `${perhaps(f)}went ${how} by ${f.thou("movedThou")} once, between ${f.plain("fromHours")} and ${f.hours("toHours")}`;

const lookFirst = (look: string) => (look ? `; look first: ${look}` : "");

const moves = (f: Figures) =>
  `${f.above0("thouPerHour") ? "open" : "close"} ${f.rate("thouPerHour")} an hour`;

const interval = (f: Figures) => `${f.hours("hours")} of its ${f.hours("intervalHours")} interval`;

const short = (f: Figures, means: string) => `${f.thou("shortThou")} short: ${means}`;

function figures(said: Said, unit: LashUnit): Figures {
  const of = (name: string) => said.figures[name];
  const inch = (name: string) => {
    const thou = of(name);
    return thou === undefined ? undefined : Math.abs(thou) / 1000;
  };
  return {
    unit: unitName(unit),
    hours: (name) => `${of(name)?.toFixed(1) ?? "–"} h`,
    share: (name) => `${percentText(of(name))} %`,
    chance: (name) => chanceText(of(name)),
    load: (name) => `${loadText(of(name), unit, 0)} ${loadUnit(unit)}`,
    height: (name) => `${heightText(of(name), unit)} ${heightUnit(unit)}`,
    lash: (name) => `${lashText(of(name), unit)}`,
    thou: (name) => `${lashText(inch(name), unit)} ${unitName(unit)}`,
    signed: (name) => `${driftText((of(name) ?? Number.NaN) / 1000, unit)} ${unitName(unit)}`,
    rate: (name) => `${rateText(inch(name), unit)} ${unitName(unit)}`,
    plain: (name, digits = 1) => of(name)?.toFixed(digits) ?? "–",
    above0: (name) => (of(name) ?? 0) > 0,
    usual: (inch) => heightText(inch, unit),
  };
}

/** A chance of one as percent; the ends are never claimed. */
/** A reading that changes nothing ninety-nine times in a hundred. */
const HARDLY = 0.01;

/** What one more reading of something is worth. */
export const worthText = (decides: number) =>
  decides < HARDLY
    ? "One more reading now would hardly change this verdict"
    : `One more reading now has a ${chanceText(decides)} chance to change this verdict`;

export const chanceText = (p: number | undefined) =>
  p === undefined ? "–" : p < 0.01 ? "under 1 %" : p > 0.99 ? "over 99 %" : `${Math.round(100 * p)} %`;

/** The sentence, without capital and full stop, in the person's unit. */
export function say(said: Said, unit: LashUnit): string {
  const saying = SAYINGS[said.code];
  return saying ? saying(figures(said, unit), said.name) : said.code;
}

/** The same of a valve; words that were kept name it themselves. */
export function sayOf(position: Valve | undefined, said: Said, unit: LashUnit): string {
  const words = say(said, unit);
  if (!position || said.code === "KEPT") return words;
  return said.code.includes("SEEN") ? `${position}: ${words}` : `${position} ${words}`;
}
