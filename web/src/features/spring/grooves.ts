import type { Schemas } from "../../api/client";

type Groove = NonNullable<Schemas["HeadSheet"]["grooveIntake"]>;

/** Lock grooves to choose from; the first is for none named. */
export const grooves = (none: string) =>
  [
    ["", none],
    ["SQUARE", "square"],
    ["ROUND", "round"],
    ["MULTI", "several beads"],
  ] as const;

/** The groove that was chosen. */
export const groove = (chosen: string) => (chosen === "" ? undefined : (chosen as Groove));
