import type { Schemas } from "../../api/client";
import { wrap } from "../../ribbon/arcs";
import { Button } from "../../ui/Button";

interface BigStopProps {
  title: string;
  /** The crank stands right; what is done here. */
  there?: string;
  stop: Schemas["StopWords"];
  toDeg: number;
  crankDeg?: number;
  layout: Schemas["LayoutView"];
  onThere: () => void;
}

/** Where to bar to, readable from across the car. */
export function BigStop({ title, there, stop, toDeg, crankDeg, layout, onThere }: BigStopProps) {
  return (
    <div className="flex flex-1 flex-col justify-center gap-6 p-6 text-center">
      <h1 className="text-2xl text-muted">{title}</h1>
      {there !== undefined ? (
        <>
          <p className="text-6xl font-bold text-ok">✓ Hold it here</p>
          <p className="text-3xl">{there}</p>
        </>
      ) : (
        <>
          <p className="num text-[min(24vw,11rem)] leading-none text-accent">
            {crankDeg === undefined
              ? `${Math.round(stop.balancerDeg)}°`
              : `+${Math.round(wrap(toDeg - crankDeg))}°`}
          </p>
          <p className="text-4xl font-bold">{stop.look}</p>
          <p className="text-2xl text-muted">
            {stop.balancer}
            {stop.rotor ? `; ${stop.rotor}` : ""}
          </p>
          <p className="text-xl">
            Turn only {layout.rotation === "CLOCKWISE" ? "clockwise ↻" : "anticlockwise ↺"} seen from the
            front.
          </p>
          <Button look="now" className="mx-auto min-h-20 px-12 text-3xl" onClick={onThere}>
            The crank is there
          </Button>
        </>
      )}
    </div>
  );
}
