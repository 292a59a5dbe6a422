import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import type { What } from "./useSitting";

/** Crank degrees, late or early; a cam is never plus or minus. */
export function lateText(deg: number | undefined): string {
  if (deg === undefined) return "–";
  const rounded = Math.round(deg * 10) / 10;
  if (rounded === 0) return "as the card";
  return `${Math.abs(rounded).toFixed(1)}° ${rounded > 0 ? "late" : "early"}`;
}

export const degText = (deg: number | undefined): string =>
  deg === undefined ? "–" : `${(Math.round(deg * 10) / 10).toFixed(1)}°`.replace("-", "−");

/** A range where there is one; `at least` where nothing bounds it above. */
export function boundsText(b: Schemas["BoundsView"] | undefined, digits = 0, unit = "°"): string {
  if (!b) return "not known";
  const text = (v: number) => v.toFixed(digits).replace("-", "−");
  if (b.high === undefined) return `at least ${text(b.low)}${unit}`;
  return text(b.low) === text(b.high) ? `${text(b.mid)}${unit}` : `${text(b.low)} to ${text(b.high)}${unit}`;
}

export const gapText = (inch: number | undefined, unit: LashUnit): string =>
  inch === undefined ? "–" : `${heightText(inch, unit).replace("-", "−")} ${heightUnit(unit)}`;

interface Asked {
  place: string;
  name: string;
  how: string;
}

/** What is to be read, in a technician's words. */
export const ASKED: Record<What, (at: string) => Asked> = {
  STOP_BEFORE: () => ({
    place: "Stop, before",
    name: "wheel, degrees before its zero",
    how: "turn on in the running direction until the piston meets the stop",
  }),
  STOP_AFTER: () => ({
    place: "Stop, after",
    name: "wheel, degrees after its zero",
    how: "turn back to the stop from the other side",
  }),
  INTAKE_UP: (at) => ({
    place: "Intake, up",
    name: "wheel, degrees after TDC",
    how: `${at} under the nose, valve opening; running direction only`,
  }),
  INTAKE_DOWN: (at) => ({
    place: "Intake, down",
    name: "wheel, degrees after TDC",
    how: `${at} under the nose, valve closing`,
  }),
  EXHAUST_UP: (at) => ({
    place: "Exhaust, up",
    name: "wheel, degrees before TDC",
    how: `${at} under the nose, valve opening; running direction only`,
  }),
  EXHAUST_DOWN: (at) => ({
    place: "Exhaust, down",
    name: "wheel, degrees before TDC",
    how: `${at} under the nose, valve closing`,
  }),
  IVO: () => ({
    place: "Intake opens",
    name: "degrees before TDC",
    how: "at the card's tappet lift; after TDC is minus",
  }),
  IVC: () => ({ place: "Intake closes", name: "degrees after BDC", how: "at the card's tappet lift" }),
  EVO: () => ({ place: "Exhaust opens", name: "degrees before BDC", how: "at the card's tappet lift" }),
  EVC: () => ({
    place: "Exhaust closes",
    name: "degrees after TDC",
    how: "at the card's tappet lift; before TDC is minus",
  }),
  GAP: () => ({ place: "", name: "free gap to the piston", how: "push the valve on until it touches" }),
  ROD: () => ({ place: "", name: "length at zero lash", how: "adjustable checker, on the base circle" }),
  TIP_WIDTH: () => ({
    place: "",
    name: "width of the wiped mark",
    how: "ink on the tip, turned twice round",
  }),
  TIP_OFFSET: () => ({
    place: "",
    name: "mark off the middle of the stem",
    how: "away from the rocker's fulcrum is plus",
  }),
};

export const VERDICTS: Record<Schemas["StandsView"]["verdict"], string> = {
  LEAVE: "Within 2° of the card: usually left alone.",
  MOVE: "More than 2° off the card: the drive can put it right.",
  LOBES_DIFFER: "Intake and exhaust differ by more than 2°: read again, or the cam is not the card's.",
};

export const MARGINS: Record<Schemas["ValveGap"]["margin"], string> = {
  ENOUGH: "enough",
  TIGHT: "too tight",
  TOUCHES: "would touch",
  NOT_SURE: "may be too tight: measure a lobe",
  NOT_PROVED: "not proved here",
};

export const SCHOOLS: [NonNullable<Schemas["SittingSheet"]["school"]>, string][] = [
  ["CHECKING_SPRING", "Light checking spring"],
  ["RUNNING_SPRING", "Running spring, rocker pushed on"],
  ["NO_SPRING", "No spring, valve in hand"],
  ["CLAY", "Clay on the piston"],
];

/** Each way of measuring has its own trap. */
export const TRAPS: Record<NonNullable<Schemas["SittingSheet"]["school"]>, string> = {
  CHECKING_SPRING: "A light spring proves only as far as it travels: write its travel down.",
  RUNNING_SPRING: "The rocker is pushed on against the spring: dial on the retainer, not on the rocker.",
  NO_SPRING:
    "The valve can drop into the cylinder: hold it, or put a collar on its stem, until a spring is on.",
  CLAY: "Clay shows the smallest of the whole turn: leave the angle at 0, cut it through and measure there.",
};

export const MISSING: Record<string, string> = {
  CARD: "the cam card",
  BOTTOM_END: "bore, stroke and rod",
  VALVE_ANGLE_INTAKE: "the intake valve's angle to the bore",
  VALVE_ANGLE_EXHAUST: "the exhaust valve's angle to the bore",
  WEIGHTS: "the weights of the valve train",
  LOBE: "a measured lobe",
  SPRINGS: "springs on record at these valves",
};
