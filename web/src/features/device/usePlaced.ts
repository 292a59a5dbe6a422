import type { UseQueryResult } from "@tanstack/react-query";
import { useEffect, useState } from "react";

/** A poll that was on its way while an instrument was moved may still bring the place before, ms. */
const ON_ITS_WAY = 300;

/**
 * A connected instrument that is told where it stands, so that it starts afresh there. Until it has
 * answered from its new place nothing is steady: a second press must not take the figure before.
 */
export function usePlaced<T extends { connected: boolean; steady: boolean }>(
  query: UseQueryResult<T>,
  place: string | undefined,
  tell: () => Promise<unknown>,
): T | undefined {
  const connected = query.data?.connected ?? false;
  const [placedAt, setPlacedAt] = useState(Number.POSITIVE_INFINITY);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is told once for each place
  useEffect(() => {
    if (!connected || !place) return;
    setPlacedAt(Number.POSITIVE_INFINITY);
    void tell()
      .catch(() => undefined)
      .finally(() => setPlacedAt(Date.now()));
  }, [connected, place]);
  const here = query.dataUpdatedAt > placedAt + ON_ITS_WAY;
  return query.data && { ...query.data, steady: query.data.steady && here };
}
