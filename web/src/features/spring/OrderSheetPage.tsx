import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { pockets as pocketsQuery } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { heightText, kept, loadText, loadUnit } from "../../units/load";

/** One page of measures for whoever orders or sells the parts. */
export function OrderSheetPage() {
  const { id } = useParams({ from: "/engines/$id/order-sheet" });
  const query = useQuery(pocketsQuery(id));
  return (
    <EngineFrame id={id}>
      {(engine) =>
        query.error ? (
          <Problem error={query.error} />
        ) : query.data ? (
          <OrderSheet engine={engine} known={query.data} />
        ) : (
          <Waiting />
        )
      }
    </EngineFrame>
  );
}

/** What a maker asks and Shim does not know: lines to write on. */
const BY_HAND = [
  "Valve stem diameter",
  "Lock angle and groove",
  "Guide and seal, outside",
  "Locator bore",
  "Valve material, stem hollow?",
  "Top rpm, for how long",
  "Hours between changes",
  "Ordered by, date",
];

interface OrderSheetProps {
  engine: Schemas["EngineView"];
  known: Schemas["EnginePockets"];
}

function OrderSheet({ engine, known }: OrderSheetProps) {
  const { unit } = useSettings();
  const inch = (v: number | undefined) => (v === undefined ? "" : heightText(v, unit));
  const cam = engine.sheet.cam;
  return (
    <div className="mx-auto grid w-full max-w-4xl gap-3 p-3">
      <div className="flex items-center justify-between">
        <h1 className="text-xl">{engine.name}: springs, measures for ordering</h1>
        <Button className="no-print" look="now" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <dl className="grid grid-cols-2 gap-x-6 min-[700px]:grid-cols-4">
        {[
          ["Lifter", engine.sheet.drive?.lifter?.toLowerCase().replace("_", " ")],
          [
            "Rocker ratio",
            [engine.sheet.drive?.ratioIntake, engine.sheet.drive?.ratioExhaust].filter(Boolean).join(" / "),
          ],
          ["Lash", [cam?.lashIntakeIn, cam?.lashExhaustIn].map(inch).join(" / ")],
          ["Height wanted within", `±${heightText(known.toleranceIn, unit)}`],
        ].map(([name, value]) => (
          <div key={name} className="border-t border-hair">
            <dt className="text-sm text-muted">{name}</dt>
            <dd className="num text-lg">{value || "–"}</dd>
          </div>
        ))}
      </dl>
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-line text-left">
            <th>Valve</th>
            <th className="text-right">Height</th>
            <th className="text-right">Wanted</th>
            <th className="text-right">Lift</th>
            <th className="text-right">Closed, {loadUnit(unit)}</th>
            <th className="text-right">Open</th>
            <th className="text-right">To bind</th>
            <th className="text-right">Seal gap</th>
            <th className="text-right">Pocket</th>
            <th className="pl-3">Shims</th>
            <th className="pl-3">Retainer, locks, locator</th>
          </tr>
        </thead>
        <tbody>
          {known.pockets.map((p) => (
            <tr key={p.position} className="border-b border-hair">
              <td className="py-1 font-bold">{p.position}</td>
              <td className="num text-right">{inch(p.fitting.heightIn)}</td>
              <td className="num text-right">{inch(p.targetIn)}</td>
              <td className="num text-right">{p.liftIn > 0 ? inch(p.liftIn) : ""}</td>
              <td className="num text-right">{loadText(p.fit.seatLbf, unit, 0)}</td>
              <td className="num text-right">{loadText(p.fit.openLbf, unit, 0)}</td>
              <td className="num text-right">{inch(p.fit.bindClearanceIn)}</td>
              <td className="num text-right">{inch(p.fitting.sealGapIn)}</td>
              <td className="num text-right">{inch(p.fitting.pocketIn)}</td>
              <td className="pl-3">{kept(p.fitting.shims ?? "", unit)}</td>
              <td className="pl-3">
                {[p.fitting.retainer, p.fitting.locks, p.fitting.locator].filter(Boolean).join(", ")}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="grid grid-cols-2 gap-x-6 gap-y-1 text-sm min-[700px]:grid-cols-4" aria-label="By hand">
        {BY_HAND.map((name) => (
          <div key={name} className="flex h-11 flex-col justify-between border-b border-hair">
            <dt className="text-muted">{name}</dt>
            <dd />
          </div>
        ))}
      </dl>
      <p className="text-sm text-muted">
        Lengths in {unit === "mm" ? "mm" : "inches"}. Lift is gross, at the valve; open load with lash taken
        off, to bind with none. Loads by the data sheet of the springs in use. Empty boxes were not measured.
      </p>
    </div>
  );
}
