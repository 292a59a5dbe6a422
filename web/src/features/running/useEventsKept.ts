import { useQueryClient } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { events } from "../../api/queries";

/** Takes an engine's events as they were kept. */
export function useEventsKept(engineId: string) {
  const queries = useQueryClient();
  return (all: Schemas["EventView"][]) => queries.setQueryData(events(engineId).queryKey, all);
}
