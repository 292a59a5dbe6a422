import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Schemas } from "../../api/client";
import { deliver, type TestParcel, waitingTests } from "../../api/outbox";
import { springTest } from "../../api/queries";
import { useUnsent } from "../../api/useUnsent";
import { useSettings } from "../../shell/settings";

export type SpringTest = Schemas["SpringTestView"];
export type TestValve = Schemas["TestValve"];

/** A spring test and all that can be done to it; what Shim did not answer waits and is sent again. */
export function useSpringTest(id: string) {
  const queries = useQueryClient();
  const query = useQuery(springTest(id));
  const settings = useSettings();
  const hand = settings.hand || query.data?.hand || "";
  const { unsent, count } = useUnsent(waitingTests, (next) =>
    deliver(next).then((answer) => queries.setQueryData(springTest(next.testId).queryKey, answer)),
  );
  const key = springTest(id).queryKey;
  const show = async (test: SpringTest) => {
    await queries.cancelQueries({ queryKey: key });
    queries.setQueryData(key, test);
    void queries.invalidateQueries({ queryKey: ["engines", test.engineId, "springs"] });
  };
  const send = useMutation({
    mutationFn: (parcel: TestParcel) => deliver(parcel),
    onSuccess: show,
    onSettled: count,
  });
  const withdraw = useMutation({
    mutationFn: (readingId: string) =>
      answered(
        api.DELETE("/api/spring-tests/{id}/readings/{readingId}", {
          params: { path: { id, readingId }, query: { hand } },
        }),
      ),
    onSuccess: show,
  });
  const check = useMutation({
    mutationFn: (body: Omit<Schemas["CheckEntry"], "hand">) =>
      answered(
        api.PUT("/api/spring-tests/{id}/checks/{checkId}", {
          params: { path: { id, checkId: crypto.randomUUID() } },
          body: { ...body, hand },
        }),
      ),
    onSuccess: show,
  });
  const end = useMutation({
    mutationFn: () =>
      answered(api.PUT("/api/spring-tests/{id}/end", { params: { path: { id } }, body: { hand } })),
    onSuccess: show,
  });

  /** Keeps a reading; a second setting stands beside the first. */
  const read = (
    valve: TestValve,
    figure: { loadLbf: number; heightIn: number; typed: string; again: boolean },
  ) =>
    send.mutateAsync({
      kind: "load",
      testId: id,
      readingId: crypto.randomUUID(),
      body: { valve: valve.position, member: "WHOLE", hand, ...figure },
    });

  return { test: query.data, error: query.error, read, withdraw, check, end, unsent, hand };
}
