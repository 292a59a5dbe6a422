import { useMutation, useQueryClient } from "@tanstack/react-query";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { deliver, postPhoto, waitingSeen } from "../../api/outbox";
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
      // Asked for at once: a finding that waits on this device must not be refused later.
      if (hand.trim() === "") throw new Error("write your initials first");
      const id = crypto.randomUUID();
      const body = {
        ...seen,
        engineId,
        engineHours,
        hand,
        seenAt: new Date().toISOString(),
      };
      const there = await sent(deliver({ kind: "seen", findingId: id, body }));
      if (photo) {
        const parcel = await postPhoto(id, photo).catch(() => {
          throw new Error("the finding is kept; this device has no room for its photo");
        });
        if (there) await sent(deliver(parcel));
      }
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

/** Whether Shim has it; without an answer it waits on this device, and the round goes on. */
async function sent(delivery: Promise<unknown>): Promise<boolean> {
  try {
    await delivery;
    return true;
  } catch (e) {
    if (e instanceof ApiProblem && e.offline) return false;
    throw e;
  }
}
