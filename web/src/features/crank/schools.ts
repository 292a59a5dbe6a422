import type { Schemas } from "../../api/client";

export type School = Schemas["PlanView"]["school"];

/** Schools of setting order by name, for choosing; what each says comes with its plan. */
export const SCHOOLS: readonly (readonly [School, string])[] = [
  ["BEST_STOPS", "best few stops"],
  ["TWO_STOPS", "two stops"],
  ["COMPRESSION_TDC", "each cylinder at compression TDC"],
  ["OPENING_CLOSING_TWO_TRIPS", "opening and closing, two trips"],
  ["OPENING_CLOSING_ONE_TRIP", "opening and closing, one trip"],
  ["OFF_FULL_LIFT", "exhaust off full lift"],
  ["FULL_LIFT_COMPANION", "companion at full lift"],
];
