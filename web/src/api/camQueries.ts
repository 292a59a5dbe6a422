import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { answered, api } from "./client";

/** The cam bench of an engine: degreed, measured, lashes, sittings. */
export const cam = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "cam"],
    queryFn: () => answered(api.GET("/api/engines/{id}/cam", { params: { path: { id: engineId } } })),
  });

export interface CamLive {
  advanceDeg: number;
  tighterIn: number;
  raisesIn: number;
  ratioIntake?: number;
  ratioExhaust?: number;
}

/** Gaps of a sitting with what is moved live; the last answer stays until the next is there. */
export const clearance = (engineId: string, sittingId: string, live: CamLive, valve?: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "cam", "clearance", sittingId, live, valve],
    queryFn: () =>
      answered(
        api.GET("/api/cam-sittings/{id}/clearance", {
          params: { path: { id: sittingId }, query: { ...live, ...(valve && { valve }) } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

export const pushrodSitting = (engineId: string, sittingId: string, sizesIn: number[]) =>
  queryOptions({
    queryKey: ["engines", engineId, "cam", "pushrods", sittingId, sizesIn],
    queryFn: () =>
      answered(
        api.GET("/api/cam-sittings/{id}/pushrods", {
          params: { path: { id: sittingId }, query: { sizesIn } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

export const sideBySide = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "cam", "side-by-side"],
    queryFn: () =>
      answered(api.GET("/api/engines/{id}/cam/side-by-side", { params: { path: { id: engineId } } })),
  });

export const lashTuning = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "cam", "lash"],
    queryFn: () => answered(api.GET("/api/engines/{id}/cam/lash", { params: { path: { id: engineId } } })),
  });

export const floats = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "cam", "float"],
    queryFn: () => answered(api.GET("/api/engines/{id}/cam/float", { params: { path: { id: engineId } } })),
  });

/** A crank encoder, asked again and again while it is connected. */
export const encoder = (live: boolean) =>
  queryOptions({
    queryKey: ["encoder"],
    queryFn: () => answered(api.GET("/api/encoder")),
    refetchInterval: (q) => (live && q.state.data?.connected ? 250 : false),
  });
