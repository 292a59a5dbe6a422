import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { ApiProblem, answered, api, photoBody, type Schemas } from "../../api/client";
import { danger, job as jobQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";

export type Act = Omit<Schemas["ActEntry"], "hand" | "basedOn">;

/** A job and all that can be done to it; each act is kept under an id of its own, safe to repeat. */
export function useJob(id: string) {
  const queries = useQueryClient();
  const query = useQuery(jobQuery(id));
  const settings = useSettings();
  const hand = settings.hand || query.data?.hand || "";
  const key = jobQuery(id).queryKey;
  const show = async (now: Schemas["JobView"]) => {
    await queries.cancelQueries({ queryKey: key });
    queries.setQueryData(key, now);
    void queries.invalidateQueries({ queryKey: danger().queryKey });
    void queries.invalidateQueries({ queryKey: ["engines", now.engineId] });
  };
  const act = useMutation({
    mutationFn: ({ act, actId }: { act: Act; actId: string }) =>
      answered(
        api.PUT("/api/jobs/{id}/acts/{actId}", {
          params: { path: { id, actId } },
          body: { ...act, hand, basedOn: query.data?.state.acts ?? 0 },
        }),
      ),
    retry: (times, e) => e instanceof ApiProblem && e.offline && times < 3,
    onSuccess: show,
    onError: () => void queries.invalidateQueries({ queryKey: key }),
  });
  const find = useMutation({
    mutationFn: async ({
      finding,
      photo,
    }: {
      finding: Omit<Schemas["FindingEntry"], "hand">;
      photo?: File;
    }) => {
      const path = { id, findingId: crypto.randomUUID() };
      const kept = await answered(
        api.PUT("/api/jobs/{id}/findings/{findingId}", { params: { path }, body: { ...finding, hand } }),
      );
      if (!photo) return kept;
      return answered(
        api.PUT("/api/jobs/{id}/findings/{findingId}/photo", {
          params: { path },
          ...photoBody(photo),
        }),
      );
    },
    onSuccess: show,
  });
  const once = (a: Act) => act.mutate({ act: a, actId: crypto.randomUUID() });
  return { job: query.data, error: query.error, act, once, find, hand };
}
