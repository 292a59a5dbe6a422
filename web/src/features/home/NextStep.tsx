import { Link } from "@tanstack/react-router";
import { buttonClass } from "../../ui/Button";
import type { Readiness } from "./readiness";

/** The one thing to do now. */
export function NextStep({ engineId, ready }: { engineId: string; ready: Readiness }) {
  if (ready.openRound) {
    return (
      <Link to="/rounds/$id" params={{ id: ready.openRound.id }} className={buttonClass("now")}>
        Go on with the round
      </Link>
    );
  }
  return (
    <Link
      to="/engines/$id/start"
      params={{ id: engineId }}
      className={buttonClass(ready.done ? "plain" : "now")}
    >
      Run the valves
    </Link>
  );
}
