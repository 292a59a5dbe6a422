import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { engineSprings, hours, jobs, lashHistory, rounds } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { HoursRail } from "../../rail/HoursRail";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Below } from "../../ui/Below";
import { buttonClass } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { later } from "../../ui/later";
import { Notice } from "../../ui/Notice";
import { loadUnit, percentText } from "../../units/load";
import { SeenInRounds } from "../readiness/SeenInRounds";
import { worstFirst } from "../spring/worstFirst";
import { SetChart } from "./SetChart";
import { Headline, type PartProps } from "./SpringsHeadline";
import { hoursLeftText, lossFacesAt, SHOWN, type SpringShown, springFaces } from "./springFaces";
import { TesterChart } from "./TesterChart";
import { habitText } from "./words";

const SpringPanel = later(() => import("./SpringPanel"), "SpringPanel");

/** The engine's springs: who is good to the end of the next event, and why. */
export function SpringsPage() {
  const { id } = useParams({ from: "/engines/$id/springs" });
  return <EngineFrame id={id}>{(engine) => <Loaded engine={engine} />}</EngineFrame>;
}

function Loaded({ engine }: { engine: Schemas["EngineView"] }) {
  const query = useQuery(engineSprings(engine.id));
  if (query.error && !query.data) return <Problem error={query.error} />;
  if (!query.data) return <Waiting />;
  return query.data.springs.length === 0 ? (
    <NoSprings engineId={engine.id} />
  ) : (
    <SpringsView engine={engine} known={query.data} />
  );
}

function NoSprings({ engineId }: { engineId: string }) {
  return (
    <div className="grid gap-3 p-4">
      <SeenInRounds engineId={engineId} part="SPRING" />
      <Notice tone="know">No springs are on record for this engine yet. Put its set in, then test it.</Notice>
      <p>
        <Link to="/engines/$id/setup/springs" params={{ id: engineId }} className={buttonClass("now")}>
          Put the set in
        </Link>
      </p>
    </div>
  );
}

interface SpringsViewProps {
  engine: Schemas["EngineView"];
  known: Schemas["EngineSprings"];
}

function SpringsView({ engine, known }: SpringsViewProps) {
  const { unit } = useSettings();
  const [shown, setShown] = useState<SpringShown>("load");
  const [valve, setValve] = useState<Valve>();
  const [hour, setHour] = useState<number | null>(null);
  const r = useQuery(rounds(engine.id)).data;
  const h = useQuery(hours(engine.id)).data;
  const l = useQuery(lashHistory(engine.id)).data;
  const j = useQuery(jobs(engine.id)).data;
  const spring = known.springs.find((s) => s.position === valve);
  return (
    <div className="flex flex-1 flex-col min-[1000px]:h-[calc(100dvh-94px)] min-[1000px]:flex-none">
      <div className="grid min-h-0 flex-1 gap-3 p-3 min-[1000px]:grid-cols-[minmax(340px,420px)_1fr] min-[1000px]:grid-rows-[minmax(0,1fr)]">
        <section className="scribed flex min-h-0 min-w-0 flex-col gap-2 rounded p-3" aria-label="Valve plan">
          <Choice
            label={
              hour === null
                ? `Shown at each valve; loads in ${loadUnit(unit)}, corrected, at reference height`
                : hour > known.engineHours
                  ? `Loss in % as predicted for ${hour.toFixed(1)} h`
                  : `Loss in % as it was at ${hour} h`
            }
            value={shown}
            onChange={setShown}
            options={SHOWN}
          />
          <ValvePlan
            layout={engine.layout}
            faces={
              hour === null
                ? springFaces(known.springs, shown, unit)
                : lossFacesAt(known.springs, hour, known.engineHours)
            }
            selected={valve}
            onSelect={(v) => setValve(v === valve ? undefined : v)}
            label={`Springs of ${engine.name}`}
            className="max-h-[62vh] min-h-72 w-full flex-1 min-[1000px]:min-h-0"
          />
          <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-muted">
            {(["RUN", "WATCH", "CHANGE", "NOT_TESTED"] as const).map((m) => (
              <li key={m} className="flex items-center gap-1.5">
                <MarkIcon mark={m} size={18} /> {MARKS[m].word}
              </li>
            ))}
          </ul>
        </section>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: the panel scrolls, and the keyboard must reach it */}
        <div className="flex min-h-0 min-w-0 flex-col gap-3 min-[1000px]:overflow-y-auto" tabIndex={0}>
          <SeenInRounds engineId={engine.id} part="SPRING" />
          <Headline engineId={engine.id} known={known} onValve={setValve} />
          <Below>
            {spring ? (
              <SpringPanel engineId={engine.id} spring={spring} />
            ) : (
              <>
                <section className="scribed rounded p-4" aria-label="The set over its hours">
                  <h2 className="mb-1 text-lg">The set over its hours, loss in %</h2>
                  <SetChart known={known} onValve={setValve} />
                </section>
                <TesterPart tests={known.tests} />
                <WorstList known={known} onValve={setValve} />
              </>
            )}
          </Below>
        </div>
      </div>
      {r && h && l && (
        <HoursRail
          hours={h}
          rounds={r}
          changes={l.changes}
          tests={known.tests}
          jobs={j}
          predicts
          hour={hour}
          onHour={setHour}
        />
      )}
    </div>
  );
}

function TesterPart({ tests }: { tests: Schemas["TesterLine"][] }) {
  const warned = tests.at(-1)?.warning;
  return (
    <section className="scribed rounded p-4" aria-label="The tester, test by test">
      <h2 className="text-lg">The tester, test by test</h2>
      <p className="mb-1 text-sm text-muted">
        Percent it read high. Square: the check spring. Bar: all springs together, at engine hours.
      </p>
      {warned && <Notice tone="care">{habitText(warned)}</Notice>}
      <TesterChart tests={tests} />
    </section>
  );
}

function WorstList({ known, onValve }: PartProps) {
  return (
    <section className="scribed rounded p-4" aria-label="Springs, worst first">
      <h2 className="mb-1 text-lg">Worst first</h2>
      <ul>
        {worstFirst(known.springs).map((s) => (
          <li key={s.position}>
            <button
              type="button"
              onClick={() => onValve(s.position)}
              className="grid min-h-11 w-full grid-cols-[28px_3rem_6rem_9rem_1fr] items-center gap-2 border-t border-hair text-left hover:bg-raised"
            >
              <MarkIcon mark={s.said.verdict} size={22} />
              <strong>{s.position}</strong>
              {s.said.outlook ? (
                <>
                  <span className="num text-lg">{percentText(s.said.outlook.lossNow.mid)} %</span>
                  <span className="num text-lg">{hoursLeftText(s.said.outlook.hoursLeft)} left</span>
                </>
              ) : (
                <span className="col-span-2 text-muted">not tested</span>
              )}
              <span className="truncate text-muted">{s.mark}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
