import { createAsyncStoragePersister } from "@tanstack/query-async-storage-persister";
import type { Query, QueryClient } from "@tanstack/react-query";
import {
  type PersistedClient,
  persistQueryClientRestore,
  persistQueryClientSubscribe,
} from "@tanstack/react-query-persist-client";
import { del, get, set } from "idb-keyval";
import { mayChange } from "./anew";

/** A week. */
export const LAST_SEEN_MS = 7 * 24 * 3600 * 1000;

/** Says how something is this moment; seen before, it would mislead. */
const ONLY_NOW = new Set(["danger", "condition", "tester", "dial"]);

/** It was so then: shown at once, and asked anew. */
export function asOfThen(text: string): PersistedClient {
  const seen: PersistedClient = JSON.parse(text);
  for (const query of seen.clientState.queries) query.state.isInvalidated = mayChange.predicate(query);
  return seen;
}

const kept = {
  // Another build may read answers of another shape: it begins anew.
  buster: import.meta.url,
  persister: createAsyncStoragePersister({
    key: "shim.last-seen",
    throttleTime: 1000,
    deserialize: asOfThen,
    storage: {
      getItem: (key) => get<string>(key).then((text) => text ?? null),
      setItem: set,
      removeItem: del,
    },
  }),
};

const shouldDehydrateQuery = ({ queryKey, state }: Pick<Query, "queryKey" | "state">) =>
  state.status === "success" && !ONLY_NOW.has(String(queryKey[0]));

/**
 * What was seen last is kept in the browser's database, so that a page opened while Shim does not
 * answer shows it, with what waits laid over it. A browser without one shows what Shim answers.
 */
export async function bringBack(queryClient: QueryClient) {
  await persistQueryClientRestore({ ...kept, queryClient, maxAge: LAST_SEEN_MS }).catch(() => undefined);
  persistQueryClientSubscribe({
    ...kept,
    queryClient,
    dehydrateOptions: { shouldDehydrateQuery, shouldDehydrateMutation: () => false },
  });
}
