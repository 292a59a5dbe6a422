import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { lashHistory } from "../../api/queries";
import { domains, LashChart } from "../../charts/LashChart";
import { kindOf } from "../../plan/geometry";
import { MarkIcon } from "../../plan/verdict";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { driftText, unitName } from "../../units/lash";
import { preloadFigure } from "../../words/preload";
import { ValveLife } from "./ValveLife";

/** Lash over rounds and hours: a small chart in the place of each valve, one valve large. */
export function HistoryPage() {
  const { id } = useParams({ from: "/engines/$id/lash" });
  return <EngineFrame id={id}>{(engine) => <History engine={engine} />}</EngineFrame>;
}

function History({ engine }: { engine: Schemas["EngineView"] }) {
  const lash = useQuery(lashHistory(engine.id)).data;
  const [picked, setPicked] = useState<Valve>();
  if (!lash) return <Waiting />;
  const read = lash.valves.filter((v) =>
    v.points.some((p) => p.foundIn !== undefined || p.foundPreload !== undefined),
  );
  if (read.length === 0) {
    return (
      <div className="p-4">
        <Notice tone="know">
          No lash has been read on this engine yet. The first round draws its line here.
        </Notice>
      </div>
    );
  }
  const valve = picked ?? mostMoved(lash) ?? nth(read, 0).position;
  return (
    <div className="flex flex-col gap-3 p-3">
      <ValveLife lash={lash} valve={valve} />
      <GrowthNote growth={lash.growth} />
      <div className="flex flex-col gap-3">
        {/* As on the plan with its front to the left: the left bank lies below. */}
        {[...engine.layout.banks].reverse().map((bank) => (
          <section key={bank.name} aria-label={bank.name} className="scribed rounded p-2">
            <h2 className="mb-1 text-sm text-muted">{bank.name}, front to the left</h2>
            <div
              className="grid gap-1.5"
              style={{ gridTemplateColumns: `repeat(${Math.min(bank.valves.length, 8)}, minmax(0, 1fr))` }}
            >
              {bank.valves.map((v) => (
                <Small key={v} lash={lash} valve={v} picked={v === valve} onPick={setPicked} />
              ))}
            </div>
          </section>
        ))}
      </div>
    </div>
  );
}

/** The valve whose drifts add up to most: what a person would open first. */
function mostMoved(lash: Schemas["EngineLash"]): Valve | undefined {
  const moved = (v: Schemas["ValveLash"]) =>
    Math.abs(v.points.slice(-3).reduce((sum, p) => sum + (p.driftIn ?? 0), 0));
  return [...lash.valves].sort((a, b) => moved(b) - moved(a))[0]?.position;
}

interface SmallProps {
  lash: Schemas["EngineLash"];
  valve: Valve;
  picked: boolean;
  onPick: (v: Valve) => void;
}

function Small({ lash, valve, picked, onPick }: SmallProps) {
  const { unit } = useSettings();
  const own = lash.valves.find((v) => v.position === valve);
  if (!own) return null;
  const last = own.points.at(-1);
  const target = lash.preloads.find((t) => t.kind === kindOf(valve));
  const { hours, lash: range } = domains(lash.valves);
  return (
    <button
      type="button"
      aria-pressed={picked}
      onClick={() => onPick(valve)}
      className={`min-h-11 min-w-0 rounded border bg-raised p-1 text-left ${picked ? "border-2 border-accent" : "border-hair"}`}
    >
      <span className="flex justify-between text-sm font-bold">
        {valve}
        <span className="num flex items-center gap-1">
          {target
            ? preloadFigure(last?.leftPreload ?? last?.foundPreload, target, unit)
            : driftText(last?.driftIn, unit)}
          {target && last?.leftVerdict && <MarkIcon mark={last.leftVerdict} size={16} />}
        </span>
      </span>
      {!target && (
        <LashChart
          points={own.points}
          targets={lash.targets.filter((t) => t.kind === kindOf(valve))}
          changes={lash.changes.filter((c) => c.valves.includes(valve))}
          height={84}
          hours={hours}
          lash={range}
        />
      )}
    </button>
  );
}

function GrowthNote({ growth }: { growth: Schemas["GrowthLine"][] }) {
  const { unit } = useSettings();
  if (growth.length === 0) return null;
  return (
    <p className="scribed rounded px-4 py-2">
      This engine's own growth, cold minus hot in {unitName(unit)}:{" "}
      {growth.map((g) => (
        <span key={g.kind} className="mr-4">
          {g.kind === "INTAKE" ? "intake" : "exhaust"}{" "}
          <strong className="num text-lg">{driftText(g.coldMinusHotIn, unit)}</strong> (s.d.{" "}
          {driftText(g.sdIn, unit).replace("+", "")}, {g.pairs} pairs)
        </span>
      ))}
    </p>
  );
}
