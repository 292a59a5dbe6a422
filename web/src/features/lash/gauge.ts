import type { Schemas } from "../../api/client";

type Gauge = Schemas["EntryGauge"];
type Verdict = NonNullable<Schemas["ValveView"]["leftVerdict"]>;
type Entry = Pick<Schemas["ReadingEntry"], "form" | "figure" | "secondFigure" | "feel">;

/**
 * What is said of a figure before Shim has answered: Shim's own bounds, held against the figure as it
 * was typed. The cases in core's `gauge-cases.json` hold this and core's `Reading` together.
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

/** Taken without a question. */
export const plain = (gauge: Gauge, inch: number): boolean =>
  decimal(inch) >= gauge.plainFromIn && decimal(inch) <= gauge.plainToIn;
