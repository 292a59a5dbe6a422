import type { Schemas } from "../../api/client";

interface StopListProps {
  plan: Schemas["PlanView"];
  crankDeg: number;
  onCrank: (deg: number) => void;
}

/** The stops of a plan in words a person can act on. */
export function StopList({ plan, crankDeg, onCrank }: StopListProps) {
  return (
    <section className="scribed rounded p-3" aria-label="Stops">
      <h2 className="mb-1 text-lg">
        {plan.title}: {plan.stops.length} {plan.stops.length === 1 ? "stop" : "stops"}
      </h2>
      <ol className="max-h-80 overflow-auto">
        {plan.stops.map((s) => (
          <li key={s.number} className="border-t border-hair">
            <button
              type="button"
              onClick={() => onCrank(s.crankDeg)}
              aria-current={Math.abs(crankDeg - s.crankDeg) < 0.5 ? "step" : undefined}
              className="grid w-full grid-cols-[2.5rem_5.5rem_1fr] items-baseline gap-2 py-2 text-left hover:bg-raised aria-[current=step]:bg-raised"
            >
              <span className="num text-2xl text-line">{s.number}</span>
              <span className="num text-lg">{s.number === 1 ? "start" : `bar ${Math.round(s.barDeg)}°`}</span>
              <span>
                <span className="font-semibold">{s.look}</span>
                <span className="block text-sm text-muted">
                  {s.balancer}
                  {s.rotor && `; ${s.rotor}`}
                </span>
                <span className="block">
                  set{" "}
                  {s.valves.map((v) => (
                    <span key={v.position} className="mr-3 whitespace-nowrap">
                      <strong>{v.position}</strong>{" "}
                      <span className="num text-muted">{Math.round(v.slackDeg)}°</span>
                    </span>
                  ))}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
