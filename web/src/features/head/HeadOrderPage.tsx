import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { engine as engineQuery, headSprings } from "../../api/queries";
import { kindOf } from "../../plan/geometry";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { engineFacts, OrderPaper } from "../spring/OrderPaper";
import type { What } from "./measures";
import { useHead } from "./useHead";

/** Measures of bare heads for whoever orders or sells springs: no spring has to be fitted. */
export function HeadOrderPage() {
  const { id } = useParams({ from: "/heads/$id/order" });
  const { unit } = useSettings();
  const { head, error } = useHead(id);
  const engine = useQuery({ ...engineQuery(head?.sheet.madeFor ?? ""), enabled: head !== undefined }).data;
  const lifts = useQuery(headSprings(id)).data?.lifts;
  if (!head) return error ? <Problem error={error} /> : <Waiting />;
  const at = (what: What, valve: string) =>
    head.shows.find((s) => s.what === what && s.place.valve === valve)?.figure;
  return (
    <OrderPaper
      title={`${head.sheet.name}: measures for ordering springs`}
      facts={[["For", head.madeForName], ...(engine ? engineFacts(engine.sheet, unit) : [])]}
      rows={head.layout.banks
        .flatMap((b) => b.valves)
        .map((position) => ({
          position,
          heightIn: at("HEIGHT", position),
          sealGapIn: at("SEAL_GAP", position),
          pocketIn: at("POCKET", position),
          stemIn: at("STEM", position),
          liftIn: lifts?.[kindOf(position)],
        }))}
      note="Heights with plain locks, the usual retainer and nothing under the spring; the widest of the readings of a pocket; lift is gross, at the valve."
    />
  );
}
