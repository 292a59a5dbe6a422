import type { Schemas } from "../../api/client";
import { fromInch, type LashUnit, toInch } from "../../units/lash";
import { measureBox, readMeasure } from "../../units/measures";

export type EngineSheet = Schemas["EngineSheet"];

/** The form keeps every number as it was typed; this is the sheet with text in all its boxes. */
export interface SheetForm {
  name: string;
  layout: {
    arrangement: string;
    firingOrder: string;
    intervals: string;
    rotation: string;
    banks: { name: string; cylinders: string; valveOrder: string }[];
  };
  drive: Record<(typeof DRIVE_TEXT)[number], string> &
    Record<(typeof DRIVE_FLAGS)[number], boolean> & { preload: Record<(typeof PRELOAD)[number], string> };
  bottomEnd: Record<(typeof BOTTOM)[number], string>;
  cam: Record<(typeof CAM)[number], string> & {
    intake: Row[];
    exhaust: Row[];
    events: Record<(typeof EVENTS)[number], string>;
    /** What the cam bench found; the form only carries it. */
    bench?: NonNullable<EngineSheet["cam"]>["bench"];
  };
  rules: Record<(typeof RULES)[number], string>;
  use: { unit: string; boostPsi: string; classRules: ClassRule[] };
}

interface ClassRule {
  rule: string;
  source: string;
  date: string;
  /** Shim holds the engine to it, where it can. */
  held: boolean;
}

export interface Row {
  tappetLiftIn: string;
  durationDeg: string;
}

const DRIVE_TEXT = [
  "lifter",
  "rocker",
  "ratioIntake",
  "ratioExhaust",
  "adjuster",
  "thread",
  "plungerTravelIn",
  "preloadTurns",
  "partsIn",
  "partIntakeIn",
  "partExhaustIn",
  "clampNote",
] as const;
const DRIVE_FLAGS = ["linkBars", "fixingClampsHead", "intakeOverLifters"] as const;
const PRELOAD = [
  "toTurns",
  "toleranceTurns",
  "fromIn",
  "toIn",
  "use",
  "source",
  "pushrodIntakeIn",
  "pushrodExhaustIn",
] as const;
const BOTTOM = ["boreIn", "strokeIn", "rodIn", "block", "heads", "staticTimingDeg"] as const;
const CAM = [
  "card",
  "liftAt",
  "liftIntakeIn",
  "liftExhaustIn",
  "lsaDeg",
  "intakeCentreDeg",
  "lashIntakeIn",
  "lashExhaustIn",
  "floorIntakeIn",
  "floorExhaustIn",
  "lashState",
  "cardRatioIntake",
  "cardRatioExhaust",
] as const;
const EVENTS = ["atTappetLiftIn", "ivoBtdcDeg", "ivcAbdcDeg", "evoBbdcDeg", "evcAtdcDeg"] as const;
const RULES = [
  "hotCold",
  "fixedColdMinusHotIn",
  "toleranceIn",
  "feelerStepIn",
  "rampMarginDeg",
  "school",
  "balancerMarks",
  "inTolerance",
] as const;

/** Words and lists stay text; every other box is a number. */
const WORDS = new Set<string>([
  "lifter",
  "rocker",
  "adjuster",
  "thread",
  "partsIn",
  "clampNote",
  "block",
  "heads",
  "card",
  "liftAt",
  "lashState",
  "hotCold",
  "school",
  "balancerMarks",
  "inTolerance",
  "use",
  "source",
]);

/** Boxes that follow the person's unit of length; all others are inches by the trade's cards. */
export const isLength = (key: string) => key.endsWith("In") && key !== "partsIn";

const unitOf = (u: LashUnit) => (u === "mm" ? "mm" : "in");

