import { useMutation } from "@tanstack/react-query";
import { answered, api, type Schemas } from "../../api/client";
import { useEventsKept } from "./useEventsKept";

/** Puts a planned event on another day; due parts and the plan follow. */
export function useMoveEvent(engineId: string, events: readonly Schemas["EventView"][]) {
  const kept = useEventsKept(engineId);
  const keep = useMutation({
    mutationFn: ({ id, on }: { id: string; on: string }) => {
      const event = events.find((e) => e.id === id);
      if (!event) throw new Error("there is no such event any more");
      const { name, plannedHours } = event;
      return answered(
        api.PUT("/api/events/{id}", {
          params: { path: { id } },
          body: { engineId, name, plannedHours, date: on },
        }),
      );
    },
    onSuccess: kept,
  });
  return (id: string, on: string) => keep.mutate({ id, on });
}
