import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import type { Schemas } from "../../api/client";
import { round as roundQuery } from "../../api/queries";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";
import { useAnsweredSince } from "../../ui/useAtHand";
import { ofRound, withWaiting } from "./overlay";

export type Round = Schemas["RoundView"];
export type ValveView = Schemas["ValveView"];
export type Phase = Schemas["ReadingEntry"]["phase"];

/** A round as it stands for whoever enters it: Shim's last answer and, over it, what waits here. */
export function useRound(id: string) {
  const query = useQuery(roundQuery(id));
  const settings = useSettings();
  const box = useWaiting();
  const parcels = useMemo(() => ofRound(box, id), [box, id]);
  const round = useMemo(
    () => (query.data ? withWaiting(query.data, parcels) : undefined),
    [query.data, parcels],
  );
  const answeredNow = useAnsweredSince(query.dataUpdatedAt);
  const hand = settings.hand || query.data?.hand || "";
  return { round, error: query.error, answeredNow, parcels, hand };
}
