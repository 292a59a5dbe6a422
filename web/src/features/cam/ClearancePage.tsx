import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { type CamLive, clearance } from "../../api/camQueries";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { InlineInitials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText } from "../../units/load";
import { type BenchProps, CamFrame } from "./CamFrame";
import { ClearanceStart } from "./ClearanceStart";
import { MISSING, SCHOOLS, TRAPS } from "./camWords";
import { GapPanel } from "./GapPanel";
import { GapRead } from "./GapRead";
import { Sliders } from "./Sliders";
import { useReadings } from "./useSitting";

const NOTHING: CamLive = { advanceDeg: 0, tighterIn: 0, raisesIn: 0 };

/** Piston to valve: measured valve by valve, then moved live. */
export function ClearancePage() {
  return <CamFrame>{(bench) => <Clearances {...bench} />}</CamFrame>;
}

function Clearances(bench: BenchProps) {
  const [fresh, setFresh] = useState(false);
  const last = bench.cam.clearances[0];
  return fresh || !last ? (
    <ClearanceStart {...bench} onBegun={() => setFresh(false)} />
  ) : (
    <Sitting key={last.id} {...bench} sittingId={last.id} onAnew={() => setFresh(true)} />
  );
}

function Sitting({ engine, cam, sittingId, onAnew }: BenchProps & { sittingId: string; onAnew: () => void }) {
  const { unit } = useSettings();
  const [live, setLive] = useState(NOTHING);
  const [valve, setValve] = useState<string>();
  const [reading, setReading] = useState(false);
  const query = useQuery(clearance(engine.id, sittingId, live, valve));
  const work = useReadings({
    engineId: engine.id,
    sittingId,
    page: "clearance",
    known: query.data?.readings,
  });
  const view = query.data;
  if (!view) return query.error ? <Problem error={query.error} /> : <Waiting />;
  const marks = {
    ENOUGH: "IN",
    TIGHT: "TIGHT",
    TOUCHES: "BELOW_FLOOR",
    NOT_SURE: "LOOK",
    NOT_PROVED: "ASIDE",
  } as const;
  const faces = Object.fromEntries([
    ...view.open.map((v) => [v, { mark: "OPEN" as const }]),
    ...view.valves.map((v) => [v.valve, { text: heightText(v.leastIn, unit), mark: marks[v.margin] }]),
  ]);
  const tightest = [...view.valves].sort((a, b) => a.leastIn - a.wantedIn - (b.leastIn - b.wantedIn))[0];
  const shown = view.valves.find((v) => v.valve === valve) ?? tightest;
  const entry = reading || view.valves.length === 0;
  const school = view.sitting.school ?? "CHECKING_SPRING";
  return (
    <div className="grid gap-2 p-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <h2 className="text-lg">
          {SCHOOLS.find(([s]) => s === school)?.[1]}, at {view.sitting.engineHours.toFixed(1)} h
        </h2>
        <InlineInitials word="measured by" label="Initials of who measures" />
        <KeptHere parcels={work.parcels.filter((p) => !p.held)} of="figure" />
        <Button
          look={entry ? "plain" : "now"}
          onClick={() => setReading(!entry)}
          disabled={view.valves.length === 0}
        >
          {entry ? "What the gaps say" : "Measure another valve"}
        </Button>
        <Button look="quiet" onClick={onAnew}>
          Measure anew
        </Button>
      </div>
      <HeldParcels parcels={work.parcels} />
      {school === "NO_SPRING" && !entry && <Notice tone="care">{TRAPS.NO_SPRING}</Notice>}
      {view.missing.length > 0 && <Missing engineId={engine.id} missing={view.missing} entry={entry} />}
      <div className="grid items-start gap-2 min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed grid content-start gap-2 rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={engine.layout}
            faces={faces}
            selected={entry ? valve : shown?.valve}
            onSelect={setValve}
            label="Least gap at each valve"
            className="h-52 w-full min-[1000px]:h-[calc(100dvh-15rem)]"
          />
        </section>
        <div className="grid min-w-0 gap-2">
          {entry ? (
            <GapRead engine={engine} work={work} valve={valve} onValve={setValve} school={school} />
          ) : (
            shown && (
              <>
                <GapPanel view={view} valve={shown} />
                <Sliders
                  live={live}
                  onLive={setLive}
                  hydraulic={cam.hydraulic}
                  ratios={{ intake: cam.ratioIntake, exhaust: cam.ratioExhaust }}
                />
              </>
            )
          )}
          {!entry && view.open.length > 0 && (
            <Notice tone="ask">
              {view.valves.length} of {view.valves.length + view.open.length} valves were measured. Nothing is
              proved at the others: cylinders differ by decks, pins and seats.
            </Notice>
          )}
        </div>
      </div>
    </div>
  );
}

function Missing({ engineId, missing, entry }: { engineId: string; missing: string[]; entry: boolean }) {
  const sheet = missing.includes("CARD") || missing.includes("BOTTOM_END");
  return (
    <Notice tone="ask">
      <p>
        Readings are kept; for the arithmetic write down {missing.map((m) => MISSING[m] ?? m).join(", ")}.
      </p>
      <Link
        to={sheet ? "/engines/$id/setup" : "/engines/$id/setup/cam"}
        params={{ id: engineId }}
        className={buttonClass(entry ? "plain" : "now")}
      >
        Write it down
      </Link>
    </Notice>
  );
}
