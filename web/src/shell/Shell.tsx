import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, Outlet } from "@tanstack/react-router";
import { Keyboard, Moon, Ruler, Sun } from "lucide-react";
import { type ReactNode, useState } from "react";
import { readIn } from "../api/client";
import { about } from "../api/queries";
import { WaitingBadge } from "../outbox/WaitingBadge";
import { Sheet } from "../ui/Sheet";
import type { LashUnit } from "../units/lash";
import { ConditionBanner } from "./ConditionBanner";
import { KEYS } from "./keys";
import { useNewer } from "./newer";
import { useSettings } from "./settings";

const UNITS: Record<LashUnit, string> = { thou: "thou, lbf", mm: "mm, N" };

const ROOMS = [
  ["/", "Plan"],
  ["/engines", "Engines"],
  ["/parts", "Parts"],
  ["/practice", "Learn"],
] as const;

const ICON =
  "flex min-h-11 min-w-11 items-center justify-center gap-2 rounded border border-transparent px-2 hover:border-hair";

/** The frame around every screen; what warns the whole team stands on top of all. */
export function Shell({ warning }: { warning: ReactNode }) {
  const [keys, setKeys] = useState(false);
  const { theme, setTheme, unit, setUnit } = useSettings();
  const newer = useNewer();
  const queries = useQueryClient();
  const other = () => {
    const next = unit === "thou" ? "mm" : "thou";
    setUnit(next);
    readIn(next);
    // Figures inside Shim's words were put in the unit of before.
    void queries.invalidateQueries();
  };
  const demo = useQuery(about()).data?.demo;
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="no-print flex flex-wrap items-center gap-x-3 border-b border-hair bg-plate px-3">
        <Link to="/" className="flex min-h-12 items-center gap-2 text-xl font-extrabold no-underline">
          <img src="/shim.svg" alt="" className="size-8" />
          Shim
        </Link>
        <nav aria-label="Rooms" className="flex items-center gap-1">
          {ROOMS.map(([to, text]) => (
            <Link
              key={to}
              to={to}
              activeOptions={{ exact: true }}
              className="flex min-h-12 items-center border-b-4 border-transparent px-3 font-semibold text-muted no-underline max-[640px]:px-2 data-[status=active]:border-accent data-[status=active]:text-ink"
            >
              {text}
            </Link>
          ))}
        </nav>
        {/* Upright on a small screen the tools have a row of their own, from the first moment. */}
        <div className="flex min-h-12 flex-1 items-center gap-3 max-[640px]:basis-full">
          {demo && (
            <span className="rounded border border-accent px-2 py-0.5 text-sm font-semibold whitespace-nowrap text-accent">
              invented sample data
            </span>
          )}
          <span className="flex-1" />
          <WaitingBadge />
          {newer && (
            <button type="button" className={ICON} onClick={newer}>
              A newer Shim is here: take it
            </button>
          )}
          <button type="button" className={ICON} aria-label={`Units: ${UNITS[unit]}`} onClick={other}>
            <Ruler aria-hidden className="size-5" />
            <span className="text-sm font-semibold">{UNITS[unit]}</span>
          </button>
          <button type="button" className={ICON} aria-label="Keys" onClick={() => setKeys(true)}>
            <Keyboard aria-hidden className="size-5" />
          </button>
          <button
            type="button"
            className={ICON}
            aria-label={theme === "dark" ? "Light theme" : "Dark theme"}
            onClick={() => setTheme(theme === "dark" ? "light" : "dark")}
          >
            {theme === "dark" ? (
              <Sun aria-hidden className="size-5" />
            ) : (
              <Moon aria-hidden className="size-5" />
            )}
          </button>
        </div>
      </header>
      {warning}
      <ConditionBanner />
      <main className="flex min-h-0 flex-1 flex-col">
        <Outlet />
      </main>
      <Sheet open={keys} onClose={() => setKeys(false)} title="Keys">
        {KEYS.map((group) => (
          <section key={group.title} className="mb-4">
            <h3 className="mb-1 text-base">{group.title}</h3>
            <dl className="grid grid-cols-[8rem_1fr] gap-x-4 gap-y-1">
              {group.keys.map(([key, does]) => (
                <div key={key} className="contents">
                  <dt className="num text-lg">{key}</dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </Sheet>
    </div>
  );
}

export function NotFound() {
  return (
    <div className="p-6">
      <h1 className="text-2xl">There is nothing here.</h1>
      <p className="mt-2">
        <Link to="/engines">To the engines</Link>
      </p>
    </div>
  );
}
