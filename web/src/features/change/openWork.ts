import type { QueryClient } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { engineReadiness, openItems, turnaround } from "../../api/queries";

/** An engine's open work is another now: so is how it stands, and so is the plan. */
export async function openWorkIs(queries: QueryClient, engineId: string, all: Schemas["OpenItem"][]) {
  queries.setQueryData(openItems(engineId).queryKey, all);
  const stale = [engineReadiness(engineId).queryKey, turnaround().queryKey];
  // A first answer still on its way was made before this and would be taken for the new one.
  await Promise.all(stale.map((queryKey) => queries.cancelQueries({ queryKey })));
  await Promise.all(stale.map((queryKey) => queries.invalidateQueries({ queryKey })));
}
