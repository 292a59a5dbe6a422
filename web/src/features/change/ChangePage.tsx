import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { engineSprings, jobs as jobsQuery } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { AskBoxes } from "./AskBoxes";
import { PlanParts } from "./PlanParts";
import { toggled, usePlanning } from "./usePlanning";

/** What is to be changed, how the valves are held, and in which order. */
export function ChangePage() {
  const { id } = useParams({ from: "/engines/$id/change" });
  const springs = useQuery(engineSprings(id));
  const jobs = useQuery(jobsQuery(id));
  return (
    <EngineFrame id={id}>
      {(engine) => {
        const error = springs.error ?? jobs.error;
        if (error && (!springs.data || !jobs.data)) return <Problem error={error} />;
        if (!springs.data || !jobs.data) return <Waiting />;
        const open = jobs.data.find((j) => !j.endedAt);
        if (open) return <GoOn job={open} />;
        if (springs.data.springs.length === 0)
          return (
            <div className="p-4">
              <Notice tone="know">Put the set in first: a change begins with what is fitted now.</Notice>
            </div>
          );
        return <Planning engine={engine} known={springs.data} />;
      }}
    </EngineFrame>
  );
}

function GoOn({ job }: { job: Schemas["JobLine"] }) {
  return (
    <div className="grid justify-items-start gap-3 p-4">
      <Notice tone="ask">
        A job on this engine is open: {job.title.toLowerCase()}, {job.valves.join(" ")}.
      </Notice>
      {job.parked && <p className="text-5xl font-extrabold">Parked: {job.parked}</p>}
      <Link to="/jobs/$id" params={{ id: job.id }} className={buttonClass("now")}>
        Go on with it
      </Link>
    </div>
  );
}

interface PlanningProps {
  engine: Schemas["EngineView"];
  known: Schemas["EngineSprings"];
}

function Planning({ engine, known }: PlanningProps) {
  const planning = usePlanning(engine.id, known);
  const { entry, plan, valves, setValves, lock } = planning;
  const chosen = Object.values(valves);
  const wrong = planning.refused("valves") ?? entry.error("valves");
  return (
    <div className="grid content-start gap-3 p-3 min-[1000px]:grid-cols-[minmax(320px,380px)_1fr]">
      <section className="scribed grid content-start gap-2 rounded p-3" aria-label="Valve plan">
        <p className="font-semibold">
          {chosen.length === 0
            ? "Choose the valves whose springs are done"
            : `${chosen.length} to do: ${chosen.map((v) => v.valve).join(" ")}`}
        </p>
        <ValvePlan
          layout={engine.layout}
          faces={Object.fromEntries(
            known.springs.map((s) => [
              s.position,
              { text: valves[s.position] ? "✕" : "", mark: s.said.verdict, lit: Boolean(valves[s.position]) },
            ]),
          )}
          onSelect={(v) => setValves(toggled(valves, v))}
          label="Choose valves"
          className="max-h-[52vh] w-full min-[1000px]:h-[52vh]"
        />
        <p className="text-sm text-muted">Springs due for a change are chosen already.</p>
        <Link
          to="/engines/$id/setup/changes"
          params={{ id: engine.id }}
          className={`${buttonClass("quiet")} justify-self-start`}
        >
          Schools, air and torque sheet
        </Link>
      </section>
      <form className="grid content-start gap-3" onSubmit={entry.submit}>
        <section className="scribed grid gap-3 rounded p-4">
          <AskBoxes planning={planning} />
          {wrong && <Notice tone="stop">{wrong}</Notice>}
          {planning.trouble && <Notice tone="stop">{planning.trouble}</Notice>}
          <Button look="now" type="submit" className="text-xl" disabled={!plan}>
            Begin: {plan?.steps ?? 0} steps
            {plan?.minutes !== undefined && `, about ${Math.round(plan.minutes)} min`}
          </Button>
        </section>
        {plan && (
          <PlanParts
            plan={plan}
            asked={valves}
            onAsked={(v) => setValves({ ...valves, [v.valve]: v })}
            onOrder={planning.setOrder}
            lock={lock ?? plan.air?.lockWanted ?? false}
            onLock={planning.setLock}
          />
        )}
      </form>
    </div>
  );
}
