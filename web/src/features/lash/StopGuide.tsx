import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";

interface StopGuideProps {
  stop: Schemas["StopView"];
  stops: number;
  there: boolean;
  /** The crank was at another stop before. */
  elsewhere: boolean;
  onThere: () => void;
  onPassed: () => void;
}

/** Where to bar to, and how a person sees that it is right. */
export function StopGuide({ stop, stops, there, elsewhere, onThere, onPassed }: StopGuideProps) {
  const bar = stop.number === 1 || !elsewhere ? "Bar to" : `Bar ${Math.round(stop.barDeg)}° on to`;
  return (
    <section
      aria-label="Stop"
      className={`scribed flex flex-wrap items-center gap-x-5 gap-y-2 rounded px-4 py-2 ${there ? "" : "border-2 border-accent"}`}
    >
      <p className="num text-3xl">
        {there ? "" : "▸ "}Stop {stop.number}
        <span className="text-muted">/{stops}</span>
      </p>
      <div className="min-w-56 flex-1">
        <p className="text-lg font-semibold">
          {there ? "" : `${bar}: `}
          {stop.look}
        </p>
        <p className="text-muted">
          {stop.balancer}
          {stop.rotor && !there ? `; ${stop.rotor}` : ""}
        </p>
      </div>
      <Button onClick={onPassed}>Went past (P)</Button>
      {!there && (
        <Button look="now" onClick={onThere}>
          The crank is there ⏎
        </Button>
      )}
    </section>
  );
}
