import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import type { Phase, ValveView } from "./useRound";

interface OvertakenProps {
  valve: ValveView;
  typed: string;
  phase: Phase;
  onTheirs: () => void;
  onMine: () => void;
}

/** Two hands at one valve: neither figure is lost, and one is chosen with open eyes. */
export function Overtaken({ valve, typed, phase, onTheirs, onMine }: OvertakenProps) {
  const held = phase === "FOUND" ? valve.found : valve.left;
  return (
    <Notice tone="stop">
      <p>
        {valve.position} as {phase.toLowerCase()}: {held?.hand ?? "another hand"} has entered{" "}
        <strong>{held?.typed ?? "as found"}</strong>; you read <strong>{typed}</strong>.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={onTheirs}>Keep theirs</Button>
        <Button onClick={onMine}>Put mine in its place</Button>
      </div>
    </Notice>
  );
}
