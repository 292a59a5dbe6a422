import { useMutation, useQueryClient } from "@tanstack/react-query";
import { ApiProblem, answered, api, photoBody, type Schemas } from "../../api/client";
import { deliver, waitingSeen } from "../../api/outbox";
import { useUnsent } from "../../api/useUnsent";
import { useSettings } from "../../shell/settings";

export type Look = Schemas["LookView"];
export type Seen = Omit<Schemas["FindingSeen"], "engineId" | "engineHours" | "hand" | "seenAt">;

/** Keeps what was seen, under an id made here; what Shim did not answer waits and is sent again. */
export function useSeen(engineId: string, engineHours: number) {
  const queries = useQueryClient();
  const { hand } = useSettings();
  const fresh = () => queries.invalidateQueries({ queryKey: ["engines", engineId] });
  const { unsent, count } = useUnsent(waitingSeen, (next) => deliver(next).then(fresh));
  const see = useMutation({
    mutationFn: async ({ seen, photo }: { seen: Seen; photo?: File }) => {
      const id = crypto.randomUUID();
      const body = {
        ...seen,
        engineId,
        engineHours,
        hand: hand || "?",
        seenAt: new Date().toISOString(),
      };
      try {
        await deliver({ kind: "seen", findingId: id, body });
      } catch (e) {
        // Kept on this device: the round goes on.
        if (!(e instanceof ApiProblem && e.offline)) throw e;
        if (photo) throw new Error("Shim does not answer: the finding is kept here, its photo is not");
        return id;
      }
      if (photo) await sendPhoto(id, photo);
      return id;
    },
    onSettled: () => {
      count();
      return fresh();
    },
  });
  const unsee = useMutation({
    mutationFn: (id: string) => answered(api.DELETE("/api/inspections/{id}", { params: { path: { id } } })),
    onSettled: fresh,
  });
  return { see, unsee, fresh, unsent };
}

async function sendPhoto(id: string, photo: File) {
  try {
    await answered(api.PUT("/api/inspections/{id}/photo", { params: { path: { id } }, ...photoBody(photo) }));
  } catch {
    throw new Error("the finding is kept; its photo was not taken: JPEG or PNG, 12 MB at most");
  }
}
