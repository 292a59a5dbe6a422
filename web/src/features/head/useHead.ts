import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { answered, api } from "../../api/client";
import { newId } from "../../api/ids";
import { head as headQuery } from "../../api/queries";
import { discard, post } from "../../outbox/outbox";
import type { ParcelOf } from "../../outbox/parcel";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";
import { type Figure, type Place, same } from "./headFlow";
import type { What } from "./measures";

/** Some heads with what waits on this device laid over what Shim has. */
export function useHead(id: string) {
  const queries = useQueryClient();
  const query = useQuery(headQuery(id));
  const { hand } = useSettings();
  const box = useWaiting();
  const parcels = useMemo(
    () => box.filter((p): p is ParcelOf<"figure"> => p.kind === "figure" && p.headId === id),
    [box, id],
  );
  const known = query.data?.readings;
  const figures: Figure[] = useMemo(() => {
    const kept = new Set(known?.map((r) => r.id));
    const waiting = parcels.filter((p) => !p.held && !kept.has(p.figureId)).map((p) => p.body);
    return [...(known ?? []), ...waiting];
  }, [known, parcels]);

  const read = (what: What, at: Place, figure: number) =>
    post({ kind: "figure", headId: id, figureId: newId(), body: { what, ...at, figure, hand } });

  /** The last figure at a place is taken back, whether Shim has it or not. */
  const takeBack = async (what: What, at: Place) => {
    const here = (f: Place & { what: What }) => f.what === what && same(f, at);
    const waiting = parcels.filter((p) => here(p.body)).at(-1);
    if (waiting) return discard(waiting.key);
    const last = known?.filter(here).at(-1);
    if (!last) return;
    const view = await answered(
      api.PUT("/api/heads/{id}/readings/{readingId}/taken-back", {
        params: { path: { id, readingId: last.id } },
        body: { hand: hand || last.hand },
      }),
    );
    queries.setQueryData(headQuery(id).queryKey, view);
  };
  return { head: query.data, error: query.error, figures, parcels, read, takeBack, hand };
}
