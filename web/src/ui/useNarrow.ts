import { useSyncExternalStore } from "react";

const query = window.matchMedia("(max-width: 999px), (pointer: coarse)");

/** An upright or touched screen: the plan goes above the panel and a keypad is shown. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      query.addEventListener("change", changed);
      return () => query.removeEventListener("change", changed);
    },
    () => query.matches,
  );
}
