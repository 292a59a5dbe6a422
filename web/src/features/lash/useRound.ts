import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Schemas, type Valve } from "../../api/client";
import { deliver, type RoundParcel, waitingRounds } from "../../api/outbox";
import { round as roundQuery } from "../../api/queries";
import { useUnsent } from "../../api/useUnsent";
import { useSettings } from "../../shell/settings";

export type Round = Schemas["RoundView"];
export type ValveView = Schemas["ValveView"];
export type Phase = Schemas["ReadingEntry"]["phase"];

/** What a reading says, without who and where. */
export type Said = Pick<
  Schemas["ReadingEntry"],
  "form" | "figure" | "secondFigure" | "feel" | "typed" | "partSizeIn" | "note" | "why"
>;

/** A round and all that can be done to it; what Shim did not answer waits and is sent again. */
export function useRound(id: string) {
  const queries = useQueryClient();
  const query = useQuery(roundQuery(id));
  const settings = useSettings();
  const hand = settings.hand || query.data?.hand || "";
  const { unsent, count } = useUnsent(waitingRounds, (next) =>
    deliver(next).then((answer) => queries.setQueryData(roundQuery(next.roundId).queryKey, answer)),
  );
  const key = roundQuery(id).queryKey;
  /** The answer to a change is newer than any question still on its way: that one is called back. */
  const show = async (round: Round) => {
    await queries.cancelQueries({ queryKey: key });
    queries.setQueryData(key, round);
  };

  const send = useMutation({
    mutationFn: (parcel: RoundParcel) => deliver(parcel),
    onSuccess: show,
    onSettled: count,
  });
  const crank = useMutation({
    mutationFn: (crankDeg: number) =>
      answered(
        api.PUT("/api/rounds/{id}/crank", { params: { path: { id } }, body: { crankDeg, by: hand || "?" } }),
      ),
    onSuccess: show,
  });
  const withdraw = useMutation({
    mutationFn: (readingId: string) =>
      answered(
        api.DELETE("/api/rounds/{id}/readings/{readingId}", {
          params: { path: { id, readingId }, query: { hand } },
        }),
      ),
    onSuccess: show,
  });

  const read = (valve: ValveView, phase: Phase, said: Said) => {
    const held = phase === "FOUND" ? valve.found : valve.left;
    return send.mutateAsync({
      kind: "reading",
      roundId: id,
      readingId: held?.id ?? crypto.randomUUID(),
      body: { valve: valve.position, phase, hand, basedOn: held?.version, ...said },
    });
  };
  const look = (valve: ValveView, change: Partial<Schemas["ValveLook"]>) =>
    send.mutateAsync({
      kind: "look",
      roundId: id,
      valve: valve.position,
      body: {
        spring: valve.spring,
        rocker: valve.rocker,
        note: valve.note,
        skipped: valve.status === "SKIPPED",
        hand,
        ...change,
      },
    });
  const pending = (valve: Valve, phase: Phase) =>
    waitingRounds().some((p) => p.kind === "reading" && p.body.valve === valve && p.body.phase === phase);

  return { round: query.data, error: query.error, send, read, look, pending, crank, withdraw, unsent, hand };
}
