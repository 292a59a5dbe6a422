import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import type { Schemas } from "../../api/client";
import { roundLooks, round as roundQuery } from "../../api/queries";
import { changesSeen, type KnownRound } from "../../api/roundChange";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";
import { useAnsweredSince } from "../../ui/useAtHand";
import { ofRound, withWaiting } from "./overlay";

export type Round = KnownRound;
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

/** What a round says as a whole. */
export const useLooks = (round: Round) => useQuery(roundLooks(round.engineId, round.id, changesSeen(round)));
