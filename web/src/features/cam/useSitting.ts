import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { cam as camQuery } from "../../api/camQueries";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { discard, post } from "../../outbox/outbox";
import type { ParcelOf } from "../../outbox/parcel";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";

export type Cam = Schemas["CamView"];
export type CamFigure = Schemas["CamFigure"];
export type What = CamFigure["what"];
export type Sitting = Schemas["SittingSheet"];
export type Known = Schemas["CamReadingView"];

/** The bench of an engine. */
export function useCam(engineId: string) {
  const query = useQuery(camQuery(engineId));
  return { cam: query.data, error: query.error };
}

/** A figure as it stands: taken by Shim, or waiting on this device. */
export interface Figure {
  what: What;
  valve?: string;
  at: number;
  figure: number;
  touched: boolean;
}

/** Figures of one kind at one valve, the oldest first. */
export const figuresAt = (figures: Figure[], what: What, valve: string) =>
  figures.filter((f) => f.what === what && f.valve === valve);

/** The next valve round from a place that has no figure of a kind yet. */
export const nextOpen = (valves: string[], figures: Figure[], what: What, from: number) =>
  valves
    .map((_, i) => valves[(from + i) % valves.length] ?? "")
    .find((v) => figuresAt(figures, what, v).length === 0);

interface Of {
  engineId: string;
  sittingId: string;
  page: "degree" | "clearance" | "pushrods";
  known: Known[] | undefined;
}

/** Readings of one sitting, with what waits on this device laid over what Shim has. */
export function useReadings({ engineId, sittingId, page, known }: Of) {
  const { hand } = useSettings();
  const box = useWaiting();
  const parcels = useMemo(
    () => box.filter((p): p is ParcelOf<"camFigure"> => p.kind === "camFigure" && p.sittingId === sittingId),
    [box, sittingId],
  );
  const figures: Figure[] = useMemo(() => {
    const kept = new Set(known?.map((r) => r.id));
    const waiting = parcels.filter((p) => !p.held && !kept.has(p.figureId)).map((p) => p.body);
    return [...(known ?? []), ...waiting.map((b) => ({ ...b, at: b.at ?? 0, touched: b.touched ?? true }))];
  }, [known, parcels]);

  const read = (body: Omit<CamFigure, "hand">) =>
    post({ kind: "camFigure", engineId, sittingId, figureId: newId(), page, body: { ...body, hand } });

  /** The last figure at a place is taken back, whether Shim has it or not. */
  const takeBack = async (here: (f: { what: What; valve?: string; at?: number }) => boolean) => {
    const waiting = parcels.filter((p) => here(p.body)).at(-1);
    if (waiting) return discard(waiting.key);
    const last = known?.filter(here).at(-1);
    if (!last) return;
    await answered(
      api.PUT("/api/cam-sittings/{id}/readings/{readingId}/taken-back", {
        params: { path: { id: sittingId, readingId: last.id } },
        body: { hand: hand || last.hand },
      }),
    );
  };
  return { figures, parcels, read, takeBack, hand };
}

/** Begins a sitting and says its id. */
export async function begin(engineId: string, sheet: Omit<Sitting, "engineId" | "startedAt">) {
  const id = newId();
  await answered(
    api.PUT("/api/cam-sittings/{id}", {
      params: { path: { id } },
      body: { ...sheet, engineId, startedAt: new Date().toISOString() },
    }),
  );
  return id;
}
