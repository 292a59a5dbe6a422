import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { pockets as pocketsQuery, springTypes } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { BoxSort } from "./BoxSort";

/** Which spring of a box goes into which pocket. */
export function BoxPage() {
  const { id } = useParams({ from: "/engines/$id/spring-box" });
  const known = useQuery(pocketsQuery(id));
  const types = useQuery(springTypes());
  return (
    <EngineFrame id={id}>
      {(engine) => {
        const error = known.error ?? types.error;
        if (error && (!known.data || !types.data)) return <Problem error={error} />;
        if (!known.data || !types.data) return <Waiting />;
        const type = types.data.find((t) => t.id === known.data.pockets[0]?.typeId);
        return type ? (
          <Sort engine={engine} known={known.data} type={type} />
        ) : (
          <div className="p-4">
            <Notice tone="know">Put a set in first: the heights and pockets are measured with it.</Notice>
          </div>
        );
      }}
    </EngineFrame>
  );
}

interface SortProps {
  engine: Schemas["EngineView"];
  known: Schemas["EnginePockets"];
  type: Schemas["StoredType"];
}

function Sort({ engine, known, type }: SortProps) {
  // Without its stack nobody knows how high a pocket is.
  const measured = known.pockets.filter((p) => p.fitting.heightIn !== undefined && p.stack);
  return (
    <BoxSort
      name={engine.id}
      layout={engine.layout}
      sheet={type.sheet}
      pockets={measured.map((p) => ({
        position: p.position,
        heightIn: (p.stack?.shimsIn ?? []).reduce((a, b) => a + b, p.fitting.heightIn ?? 0),
        diameterIn: p.fitting.pocketIn ?? 0,
        targetIn: p.targetIn,
      }))}
      unclear={known.pockets
        .filter((p) => p.fitting.heightIn !== undefined && !p.stack)
        .map((p) => p.position)}
      targetIn={nth(known.pockets, 0).targetIn}
      toleranceIn={known.toleranceIn}
      shimsIn={known.shimsIn}
      limits={known.clearances}
    />
  );
}
