import { useEffect } from "react";

/** T takes what an instrument shows, as long as nothing is typed. */
export function useTakeKey(take: () => void) {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const typed = e.target instanceof HTMLInputElement ? e.target.value : "";
      if (e.key.toLowerCase() !== "t" || typed !== "") return;
      e.preventDefault();
      take();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [take]);
}