/** What a box says, in the person's unit or with another named. */
function figureOf(text: string, key: string, unit: LashUnit): number | undefined {
  if (key.endsWith("Psi")) return readMeasure("pressure", text, unit);
  const [, figure = "", named] = /^(.*?)\s*(mm|in|"|°)?$/.exec(text) ?? [];
  const value = Number(figure.replace(",", "."));
  if (!isLength(key)) return value;
  return toInch(value, named === "mm" ? "mm" : named === "in" || named === '"' ? "in" : unitOf(unit));
}

/** Sizes in a row, as the person's unit has them. */
const sizes = (text: string, turn: (v: number) => number) =>
  text.replace(/-?(\d+\.?\d*|\.\d+)/g, (t) => String(Math.round(turn(Number(t)) * 1e5) / 1e5));

export interface Unreadable {
  field: string;
  message: string;
}

function textOf(value: unknown, key: string, unit: LashUnit): string {
  if (value === undefined || value === null) return "";
  if (key === "partsIn" && unit === "mm") return sizes(String(value), (v) => fromInch(v, "mm"));
  if (typeof value === "number" && key.endsWith("Psi")) return measureBox("pressure", value, unit);
  if (typeof value === "number" && isLength(key)) {
    return String(Math.round(fromInch(value, unitOf(unit)) * 10000) / 10000);
  }
  return String(value);
}

function boxes<K extends string>(
  keys: readonly K[],
  from: object | undefined,
  unit: LashUnit,
): Record<K, string> {
  const values = (from ?? {}) as Record<string, unknown>;
  return Object.fromEntries(keys.map((k) => [k, textOf(values[k], k, unit)])) as Record<K, string>;
}

const rows = (points: Schemas["DurationPoint"][] | undefined, unit: LashUnit): Row[] =>
  points && points.length > 0
    ? points.map((p) => boxes(["tappetLiftIn", "durationDeg"], p, unit))
    : [{ tappetLiftIn: "", durationDeg: "" }];

export function toForm(s: EngineSheet, unit: LashUnit): SheetForm {
  const flags = s.drive ?? {};
  return {
    name: s.name ?? "",
    layout: {
      arrangement: s.layout?.arrangement ?? "INLINE",
      firingOrder: s.layout?.firingOrder ?? "",
      intervals: s.layout?.intervals ?? "",
      rotation: s.layout?.rotation ?? "CLOCKWISE",
      banks: (s.layout?.banks ?? []).map((b) => ({
        name: b.name ?? "",
        cylinders: b.cylinders ?? "",
        valveOrder: b.valveOrder ?? "",
      })),
    },
    drive: {
      ...boxes(DRIVE_TEXT, s.drive, unit),
      preload: boxes(PRELOAD, s.drive?.preload, unit),
      linkBars: flags.linkBars ?? false,
      fixingClampsHead: flags.fixingClampsHead ?? false,
      intakeOverLifters: flags.intakeOverLifters ?? false,
    },
    bottomEnd: boxes(BOTTOM, s.bottomEnd, unit),
    cam: {
      ...boxes(CAM, s.cam, unit),
      intake: rows(s.cam?.intake, unit),
      exhaust: rows(s.cam?.exhaust, unit),
      events: boxes(EVENTS, s.cam?.events, unit),
      ...(s.cam?.bench && { bench: s.cam.bench }),
    },
    // A sheet from before a rule existed goes by what was done then.
    rules: boxes(RULES, { ...BLANK.rules, ...s.rules }, unit),
    use: {
      unit: s.use?.unit ?? "",
      boostPsi: textOf(s.use?.boostPsi, "boostPsi", unit),
      classRules: (s.use?.classRules ?? []).map((r) => ({
        rule: r.rule ?? "",
        source: r.source ?? "",
        date: r.date ?? "",
        held: r.holds !== undefined,
      })),
    },
  };
}

/** Reads the boxes back; what is no number is said at its box, and the rest still goes on. */
export function toSheet(form: SheetForm, unit: LashUnit): { sheet: EngineSheet; unreadable: Unreadable[] } {
  const unreadable: Unreadable[] = [];
  const part = (values: object, path: string, keys: readonly string[]) => {
    const out: Record<string, unknown> = {};
    for (const key of keys) {
      const text = String((values as Record<string, unknown>)[key] ?? "").trim();
      if (text === "") continue;
      if (key === "partsIn")
        out[key] = unit === "mm" ? sizes(text.replace(/,(?=\d)/g, "."), (v) => toInch(v, "mm")) : text;
      else out[key] = WORDS.has(key) ? text : number(text, `${path}.${key}`, key);
    }
    return out;
  };
  const number = (text: string, field: string, key: string) => {
    const value = figureOf(text, key, unit);
    if (value === undefined || !Number.isFinite(value)) {
      unreadable.push({ field, message: `"${text}" is not a number` });
      return undefined;
    }
    return value;
  };
  const points = (list: Row[], path: string) =>
    list.map((r, i) => part(r, `${path}.${i}`, ["tappetLiftIn", "durationDeg"]));
  const eventBoxes = part(form.cam.events, "cam.events", EVENTS);
  const sheet = {
    name: form.name,
    layout: { ...form.layout },
    drive: {
      ...part(form.drive, "drive", DRIVE_TEXT),
      preload: part(form.drive.preload, "drive.preload", PRELOAD),
      linkBars: form.drive.linkBars,
      fixingClampsHead: form.drive.fixingClampsHead,
      intakeOverLifters: form.drive.intakeOverLifters,
    },
    bottomEnd: part(form.bottomEnd, "bottomEnd", BOTTOM),
    cam: {
      ...part(form.cam, "cam", CAM),
      intake: points(form.cam.intake, "cam.intake"),
      exhaust: points(form.cam.exhaust, "cam.exhaust"),
      ...(form.cam.bench && { bench: form.cam.bench }),
      events: Object.keys(eventBoxes).length > 0 ? eventBoxes : undefined,
    },
    rules: part(form.rules, "rules", RULES),
    use: {
      ...part(form.use, "use", ["boostPsi"]),
      unit: form.use.unit || undefined,
      classRules: form.use.classRules
        .filter((r) => r.rule.trim() !== "")
        .map(({ held, ...rule }) => ({ ...rule, holds: held ? "PRELOAD_ABOVE_ZERO" : undefined })),
    },
  };
  return { sheet: sheet as EngineSheet, unreadable };
}

/** What a new sheet starts with: the choices most engines make, and nothing a person must know. */
export const BLANK: EngineSheet = {
  drive: { lifter: "FLAT_SOLID", rocker: "STUD", adjuster: "FULCRUM_NUT" },
  bottomEnd: { block: "IRON", heads: "IRON" },
  cam: { liftAt: "LOBE", lashState: "HOT" },
  rules: { hotCold: "TABLE", school: "BEST_STOPS", inTolerance: "ASK" },
};
