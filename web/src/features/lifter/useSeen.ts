import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";

export type Look = Schemas["LookView"];
export type Seen = Omit<Schemas["FindingSeen"], "engineId" | "engineHours" | "hand" | "seenAt">;

/** Keeps what was seen, under an id made here: safe to send again. */
export function useSeen(engineId: string, engineHours: number) {
  const queries = useQueryClient();
  const { hand } = useSettings();
  const fresh = () => queries.invalidateQueries({ queryKey: ["engines", engineId] });
  const see = useMutation({
    mutationFn: async ({ seen, photo }: { seen: Seen; photo?: File }) => {
      const id = crypto.randomUUID();
      await answered(
        api.PUT("/api/inspections/{id}", {
          params: { path: { id } },
          body: { ...seen, engineId, engineHours, hand: hand || "?" },
        }),
      );
      if (photo) await sendPhoto(id, photo);
      return id;
    },
    retry: (count, e) => (e as { offline?: boolean }).offline === true && count < 5,
    onSettled: fresh,
  });
  const unsee = useMutation({
    mutationFn: (id: string) => answered(api.DELETE("/api/inspections/{id}", { params: { path: { id } } })),
    onSettled: fresh,
  });
  return { see, unsee, fresh };
}

async function sendPhoto(id: string, photo: File) {
  const answer = await fetch(`/api/inspections/${id}/photo`, {
    method: "PUT",
    headers: { "Content-Type": photo.type || "application/octet-stream" },
    body: photo,
  });
  if (!answer.ok) throw new Error("the finding is kept; its photo was not taken: JPEG or PNG, 12 MB at most");
}
