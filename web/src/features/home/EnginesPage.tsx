import { useQueries, useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { Archive, Plus } from "lucide-react";
import type { Schemas } from "../../api/client";
import {
  engineReadiness,
  engineSprings,
  engines,
  events,
  hours,
  lashHistory,
  rounds,
} from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { buttonClass } from "../../ui/Button";
import { OpenLine } from "../change/OpenLine";
import { SpringsLine } from "../fatigue/SpringsLine";
import { facesAt } from "../lash/faces";
import { ReadyLine } from "../readiness/ReadyPart";
import { FirstEngine } from "./FirstEngine";
import { NextStep } from "./NextStep";
import { type Readiness, readiness } from "./readiness";

/** Engine by engine: which event next, what must be done before it. */
export function EnginesPage() {
  const query = useQuery(engines());
  if (query.error && !query.data) return <Problem error={query.error} />;
  if (!query.data) return <Waiting />;
  if (query.data.length === 0) return <FirstEngine />;
  return (
    <div className="p-3">
      <div className="mb-3 flex items-center justify-between">
        <h1 className="flex-1 text-2xl">Engines</h1>
        <Link to="/backup" className={buttonClass("quiet")}>
          <Archive aria-hidden className="size-5" /> Backup
        </Link>
        <Link to="/engines/new" className={buttonClass()}>
          <Plus aria-hidden className="size-5" /> New engine
        </Link>
      </div>
      <div className="grid gap-3 min-[900px]:grid-cols-2">
        {query.data.map((e) => (
          <EngineCard key={e.id} engine={e} />
        ))}
      </div>
    </div>
  );
}

function EngineCard({ engine }: { engine: Schemas["EngineView"] }) {
  const [r, e, h, l] = useQueries({
    queries: [rounds(engine.id), events(engine.id), hours(engine.id), lashHistory(engine.id)],
  });
  const springs = useQuery(engineSprings(engine.id)).data;
  const known = useQuery(engineReadiness(engine.id)).data;
  const ready = r.data && e.data && known ? readiness(r.data, e.data, known.sinceRound) : undefined;
  return (
    <article className="scribed grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)] gap-3 rounded p-4">
      <div className="flex min-w-0 flex-col gap-2">
        <h2 className="text-xl">
          <Link to="/engines/$id" params={{ id: engine.id }} className="no-underline hover:underline">
            {engine.name}
          </Link>
        </h2>
        {h.data && (
          <p className="text-muted">
            <span className="num text-2xl text-ink">{h.data.hours.toFixed(1)}</span> engine hours
          </p>
        )}
        {ready && <Next ready={ready} />}
        <ReadyLine engineId={engine.id} />
        {springs && <SpringsLine engineId={engine.id} known={springs} />}
        <OpenLine engineId={engine.id} />
        <span className="flex-1" />
        {ready && <NextStep engineId={engine.id} ready={ready} />}
      </div>
      <Link to="/engines/$id" params={{ id: engine.id }} aria-label={`Valve plan of ${engine.name}`}>
        <ValvePlan
          layout={engine.layout}
          facing="left"
          faces={l.data ? facesAt(l.data, null, "left", "thou") : undefined}
          label={`${engine.name} from above`}
          className="h-60 w-full"
        />
      </Link>
    </article>
  );
}

function Next({ ready }: { ready: Readiness }) {
  return (
    <>
      <p>
        {ready.next ? (
          <>
            <span className="text-muted">Next: </span>
            <strong>{ready.next.name}</strong>, {ready.days}
          </>
        ) : (
          <span className="text-muted">No event planned</span>
        )}
      </p>
      <p className={`text-lg font-semibold ${ready.done ? "text-ok" : "text-ink"}`}>
        {ready.done ? "✓ " : "▸ "}
        {ready.words}
      </p>
    </>
  );
}
