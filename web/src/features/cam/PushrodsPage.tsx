import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { pushrodSitting } from "../../api/camQueries";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import { ValvePlan } from "../../plan/ValvePlan";
import { ReadPanel } from "../../reading/ReadPanel";
import { Waiting } from "../../shell/EngineFrame";
import { InlineInitials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { heightText, heightUnit, readHeight } from "../../units/load";
import { type BenchProps, CamFrame } from "./CamFrame";
import { ASKED } from "./camWords";
import { RodAnswer } from "./RodAnswer";
import { begin, figuresAt, nextOpen, useReadings } from "./useSitting";

/** Pushrods: the checker valve by valve, then which few lengths to order. */
export function PushrodsPage() {
  return <CamFrame>{(bench) => <Pushrods {...bench} />}</CamFrame>;
}

function Pushrods(bench: BenchProps) {
  const { hand } = useSettings();
  const last = bench.cam.pushrods[0];
  const start = async () => {
    await begin(bench.engine.id, {
      kind: "PUSHRODS",
      engineHours: bench.cam.engineHours,
      hand: hand || "–",
      state: "COLD",
    });
  };
  if (bench.engine.sheet.drive?.lifter === "BUCKET") {
    return <p className="p-3">This engine has buckets and shims: no pushrods.</p>;
  }
  return last ? (
    <Sitting key={last.id} {...bench} sittingId={last.id} onAnew={start} />
  ) : (
    <div className="grid max-w-3xl gap-3 p-3">
      <h2 className="text-2xl">Pushrod length</h2>
      <p>
        An adjustable checker at zero lash on the base circle, valve by valve; one of each kind at least, all
        of them where the rocker is fixed. Head or deck cut, gasket, cam, valve, seat, lifter or rocker
        changed: measure anew.
      </p>
      <InlineInitials word="measured by" label="Initials of who measures" />
      <Button look="now" onClick={start} disabled={hand === ""}>
        Begin measuring
      </Button>
    </div>
  );
}

type What = "ROD" | "TIP_WIDTH" | "TIP_OFFSET";

const WHATS: [What, string][] = [
  ["ROD", "length"],
  ["TIP_WIDTH", "mark's width"],
  ["TIP_OFFSET", "mark's place"],
];

interface SittingProps extends BenchProps {
  sittingId: string;
  onAnew: () => void;
}

function Sitting({ engine, sittingId, onAnew }: SittingProps) {
  const { unit } = useSettings();
  const [what, setWhat] = useState<What>("ROD");
  const [sizes, setSizes] = useState<string>();
  const typed = (sizes ?? "")
    .split(/[\s;]+/)
    .map((s) => readHeight(s, unit))
    .filter((s) => s !== undefined);
  const query = useQuery(pushrodSitting(engine.id, sittingId, typed));
  const work = useReadings({ engineId: engine.id, sittingId, page: "pushrods", known: query.data?.readings });
  const valves = engine.layout.banks.flatMap((b) => b.valves);
  const [valve, setValve] = useState<string>();
  const view = query.data;
  if (!view) return query.error ? <Problem error={query.error} /> : <Waiting />;
  const here = valve ?? nextOpen(valves, work.figures, what, 0) ?? valves[0] ?? "";
  const keep = (figure: number) => {
    work.read({ what, valve: here, figure });
    const now = [...work.figures, { what, valve: here, at: 0, figure, touched: true }];
    setValve(nextOpen(valves, now, what, valves.indexOf(here) + 1) ?? here);
  };
  const move = (by: number) => setValve(valves[(valves.indexOf(here) + by + valves.length) % valves.length]);
  const rods = new Map(view.rods.map((r) => [r.valve, r]));
  const faces = Object.fromEntries(
    valves.map((v) => {
      const rod = rods.get(v);
      return [
        v,
        {
          text: rod ? heightText(rod.zeroLashIn, unit) : "",
          mark: rod ? ("IN" as const) : ("OPEN" as const),
        },
      ];
    }),
  );
  const asked = ASKED[what]("");
  return (
    <div className="grid gap-2 p-2">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1 px-1">
        <Choice label="Read at each valve" value={what} onChange={setWhat} options={WHATS} />
        <InlineInitials word="measured by" label="Initials of who measures" />
        <KeptHere parcels={work.parcels.filter((p) => !p.held)} of="figure" />
        <Button look="quiet" onClick={onAnew}>
          Measure anew
        </Button>
      </div>
      <HeldParcels parcels={work.parcels} />
      <div className="grid items-start gap-2 min-[1000px]:grid-cols-[300px_minmax(0,1fr)_minmax(0,1fr)]">
        <section className="scribed grid content-start gap-2 rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={engine.layout}
            faces={faces}
            selected={here}
            onSelect={setValve}
            label="Length at zero lash at each valve"
            className="h-52 w-full min-[1000px]:h-[calc(100dvh-15rem)]"
          />
        </section>
        <ReadPanel
          key={`${what} ${here}`}
          place={here}
          name={asked.name}
          how={asked.how}
          of="INCH"
          signed={what === "TIP_OFFSET"}
          taken={figuresAt(work.figures, what, here).map((f) => f.figure)}
          initials={work.hand !== ""}
          onKeep={keep}
          onMove={move}
          onBack={() => work.takeBack((f) => f.what === what && f.valve === here)}
        />
        <div className="grid gap-2">
          <Field
            label={`Lengths that can be had, ${heightUnit(unit)}`}
            hint={sizes ? undefined : "as on the engine's sheet; type others to try them"}
            value={sizes ?? view.sizesIn.map((s) => heightText(s, unit)).join(" ")}
            onChange={(e) => setSizes(e.target.value)}
          />
          <RodAnswer engine={engine} view={view} />
        </div>
      </div>
    </div>
  );
}
