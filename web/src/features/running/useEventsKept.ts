import { useQueryClient } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { events, stock, turnaround } from "../../api/queries";

/** Takes an engine's events as they were kept, and has all that follows from them asked anew. */
export function useEventsKept(engineId: string) {
  const queries = useQueryClient();
  return (all: Schemas["EventView"][]) => {
    queries.setQueryData(events(engineId).queryKey, all);
    // Hours and coming events change what springs and lifters are told, and readiness with them.
    void queries.invalidateQueries({ queryKey: ["engines", engineId] });
    void queries.invalidateQueries({ queryKey: turnaround().queryKey });
    void queries.invalidateQueries({ queryKey: stock().queryKey });
  };
}
