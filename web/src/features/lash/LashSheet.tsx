import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { lashTargets, plan as planQuery } from "../../api/queries";
import { kindOf } from "../../plan/geometry";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame, EngineTabs, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { lashText, unitName } from "../../units/lash";
import { figureText, measureText, unitOf } from "../../units/measures";
import { groundText } from "../../words/adjust";
import { preloadFigure, preloadUnit } from "../../words/preload";
import { say } from "../../words/said";
import { SCHOOLS, type School } from "../crank/schools";
import { fittedText, readText } from "./readings";
import { useRound } from "./useRound";

interface Figures {
  found?: string;
  left?: string;
}

interface SheetProps {
  name: string;
  layout: Schemas["LayoutView"];
  plan: Schemas["PlanView"];
  wanted: Pick<Schemas["LashWanted"], "targets" | "preloads">;
  state: "HOT" | "COLD";
  figures: Record<Valve, Figures>;
  head: string;
}

/** A blank sheet for the wall of the trailer, in the engine's own order. */
export function BlankSheetPage() {
  const { id } = useParams({ from: "/engines/$id/lash/sheet" });
  return <EngineFrame id={id}>{(engine) => <Blank engine={engine} />}</EngineFrame>;
}

function Blank({ engine }: { engine: Schemas["EngineView"] }) {
  const { unit } = useSettings();
  const [state, setState] = useState<"HOT" | "COLD">(engine.sheet.cam?.lashState ?? "COLD");
  const [school, setSchool] = useState<School>(
    (engine.sheet.rules?.school as School | undefined) ?? "BEST_STOPS",
  );
  const plan = useQuery(planQuery({ sheet: engine.sheet, school, stops: 2, onMarks: false }));
  const wanted = useQuery(lashTargets(engine.id, state)).data;
  return (
    <>
      <div className="no-print flex flex-wrap items-end gap-4 p-3">
        <Choice
          label="Sheet for a"
          value={state}
          onChange={setState}
          options={[
            ["HOT", "hot engine"],
            ["COLD", "cold engine"],
          ]}
        />
        <label className="flex flex-col gap-1 text-sm font-semibold text-muted">
          Setting order
          <select
            value={school}
            onChange={(e) => setSchool(e.target.value as School)}
            className="min-h-11 rounded border border-hair bg-raised px-3 text-base text-ink"
          >
            {SCHOOLS.map(([v, t]) => (
              <option key={v} value={v}>
                {t}
              </option>
            ))}
          </select>
        </label>
        <Button look="now" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {plan.error && <Problem error={plan.error} />}
      {plan.data && wanted && (
        <Sheet
          name={engine.name}
          layout={engine.layout}
          plan={plan.data}
          wanted={wanted}
          state={state}
          figures={{}}
          head={`date ____________   hours ________   heads ${unitOf("warmth", unit)} ______ to ______   by ______`}
        />
      )}
    </>
  );
}

/** A round's figures on the same sheet. */
export function FilledSheetPage() {
  const { id } = useParams({ from: "/rounds/$id/sheet" });
  const { round, error } = useRound(id);
  const { unit } = useSettings();
  if (error && !round) return <Problem error={error} />;
  if (!round) return <Waiting />;
  const figures: Record<Valve, Figures> = {};
  for (const v of round.valves) {
    const { zeroLashIn } = v.left ?? {};
    figures[v.position] = {
      found: v.found && readText(v.found, unit),
      left: v.left && (zeroLashIn === undefined ? readText(v.left, unit) : fittedText(v, unit)),
    };
  }
  const firsts = (["INTAKE", "EXHAUST"] as const).flatMap(
    (kind) => round.valves.find((v) => kindOf(v.position) === kind) ?? [],
  );
  const wanted = {
    targets: firsts.flatMap((v) => v.target ?? []),
    preloads: firsts.flatMap((v) => v.preloadTarget ?? []),
  };
  const temp =
    round.headTempStartF === undefined
      ? ""
      : `, heads ${figureText("warmth", round.headTempStartF, unit)} to ${measureText("warmth", round.headTempEndF, unit)}`;
  return (
    <>
      <EngineTabs id={round.engineId} name={round.engineName} />
      <div className="no-print p-3">
        <Button look="now" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <Sheet
        name={round.engineName}
        layout={round.layout}
        plan={round.plan}
        wanted={wanted}
        state={round.state}
        figures={figures}
        head={`${new Date(round.startedAt).toLocaleDateString()}, ${round.engineHours} h${temp}, read by ${round.hand}${round.signedBy ? `, signed ${round.signedBy}` : ""}`}
      />
    </>
  );
}

