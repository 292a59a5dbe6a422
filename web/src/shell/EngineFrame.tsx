import { useQuery } from "@tanstack/react-query";
import { Link, useRouterState } from "@tanstack/react-router";
import type { ReactNode } from "react";
import type { Schemas } from "../api/client";
import { engine as engineQuery } from "../api/queries";
import { Problem } from "./Problem";
import { ROOMS, roomOf } from "./rooms";

const TAB =
  "flex min-h-11 items-center border-b-4 border-transparent px-3 font-semibold whitespace-nowrap text-muted no-underline data-[here=true]:border-accent data-[here=true]:text-ink";

/** Name and rooms of one engine; beside them the views of the room one is in. */
export function EngineTabs({ id, name }: { id: string; name: string }) {
  const pathname = useRouterState({ select: (s) => s.location.pathname });
  const room = roomOf(pathname, id);
  return (
    <div className="no-print flex flex-wrap items-center gap-x-4 border-b border-hair px-3">
      <nav aria-label="Rooms of this engine" className="flex items-center gap-1 overflow-x-auto">
        <h1 className="mr-4 text-lg whitespace-nowrap">{name}</h1>
        {ROOMS.map((r) => (
          <Link key={r.name} to={r.views[0][0]} params={{ id }} data-here={r === room} className={TAB}>
            {r.name}
          </Link>
        ))}
      </nav>
      {room && room.views.length > 1 && (
        <nav aria-label={`Views of ${room.name}`} className="flex items-center gap-1 overflow-x-auto">
          {room.views.map(([to, text]) => (
            <Link
              key={to}
              to={to}
              params={{ id }}
              activeOptions={{ exact: true, includeSearch: false }}
              className="flex min-h-11 items-center rounded px-3 text-sm font-semibold whitespace-nowrap text-muted no-underline hover:text-ink data-[status=active]:text-accent"
            >
              {text}
            </Link>
          ))}
        </nav>
      )}
    </div>
  );
}

interface EngineFrameProps {
  id: string;
  children: (engine: Schemas["EngineView"]) => ReactNode;
}

/** Loads an engine and puts its views around the work at hand. */
export function EngineFrame({ id, children }: EngineFrameProps) {
  const query = useQuery(engineQuery(id));
  // What is known stays on screen while Shim does not answer.
  if (!query.data) return query.error ? <Problem error={query.error} /> : <Waiting />;
  return (
    <>
      <EngineTabs id={id} name={query.data.name} />
      {children(query.data)}
    </>
  );
}

export function Waiting() {
  return <p className="p-6 text-muted">One moment …</p>;
}
