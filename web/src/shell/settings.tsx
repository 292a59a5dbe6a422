import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";
import { readIn } from "../api/client";
import type { LashUnit } from "../units/lash";

export type Theme = "dark" | "light";

interface Settings {
  theme: Theme;
  setTheme: (t: Theme) => void;
  unit: LashUnit;
  setUnit: (u: LashUnit) => void;
  hand: string;
  setHand: (h: string) => void;
}

const Context = createContext<Settings | null>(null);

/** A choice of this device, kept in the browser. */
export function useKept<T extends string>(key: string, first: () => T): [T, (v: T) => void] {
  const [value, setValue] = useState<T>(() => (localStorage.getItem(key) as T | null) ?? first());
  useEffect(() => localStorage.setItem(key, value), [key, value]);
  return [value, setValue];
}

function preferred(): Theme {
  return window.matchMedia("(prefers-color-scheme: light)").matches ? "light" : "dark";
}

export function SettingsProvider({ children }: { children: ReactNode }) {
  const [theme, setTheme] = useKept<Theme>("shim.theme", preferred);
  const [unit, setUnit] = useKept<LashUnit>("shim.unit", () => "thou");
  const [hand, setHand] = useKept<string>("shim.hand", () => "");
  useEffect(() => readIn(unit), [unit]);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  const value = useMemo(
    () => ({ theme, setTheme, unit, setUnit, hand, setHand }),
    [theme, setTheme, unit, setUnit, hand, setHand],
  );
  return <Context value={value}>{children}</Context>;
}

export function useSettings(): Settings {
  const settings = useContext(Context);
  if (!settings) throw new Error("useSettings needs a SettingsProvider around it");
  return settings;
}
