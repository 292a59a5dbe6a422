import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import type { Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { job as jobQuery } from "../../api/queries";
import { discard, post, postPhoto, waiting } from "../../outbox/outbox";
import type { Parcel, ParcelOf } from "../../outbox/parcel";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";

export type Act = Omit<Schemas["ActEntry"], "hand" | "basedOn">;
type JobParcel = ParcelOf<"act" | "found" | "foundPhoto">;

const ofJob = (box: readonly Parcel[], id: string): JobParcel[] =>
  box.filter(
    (p): p is JobParcel =>
      (p.kind === "act" || p.kind === "found" || p.kind === "foundPhoto") && p.jobId === id,
  );

const acts = (parcels: readonly JobParcel[]) => parcels.filter((p) => p.kind === "act");

/**
 * A job and all that can be done to it. Each act is kept on this device under an id of its own and
 * sent until it is taken. The next step is shown only when Shim has answered: no step of a walk is
 * done unseen.
 */
export function useJob(id: string) {
  const queries = useQueryClient();
  const query = useQuery(jobQuery(id));
  const settings = useSettings();
  const box = useWaiting();
  const parcels = useMemo(() => ofJob(box, id), [box, id]);
  const hand = settings.hand || query.data?.hand || "";

  /**
   * Something done. What was refused before gives way to what the person does now. A step that was
   * pressed twice is done once: the second press may come when Shim has answered and the page does not
   * show it yet.
   */
  const once = (act: Act) => {
    const seen = queries.getQueryData(jobQuery(id).queryKey)?.state.acts ?? 0;
    if (act.step && seen !== query.data?.state.acts) return;
    const before = acts(ofJob(waiting(), id));
    for (const p of before) if (p.held) discard(p.key);
    const basedOn = seen + before.filter((p) => !p.held).length;
    post({ kind: "act", jobId: id, actId: newId(), body: { ...act, hand, basedOn } });
  };
  const find = async (finding: Omit<Schemas["FindingEntry"], "hand">, photo?: File) => {
    const findingId = newId();
    post({ kind: "found", jobId: id, findingId, body: { ...finding, hand } });
    if (photo) await postPhoto({ kind: "foundPhoto", jobId: id, findingId }, photo);
  };
  const onItsWay = acts(parcels).some((p) => !p.held);
  const refused = acts(parcels).find((p) => p.held)?.last?.words;
  return { job: query.data, error: query.error, once, find, hand, parcels, onItsWay, refused };
}
