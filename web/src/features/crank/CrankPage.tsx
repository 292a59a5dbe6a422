import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { comparison, sheetReading } from "../../api/queries";
import { type ValveFace, ValvePlan } from "../../plan/ValvePlan";
import { slackAt } from "../../ribbon/arcs";
import { CrankRibbon } from "../../ribbon/CrankRibbon";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Check } from "../../ui/Field";
import { nth } from "../../ui/nth";
import { SchoolTable } from "./SchoolTable";
import { StopList } from "./StopList";
import type { School } from "./schools";
import { TradeChart } from "./TradeChart";

/** The setting order, seen and moved. */
export function CrankPage() {
  const { id } = useParams({ from: "/engines/$id/lash/order" });
  return <EngineFrame id={id}>{(engine) => <Crank engine={engine} />}</EngineFrame>;
}

function Crank({ engine }: { engine: Schemas["EngineView"] }) {
  const [crankDeg, setCrank] = useState(0);
  const [school, setSchool] = useState<School>(
    (engine.sheet.rules?.school as School | undefined) ?? "BEST_STOPS",
  );
  const [stops, setStops] = useState(2);
  const [onMarks, setOnMarks] = useState(false);
  const [valve, setValve] = useState<Valve>();
  const reading = useQuery(sheetReading(engine.sheet));
  const plans = useQuery(comparison({ sheet: engine.sheet, stops, onMarks }));
  const error = reading.error ?? plans.error;
  if (error) return <Problem error={error} />;
  const windows = reading.data?.facts?.windows;
  if (!windows || !plans.data) return <Waiting />;
  const plan = plans.data.plans.find((p) => p.school === school) ?? nth(plans.data.plans, 0);
  return (
    <div className="grid gap-3 p-3 min-[1000px]:grid-cols-[minmax(0,1fr)_minmax(330px,400px)]">
      <div className="flex min-w-0 flex-col gap-3">
        <section className="scribed rounded p-2" aria-label="Crank ribbon">
          <p className="px-2 text-sm text-muted">
            Drag the crank or use ← →. Green: may be set now, with its slack. Humps: lobes. Dots: where this
            plan sets it.
          </p>
          <CrankRibbon
            windows={windows}
            tdc={engine.layout.compressionTdc}
            crankDeg={crankDeg}
            onCrank={setCrank}
            stops={plan.stops.map((s) => ({ ...s, valves: s.valves.map((v) => v.position) }))}
            selected={valve}
          />
        </section>
        <StopList plan={plan} crankDeg={crankDeg} onCrank={setCrank} />
      </div>
      <div className="flex min-w-0 flex-col gap-3">
        <section className="scribed rounded p-3" aria-label="Valve plan at this crank position">
          <ValvePlan
            layout={engine.layout}
            facing="left"
            faces={facesNow(windows, crankDeg)}
            selected={valve}
            onSelect={(v) => setValve(v === valve ? undefined : v)}
            label="Valves that may be set now"
            className="max-h-72 w-full"
          />
        </section>
        <SchoolTable plans={plans.data.plans} chosen={plan.school} onChoose={setSchool} />
        <section className="scribed rounded p-3" aria-label="Stops against slack">
          <h2 className="text-lg">Best few stops: how many?</h2>
          <TradeChart
            trade={plans.data.trade}
            stops={stops}
            onStops={(k) => {
              setStops(k);
              setSchool("BEST_STOPS");
            }}
          />
          <Check
            label="Only where the balancer has a mark"
            checked={onMarks}
            onChange={(e) => setOnMarks(e.target.checked)}
          />
          {onMarks && plans.data.markCostDeg !== undefined && (
            <p className="text-sm text-muted">
              The marks cost {Math.round(plans.data.markCostDeg)}° of slack.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}

function facesNow(windows: Schemas["Window"][], crankDeg: number): Record<Valve, ValveFace> {
  return Object.fromEntries(
    windows.map((w) => {
      const slack = slackAt(crankDeg, w);
      return [
        w.position,
        { text: slack >= 0 ? `${Math.round(slack)}` : "", lit: slack >= 0, open: slack < 0 },
      ];
    }),
  );
}
