import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { pockets as pocketsQuery } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { heightText } from "../../units/load";
import { engineFacts, OrderPaper } from "./OrderPaper";

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

interface OrderSheetProps {
  engine: Schemas["EngineView"];
  known: Schemas["EnginePockets"];
}

function OrderSheet({ engine, known }: OrderSheetProps) {
  const { unit } = useSettings();
  return (
    <OrderPaper
      title={`${engine.name}: springs, measures for ordering`}
      facts={[
        ...engineFacts(engine.sheet, unit),
        ["Height wanted within", `±${heightText(known.toleranceIn, unit)}`],
      ]}
      rows={known.pockets.map((p) => ({
        position: p.position,
        heightIn: p.fitting.heightIn,
        targetIn: p.targetIn,
        liftIn: p.liftIn,
        seatLbf: p.fit.seatLbf,
        openLbf: p.fit.openLbf,
        bindClearanceIn: p.fit.bindClearanceIn,
        sealGapIn: p.fitting.sealGapIn,
        pocketIn: p.fitting.pocketIn,
        shims: p.fitting.shims,
        parts: [p.fitting.retainer, p.fitting.locks, p.fitting.locator].filter(Boolean).join(", "),
      }))}
      note="Lift is gross, at the valve; open load with lash taken off, to bind with none. Loads by the data sheet of the springs in use."
    />
  );
}
