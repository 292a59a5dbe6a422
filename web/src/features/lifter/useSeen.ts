import { useMemo, useState } from "react";
import type { Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { post, postPhoto } from "../../outbox/outbox";
import { useWaiting } from "../../outbox/useOutbox";
import { useSettings } from "../../shell/settings";
import { ofEngine } from "./seenOverlay";

export type Look = Schemas["LookView"];
export type Seen = Omit<Schemas["FindingSeen"], "engineId" | "engineHours" | "hand" | "seenAt">;

/** Keeps what was seen on this device at once, under an id made here, and sends it. */
export function useSeen(engineId: string, engineHours: number) {
  const { hand } = useSettings();
  const box = useWaiting();
  const parcels = useMemo(() => ofEngine(box, engineId), [box, engineId]);
  const [trouble, setTrouble] = useState<string>();

  const tried = (work: () => void): boolean => {
    try {
      work();
      setTrouble(undefined);
      return true;
    } catch (e) {
      setTrouble((e as Error).message);
      return false;
    }
  };
  /** Keeps some findings, a photo with the first; says whether they are kept. */
  const see = (all: Seen[], photo?: File): boolean =>
    tried(() => {
      // Asked for at once: a finding that waits on this device must not be refused later.
      if (hand.trim() === "") throw new Error("write your initials first");
      const seenAt = new Date().toISOString();
      const found = all.map((seen) => ({
        kind: "seen" as const,
        findingId: newId(),
        body: { ...seen, engineId, engineHours, hand, seenAt },
      }));
      post(...found);
      if (!photo || !found[0]) return;
      const { findingId } = found[0];
      postPhoto({ kind: "photo", findingId, engineId }, photo).catch(() =>
        setTrouble("the finding is kept; this device has no room for its photo"),
      );
    });
  const unsee = (findingId: string) =>
    tried(() => {
      const known = !parcels.some((p) => p.kind === "seen" && p.findingId === findingId);
      post({ kind: "unsee", findingId, engineId, known });
    });
  return { see, unsee, parcels, trouble };
}
