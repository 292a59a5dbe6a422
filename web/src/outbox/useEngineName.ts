import { useQuery, useQueryClient } from "@tanstack/react-query";
import { engines, job, round, springTest } from "../api/queries";
import type { Contents } from "./parcel";
import { homeOf } from "./words";

/** The engine something was entered at, where this device has seen it. */
export function useEngineName(parcel: Contents): string | undefined {
  const queries = useQueryClient();
  const known = useQuery(engines()).data;
  const { to, params } = homeOf(parcel);
  const id = params?.id ?? "";
  const seen = [round(id), springTest(id), job(id)]
    .map((q) => queries.getQueryData<{ engineId: string }>(q.queryKey))
    .find((q) => q !== undefined);
  const engineId = to.startsWith("/engines/") ? id : seen?.engineId;
  return known?.find((e) => e.id === engineId)?.name;
}
