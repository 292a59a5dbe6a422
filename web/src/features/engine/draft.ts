import { useEffect, useState } from "react";
import type { EngineSheet } from "./sheetForm";

/** A draft survives a closed page; it is gone once the engine is kept. */
export function draftOf(key: string): EngineSheet | undefined {
  const kept = localStorage.getItem(key);
  return kept ? (JSON.parse(kept) as EngineSheet) : undefined;
}

export function useLater<T>(value: T, ms: number): T {
  const [later, setLater] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLater(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return later;
}
