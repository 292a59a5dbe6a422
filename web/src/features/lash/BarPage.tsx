import { Link, useParams } from "@tanstack/react-router";
import { post } from "../../outbox/outbox";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { buttonClass } from "../../ui/Button";
import { nth } from "../../ui/nth";
import { BigStop } from "./BigStop";
import { nextValve } from "./flow";
import { isThere, stopOf } from "./roundFlow";
import { useRound } from "./useRound";

/** For whoever turns the crank, on a second device: the next stop, readable from across the car. */
export function BarPage() {
  const { id } = useParams({ from: "/rounds/$id/bar" });
  const { round, error, hand } = useRound(id);
  if (error && !round) return <Problem error={error} />;
  if (!round) return <Waiting />;
  const next = nextValve(round, -1);
  if (next === undefined || round.signedBy) {
    return (
      <div className="flex flex-1 flex-col items-center justify-center gap-6 p-6">
        <p className="text-5xl font-bold">All valves are done.</p>
        <Link to="/rounds/$id/end" params={{ id }} className={buttonClass("plain")}>
          End of round
        </Link>
      </div>
    );
  }
  const valve = nth(round.valves, next);
  const stop = stopOf(round, valve);
  const there = isThere(round, valve);
  const left = round.valves
    .filter((v) => v.stop === stop.number && v.status !== "DONE")
    .map((v) => v.position);
  return (
    <BigStop
      title={`${round.engineName}, stop ${stop.number} of ${round.plan.stops.length}`}
      there={there ? `Still to set: ${left.join(" ")}` : undefined}
      stop={stop}
      toDeg={stop.crankDeg}
      crankDeg={round.crankDeg}
      layout={round.layout}
      onThere={() => post({ kind: "crank", roundId: id, body: { crankDeg: stop.crankDeg, by: hand || "?" } })}
    />
  );
}
