import { useMutation, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Schemas } from "../../api/client";
import { events as eventsQuery, stock, turnaround } from "../../api/queries";

/** Puts a planned event on another day; due parts and the plan follow. */
export function useMoveEvent(engineId: string, events: readonly Schemas["EventView"][]) {
  const queries = useQueryClient();
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
    onSuccess: (all) => {
      queries.setQueryData(eventsQuery(engineId).queryKey, all);
      void queries.invalidateQueries({ queryKey: ["engines", engineId] });
      void queries.invalidateQueries({ queryKey: turnaround().queryKey });
      void queries.invalidateQueries({ queryKey: stock().queryKey });
    },
  });
  return (id: string, on: string) => keep.mutate({ id, on });
}
