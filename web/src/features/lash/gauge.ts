import type { Schemas } from "../../api/client";

type Gauge = Schemas["EntryGauge"];
type Verdict = NonNullable<Schemas["ValveView"]["leftVerdict"]>;
type Entry = Pick<Schemas["ReadingEntry"], "form" | "figure" | "secondFigure" | "feel">;

/**
 * What is said of a figure before Shim has answered: Shim's own bounds, held against the figure as it
 * was typed. The cases in core's `gauge-cases.csv` and `preload-cases.csv` hold this and core
 * together.
 */
export function heardIn(entry: Entry, stepIn: number): number | undefined {
  if (entry.figure === undefined) return undefined;
  switch (entry.form) {
    case "FIGURE":
      return entry.figure;
    case "GO_NO_GO":
      return entry.secondFigure === undefined ? undefined : (entry.figure + entry.secondFigure) / 2;
    case "LEAF":
      return entry.feel === "SNUG" ? entry.figure : entry.figure + stepIn / 2;
    default:
      return undefined;
  }
}

/** Bounds come as decimals; so are the figures compared. */
const decimal = (inch: number) => Math.round(inch * 1e7) / 1e7;

export function judge(gauge: Gauge, inch: number): Verdict {
  const lash = decimal(inch);
  if (gauge.floorIn !== undefined && lash < gauge.floorIn) return "BELOW_FLOOR";
  if (lash < gauge.inFromIn) return "TIGHT";
  return lash > gauge.inToIn ? "WIDE" : "IN";
}

/** A preload against its target, in the unit it is counted in. */
export function judgePreload(target: Schemas["PreloadTarget"], preload: number): Verdict {
  const figure = decimal(preload);
  if (figure >= decimal(target.bottom)) return "BOTTOMED";
  if (figure < 0 || (target.aboveZero && figure === 0)) return "NO_PRELOAD";
  if (figure < decimal(target.from)) return "SHALLOW";
  return figure > decimal(target.to) ? "DEEP" : "IN";
}

/** Why no valve may be left so, in words; undefined where it may. */
export function refusedAsLeft(target: Schemas["PreloadTarget"], verdict: Verdict): string | undefined {
  if (verdict === "BOTTOMED") return "that would bottom the plunger: at its end it holds the valve open";
  return verdict === "NO_PRELOAD" && target.ruled
    ? "the class rule asks for preload above zero: this leaves none"
    : undefined;
}

/** Taken without a question. */
export const plain = (gauge: Gauge, inch: number): boolean =>
  decimal(inch) >= gauge.plainFromIn && decimal(inch) <= gauge.plainToIn;
