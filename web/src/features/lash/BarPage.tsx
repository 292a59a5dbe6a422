import { Link, useParams } from "@tanstack/react-router";
import { post } from "../../outbox/outbox";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { nth } from "../../ui/nth";
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
    <div className="flex flex-1 flex-col justify-center gap-6 p-6 text-center">
      <h1 className="text-2xl text-muted">
        {round.engineName}, stop {stop.number} of {round.plan.stops.length}
      </h1>
      {there ? (
        <>
          <p className="text-6xl font-bold text-ok">✓ Hold it here</p>
          <p className="text-3xl">Still to set: {left.join(" ")}</p>
        </>
      ) : (
        <>
          <p className="num text-[min(24vw,11rem)] leading-none text-accent">
            {round.crankDeg === undefined
              ? `${Math.round(stop.balancerDeg)}°`
              : `+${Math.round((stop.crankDeg - round.crankDeg + 720) % 720)}°`}
          </p>
          <p className="text-4xl font-bold">{stop.look}</p>
          <p className="text-2xl text-muted">
            {stop.balancer}
            {stop.rotor ? `; ${stop.rotor}` : ""}
          </p>
          <p className="text-xl">
            Turn only {round.layout.rotation === "CLOCKWISE" ? "clockwise ↻" : "anticlockwise ↺"} seen from
            the front.
          </p>
          <Button
            look="now"
            className="mx-auto min-h-20 px-12 text-3xl"
            onClick={() =>
              post({ kind: "crank", roundId: id, body: { crankDeg: stop.crankDeg, by: hand || "?" } })
            }
          >
            The crank is there
          </Button>
        </>
      )}
    </div>
  );
}
