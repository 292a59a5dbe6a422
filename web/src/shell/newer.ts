import { registerSW } from "virtual:pwa-register";
import { useSyncExternalStore } from "react";

let newer = false;
const listeners = new Set<() => void>();
let take: (() => Promise<void>) | undefined;

/** Keeps the application itself on this device, where the browser allows it: it opens without network. */
export function openWithoutNetwork() {
  if (!isSecureContext || !("serviceWorker" in navigator)) return;
  take = registerSW({
    onNeedRefresh() {
      newer = true;
      for (const tell of listeners) tell();
    },
  });
}

/** A newer Shim is there; it is taken when a person says so, never in the middle of an entry. */
export const useNewer = (): (() => void) | undefined => {
  const is = useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => newer,
  );
  return is && take ? () => void take?.() : undefined;
};