/** One page, readable at arm's length; the page itself is the report. */
function Sheet({ name, layout, plan, wanted, state, figures, head }: SheetProps) {
  const { unit } = useSettings();
  const { targets, preloads } = wanted;
  const preload = preloads[0];
  const faces = Object.fromEntries(
    Object.entries(figures).map(([v, f]) => [v, { text: f.left ?? f.found ?? "" }]),
  );
  const many = plan.stops.length > 6;
  return (
    <article className="mx-3 mb-6 bg-plate p-4 text-ink print:m-0 print:p-0" aria-label="Lash sheet">
      <header className="mb-2 flex flex-wrap items-baseline gap-x-6 border-b-2 border-line pb-1">
        <h2 className="text-3xl">{name}</h2>
        <p className="text-xl">
          {preload
            ? `preload, ${preloadUnit(preload, unit)}`
            : `${state.toLowerCase()} lash, ${unitName(unit)}`}
        </p>
        <p className="text-lg">
          firing order <strong>{layout.firingOrder.join("-")}</strong>
        </p>
        <p className="basis-full text-lg">{head}</p>
      </header>
      <div className="mb-2 grid grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] items-center gap-6">
        <ValvePlan
          layout={layout}
          facing="left"
          faces={faces}
          label={`${name} from above`}
          className={many ? "max-h-40 w-full" : "max-h-60 w-full"}
        />
        <div>
          {targets.map((t) => (
            <p key={t.kind} className="text-2xl">
              {t.kind === "INTAKE" ? "Intake" : "Exhaust"}{" "}
              <strong className="num text-4xl">{lashText(t.targetIn, unit)}</strong>{" "}
              <span className="num">± {lashText(t.toleranceIn, unit)}</span>
              {t.floorIn !== undefined && (
                <span className="block text-base">
                  lowest {lashText(t.floorIn, unit)}; {say(t.from, unit)}
                </span>
              )}
            </p>
          ))}
          {preloads.map((t) => (
            <p key={t.kind} className="text-2xl">
              {t.kind === "INTAKE" ? "Intake" : "Exhaust"}{" "}
              <strong className="num text-4xl">
                {preloadFigure(t.from, t, unit)} to {preloadFigure(t.to, t, unit)}
              </strong>
              {groundText(t) && <span className="block text-base">{groundText(t)}</span>}
            </p>
          ))}
          <p className="mt-1 text-base">{plan.title}: never turn back onto a stop.</p>
        </div>
      </div>
      <ol className={many ? "grid grid-cols-2 gap-x-5" : ""}>
        {plan.stops.map((s) => (
          <li
            key={s.number}
            className={`break-inside-avoid border-t border-line ${many ? "flex items-center justify-between gap-2 py-0.5" : "py-1"}`}
          >
            <p className={many ? "text-sm" : "text-lg"}>
              <strong className="num mr-2 text-2xl">{s.number}</strong>
              {s.number > 1 && <span className="num">bar {Math.round(s.barDeg)}°: </span>}
              <strong>{s.look}</strong>
              <span className="text-muted"> ({s.balancer})</span>
            </p>
            <div className={`grid gap-x-4 gap-y-1 ${many ? "shrink-0 grid-cols-1" : "grid-cols-4"}`}>
              {s.valves.map((v) => (
                <Boxes key={v.position} valve={v.position} figures={figures[v.position]} />
              ))}
            </div>
          </li>
        ))}
      </ol>
    </article>
  );
}

function Boxes({ valve, figures }: { valve: Valve; figures?: Figures }) {
  const box = "num inline-flex h-9 w-14 min-w-0 items-center justify-center border border-line text-xl";
  return (
    <span className="flex items-center gap-1">
      <strong className="w-9 text-right text-xl">{valve}</strong>
      <span className={box}>
        <span className="sr-only">as found</span>
        {figures?.found}
      </span>
      <span className={`${box} border-2`}>
        <span className="sr-only">as left</span>
        {figures?.left}
      </span>
    </span>
  );
}
