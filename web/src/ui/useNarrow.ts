import { useSyncExternalStore } from "react";

function media(asked: string) {
  const query = window.matchMedia(asked);
  const subscribe = (changed: () => void) => {
    query.addEventListener("change", changed);
    return () => query.removeEventListener("change", changed);
  };
  return () => useSyncExternalStore(subscribe, () => query.matches);
}

/** The plan goes above the panel, as wide as the screen, not beside it. */
export const useStacked = media("(max-width: 999px)");

/** An upright or touched screen: a keypad is shown. */
export const useNarrow = media("(max-width: 999px), (pointer: coarse)");
