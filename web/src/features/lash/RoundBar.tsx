import { Link } from "@tanstack/react-router";
import { useEffect } from "react";
import { KeptHere } from "../../outbox/KeptHere";
import type { Parcel } from "../../outbox/parcel";
import { InlineInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { DoneCount } from "../../ui/DoneCount";
import type { OnePass } from "./useOnePass";
import type { Round } from "./useRound";

interface RoundBarProps {
  round: Round;
  parcels: readonly Parcel[];
  pass?: OnePass;
}

/** Whose round, how far, and whether everything is safe. */
export function RoundBar({ round, parcels, pass }: RoundBarProps) {
  const settings = useSettings();
  const { hand, setHand } = settings;
  const began = round.hand;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, for a box being emptied must stay empty
  useEffect(() => {
    if (hand === "") setHand(began);
  }, []);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <h1 className="text-lg">
        <Link to="/engines/$id" params={{ id: round.engineId }} className="no-underline hover:underline">
          {round.engineName}
        </Link>
        , {round.state.toLowerCase()} {round.hydraulic ? "preload" : "lash"} round
      </h1>
      <DoneCount done={round.done} all={round.valves.length} of="valves" />
      {pass && (
        <span className="text-muted">
          springs{" "}
          <span className="num text-2xl text-ink">
            {pass.test.done}/{pass.test.valves.length}
          </span>
        </span>
      )}
      <InlineInitials word="read by" label="Initials of who reads" />
      <span className="flex-1" />
      <Link to="/rounds/$id/bar" params={{ id: round.id }} className={buttonClass("quiet")}>
        For the crank
      </Link>
      <Link to="/rounds/$id/end" params={{ id: round.id }} className={buttonClass("plain")}>
        End of round
      </Link>
      <KeptHere parcels={parcels} of="figure" />
    </div>
  );
}
