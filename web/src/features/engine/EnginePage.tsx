import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { engineReadiness, engineSprings, events, hours, jobs, lashHistory, rounds } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { HoursRail } from "../../rail/HoursRail";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { useSettings } from "../../shell/settings";
import { Choice } from "../../ui/Choice";
import { type LashUnit, unitName } from "../../units/lash";
import { preloadUnit } from "../../words/preload";
import { OpenItemsPart } from "../change/OpenItemsPart";
import { SpringsLine } from "../fatigue/SpringsLine";
import { NextStep } from "../home/NextStep";
import { readiness } from "../home/readiness";
import { facesAt, type Shown } from "../lash/faces";
import { ValveLife } from "../lash/ValveLife";
import { Wanted } from "../lash/Wanted";
import { ReadyPart } from "../readiness/ReadyPart";
import { ChangePart } from "../running/ChangePart";
import { EventList } from "../running/EventList";
import { ResultsPart } from "../running/ResultsPart";
import { RunsPart } from "../running/RunsPart";
import { ServicesPart } from "../running/ServicesPart";
import { useMoveEvent } from "../running/useMoveEvent";
import { EnginePlan } from "../turnaround/EnginePlan";
import { BadRowsPart } from "./BadRowsPart";

/** Plan, rail and panel of one engine: where, when, and the work at hand. */
export function EnginePage() {
  const { id } = useParams({ from: "/engines/$id" });
  return <EngineFrame id={id}>{(engine) => <Now engine={engine} />}</EngineFrame>;
}

function Now({ engine }: { engine: Schemas["EngineView"] }) {
  const { unit } = useSettings();
  const [hour, setHour] = useState<number | null>(null);
  const [shown, setShown] = useState<Shown>("left");
  const [valve, setValve] = useState<Valve>();
  const r = useQuery(rounds(engine.id));
  const e = useQuery(events(engine.id));
  const h = useQuery(hours(engine.id));
  const known = useQuery(engineReadiness(engine.id)).data;
  const l = useQuery(lashHistory(engine.id));
  const s = useQuery(engineSprings(engine.id)).data;
  const j = useQuery(jobs(engine.id)).data;
  const move = useMoveEvent(engine.id, e.data ?? []);
  if (!r.data || !e.data || !h.data || !known || !l.data) return <Waiting />;
  const ready = readiness(r.data, e.data, known.sinceRound);
  return (
    <div className="flex flex-1 flex-col min-[1000px]:h-[calc(100dvh-94px)] min-[1000px]:flex-none">
      <div className="grid min-h-0 flex-1 gap-3 p-3 min-[1000px]:grid-cols-[minmax(340px,420px)_1fr] min-[1000px]:grid-rows-[minmax(0,1fr)] min-[1000px]:overflow-hidden">
        <section className="scribed flex min-h-0 min-w-0 flex-col gap-2 rounded p-3" aria-label="Valve plan">
          <Choice
            label={`${measured(l.data, unit)}${hour === null ? "" : ` as it was at ${hour} h`}`}
            value={shown}
            onChange={setShown}
            options={[
              ["left", "As left"],
              ["found", "As found"],
              ["drift", "Drift"],
            ]}
          />
          <ValvePlan
            layout={engine.layout}
            faces={facesAt(l.data, hour, shown, unit)}
            selected={valve}
            onSelect={(v) => setValve(v === valve ? undefined : v)}
            label={`Valve plan of ${engine.name}`}
            className="max-h-[62vh] min-h-72 w-full flex-1 min-[1000px]:min-h-0"
          />
          <Legend hydraulic={l.data.preloads.length > 0} />
        </section>
        <div className="flex min-h-0 min-w-0 flex-col gap-3 min-[1000px]:overflow-y-auto">
          <section className="scribed flex flex-wrap items-center gap-4 rounded p-4" aria-label="Next">
            <div className="min-w-60 flex-1">
              <p className="text-xl font-semibold">{ready.words}</p>
              <p className="text-muted">
                {ready.next
                  ? `${ready.next.name}, ${ready.days}, ${ready.next.plannedHours} h planned`
                  : "No event planned yet"}
              </p>
            </div>
            <NextStep engineId={engine.id} ready={ready} />
            {s && <SpringsLine engineId={engine.id} known={s} />}
          </section>
          <BadRowsPart engineId={engine.id} />
          <ReadyPart engineId={engine.id} />
          <EnginePlan engineId={engine.id} />
          {valve ? <ValveLife lash={l.data} valve={valve} /> : <WantedNow lash={l.data} />}
          <div className="grid gap-3 min-[1180px]:grid-cols-2">
            <RoundList rounds={r.data} />
            <EventList engineId={engine.id} events={e.data} />
          </div>
          <OpenItemsPart engineId={engine.id} />
          <ServicesPart engineId={engine.id} hours={h.data.hours} />
          <RunsPart engineId={engine.id} events={e.data} />
          <ResultsPart engine={engine} lash={l.data} rounds={r.data} />
          <ChangePart engine={engine} hours={h.data.hours} changes={l.data.changes} />
        </div>
      </div>
      <HoursRail
        hours={h.data}
        rounds={r.data}
        changes={l.data.changes}
        tests={s?.tests}
        jobs={j}
        hour={hour}
        onHour={setHour}
        onMove={move}
      />
    </div>
  );
}

function measured({ preloads }: Schemas["EngineLash"], unit: LashUnit): string {
  const preload = preloads[0];
  return preload ? `Preload in ${preloadUnit(preload, unit)}` : `Lash in ${unitName(unit)}`;
}

const LASH_MARKS = ["IN", "TIGHT", "WIDE", "BELOW_FLOOR"] as const;
const PRELOAD_MARKS = ["IN", "SHALLOW", "DEEP", "NO_PRELOAD", "BOTTOMED"] as const;

export function Legend({ hydraulic }: { hydraulic: boolean }) {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-muted">
      {(hydraulic ? PRELOAD_MARKS : LASH_MARKS).map((m) => (
        <li key={m} className="flex items-center gap-1.5">
          <MarkIcon mark={m} size={18} /> {MARKS[m].word}
        </li>
      ))}
      <li>exhaust: double ring</li>
    </ul>
  );
}

function WantedNow({ lash }: { lash: Schemas["EngineLash"] }) {
  return (
    <section className="scribed rounded p-4">
      <h2 className="mb-2 text-lg">{lash.preloads.length > 0 ? "Preload wanted" : "Lash wanted"}</h2>
      <Wanted wanted={lash} />
    </section>
  );
}

function RoundList({ rounds: all }: { rounds: Schemas["RoundLine"][] }) {
  return (
    <section className="scribed rounded p-4" aria-label="Rounds">
      <h2 className="mb-1 text-lg">Rounds</h2>
      {all.length === 0 && <p className="text-muted">None yet.</p>}
      <ul className="max-h-56 overflow-auto" tabIndex={-1}>
        {all.map((r) => (
          <li key={r.id}>
            <Link
              to={r.signedBy ? "/rounds/$id/end" : "/rounds/$id"}
              params={{ id: r.id }}
              className="flex min-h-11 items-center gap-3 border-t border-hair no-underline hover:bg-raised"
            >
              <span className="num w-16 text-right text-xl">{r.engineHours.toFixed(1)} h</span>
              <span className="w-12 font-semibold">{r.state.toLowerCase()}</span>
              <span className="flex-1 text-muted">{new Date(r.startedAt).toLocaleDateString()}</span>
              <span>{r.signedBy ? `signed ${r.signedBy}` : `open, ${r.read} of ${r.valves}`}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
