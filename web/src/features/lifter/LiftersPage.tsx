import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams, useSearch } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { engineLifters, hours, jobs, lashDrift, lashHistory, rounds } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { HoursRail } from "../../rail/HoursRail";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Choice } from "../../ui/Choice";
import { later } from "../../ui/later";
import { unitName } from "../../units/lash";
import { SeenInRounds } from "../readiness/SeenInRounds";
import { CommonPart } from "./CommonPart";
import { Headline, Legend, Others } from "./LiftersParts";
import { LobesPart } from "./LobesPart";
import { type LifterShown, lifterFaces, SHOWN } from "./lifterFaces";
import { NewLiftersPart } from "./NewLiftersPart";
import { RulesPart } from "./RulesPart";
import { SeenList } from "./SeenList";
import { useSeen } from "./useSeen";

const ValveStory = later(() => import("./ValveStory"), "ValveStory");

/** Lifters, lobes and what the lash is trying to say. */
export function LiftersPage() {
  const { id } = useParams({ from: "/engines/$id/lifters" });
  return <EngineFrame id={id}>{(engine) => <Loaded engine={engine} />}</EngineFrame>;
}

function Loaded({ engine }: { engine: Schemas["EngineView"] }) {
  const known = useQuery(engineLifters(engine.id));
  const drift = useQuery(lashDrift(engine.id));
  const error = known.error ?? drift.error;
  if (!known.data || !drift.data) return error ? <Problem error={error} /> : <Waiting />;
  return <LiftersView engine={engine} known={known.data} drift={drift.data} />;
}

interface ViewProps {
  engine: Schemas["EngineView"];
  known: Schemas["EngineLifters"];
  drift: Schemas["LashDriftView"];
}

function LiftersView({ engine, known, drift }: ViewProps) {
  const { unit } = useSettings();
  const { valve } = useSearch({ from: "/engines/$id/lifters" });
  const navigate = useNavigate();
  const [shown, setShown] = useState<LifterShown>(known.hydraulic ? "hours" : "drift");
  const r = useQuery(rounds(engine.id)).data;
  const h = useQuery(hours(engine.id)).data;
  const l = useQuery(lashHistory(engine.id)).data;
  const j = useQuery(jobs(engine.id)).data;
  const choose = (v: Valve | undefined) =>
    void navigate({ to: "/engines/$id/lifters", params: { id: engine.id }, search: { valve: v } });
  return (
    <div className="flex flex-1 flex-col min-[1000px]:h-[calc(100dvh-94px)] min-[1000px]:flex-none">
      <div className="grid min-h-0 flex-1 gap-3 p-3 min-[1000px]:grid-cols-[minmax(340px,420px)_1fr] min-[1000px]:grid-rows-[minmax(0,1fr)]">
        <section className="scribed flex min-h-0 min-w-0 flex-col gap-2 rounded p-3" aria-label="Valve plan">
          <Choice
            label={
              shown === "drift" || shown === "lift"
                ? `At each valve, in ${unitName(unit)}`
                : "At each valve, in hours of the lifter"
            }
            value={shown}
            onChange={setShown}
            options={SHOWN}
          />
          <ValvePlan
            layout={engine.layout}
            faces={lifterFaces(known.valves, shown, unit)}
            selected={valve}
            onSelect={(v) => choose(v === valve ? undefined : v)}
            label={`Lifters of ${engine.name}`}
            className={`w-full flex-1 min-[1000px]:min-h-0 ${valve ? "max-h-72 min-[1000px]:max-h-none" : "max-h-[62vh]"}`}
          />
          <Legend shown={shown} />
        </section>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: the panel scrolls, and the keyboard must reach it */}
        <div className="flex min-h-0 min-w-0 flex-col gap-3 min-[1000px]:overflow-y-auto" tabIndex={0}>
          {valve ? (
            <>
              <Others valves={known.valves} chosen={valve} onValve={choose} />
              <ValveStory key={valve} engineId={engine.id} valve={valve} drift={drift} known={known} />
            </>
          ) : (
            <>
              <SeenInRounds engineId={engine.id} part="ROCKER" />
              <Headline engineId={engine.id} known={known} drift={drift} onValve={choose} />
              <Overview engine={engine} known={known} drift={drift} onValve={choose} />
            </>
          )}
        </div>
      </div>
      {r && h && l && (
        <HoursRail hours={h} rounds={r} changes={l.changes} jobs={j} hour={null} onHour={() => {}} />
      )}
    </div>
  );
}

function Overview({ engine, known, drift, onValve }: ViewProps & { onValve: (v: Valve) => void }) {
  const { unsee } = useSeen(engine.id, known.engineHours);
  const rest = [...known.engine, ...known.cylinders];
  return (
    <>
      {!known.hydraulic && <CommonPart drift={drift} />}
      {known.valves.some((v) => !v.lifter) && <NewLiftersPart engine={engine} known={known} />}
      <LobesPart lobes={known.lobes} onValve={onValve} />
      {rest.length > 0 && (
        <section className="scribed rounded p-4" aria-label="Cylinders and oil">
          <h2 className="text-lg">Cylinders and oil</h2>
          <SeenList seen={rest} onTakeBack={unsee} />
        </section>
      )}
      <RulesPart engineId={engine.id} rules={known.rules} />
    </>
  );
}
