import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { springTest } from "../../api/queries";
import { post, waiting, whenAllSent } from "../../outbox/outbox";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";
import { useAnsweredSince } from "../../ui/useAtHand";
import { type Read, type ReadGround, readSpring, type Typed, takeBack } from "./readFlow";
import { ofTest, testWithWaiting } from "./testOverlay";

export type SpringTest = Schemas["SpringTestView"];
export type TestValve = Schemas["TestValve"];

/** A spring test as it stands for whoever reads: Shim's last answer and, over it, what waits here. */
export function useSpringTest(id: string) {
  const queries = useQueryClient();
  const query = useQuery(springTest(id));
  const settings = useSettings();
  const box = useWaiting();
  const parcels = useMemo(() => ofTest(box, id), [box, id]);
  const test = useMemo(
    () => (query.data ? testWithWaiting(query.data, parcels) : undefined),
    [query.data, parcels],
  );
  const answeredNow = useAnsweredSince(query.dataUpdatedAt);
  const hand = settings.hand || query.data?.hand || "";
  const key = springTest(id).queryKey;
  const answer = () => queries.getQueryData(key);
  /** What is known this moment, not what was drawn last. */
  const latest = (): SpringTest | undefined => {
    const now = answer();
    return now && testWithWaiting(now, ofTest(waiting(), id));
  };
  const ground: ReadGround = {
    hand,
    newId,
    known: (readingId) => answer()?.valves.some((v) => v.readings.some((r) => r.id === readingId)) ?? false,
  };
  const end = useMutation({
    networkMode: "always",
    mutationFn: async () => {
      await whenAllSent((p) => ofTest([p], id).length > 0);
      return answered(api.PUT("/api/spring-tests/{id}/end", { params: { path: { id } }, body: { hand } }));
    },
    onSuccess: (now: SpringTest) => queries.setQueryData(key, now),
  });

  /** Keeps a reading; answers with the test as it then stands, or why it cannot be kept. */
  const read = (position: string, again: boolean, typed: Typed, loadLbf?: number) => {
    const now = latest();
    const valve = now?.valves.find((v) => v.position === position);
    if (!now || !valve) return { trouble: "this spring is not in the test any more" };
    const out: Read = readSpring(now, valve, again, typed, loadLbf, ground);
    if ("trouble" in out) return out;
    post(...out.keep);
    return { now: latest() ?? now };
  };
  const withdraw = (position: string) => {
    const now = latest();
    const valve = now?.valves.find((v) => v.position === position);
    if (now && valve) post(...takeBack(now, valve, ground));
  };
  const check = (body: Omit<Schemas["CheckEntry"], "hand">) =>
    post({ kind: "check", testId: id, checkId: newId(), body: { ...body, hand } });

  return {
    test,
    error: query.error,
    answeredNow,
    parcels,
    read,
    withdraw,
    check,
    end,
    hand,
  };
}
