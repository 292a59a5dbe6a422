import type { Schemas } from "../../api/client";

type Trap = Schemas["RoundView"]["trapsFound"][number];

const SAID: Record<Trap, string> = {
  LEAF_PUSHES: "Too thick a leaf pushes the valve open, and the next one goes as well: begin slack.",
  SET_SCREW_OFF: "Back the inner set screw off before you feel for zero lash.",
  BLEED_DOWN: "Let the lifter bleed down first.",
  JAM_NUT: "Jam nut as tight as it was: too tight breaks a rocker.",
  READ_AFTER_LOCKING: "Locking moves it: read it again, and enter that.",
  NUT_SIDE: "The nut's flat face to the rocker.",
};

/** What makes the figure wrong here, shortly, where it can happen. */
export function Traps({ traps }: { traps: readonly Trap[] }) {
  return traps.length === 0 ? null : (
    <p className="text-sm text-muted">{traps.map((t) => SAID[t]).join(" ")}</p>
  );
}
