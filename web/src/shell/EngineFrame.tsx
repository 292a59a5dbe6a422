import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import type { ReactNode } from "react";
import type { Schemas } from "../api/client";
import { engine as engineQuery } from "../api/queries";
import { Problem } from "./Problem";

const TABS = [
  ["/engines/$id", "Now"],
  ["/engines/$id/lash", "Lash"],
  ["/engines/$id/springs", "Springs"],
  ["/engines/$id/lifters", "Lifters"],
  ["/engines/$id/crank", "Setting order"],
  ["/engines/$id/sheet", "Lash sheet"],
  ["/engines/$id/files", "Files"],
  ["/engines/$id/setup", "Set-up"],
] as const;

/** Name and views of one engine. */
export function EngineTabs({ id, name }: { id: string; name: string }) {
  return (
    <nav
      aria-label="Views of this engine"
      className="no-print flex items-center gap-1 overflow-x-auto border-b border-hair px-3"
    >
      <h1 className="mr-4 text-lg whitespace-nowrap">{name}</h1>
      {TABS.map(([to, text]) => (
        <Link
          key={to}
          to={to}
          params={{ id }}
          activeOptions={{ exact: true, includeSearch: false }}
          className="flex min-h-11 items-center border-b-4 border-transparent px-3 font-semibold whitespace-nowrap text-muted no-underline data-[status=active]:border-accent data-[status=active]:text-ink"
        >
          {text}
        </Link>
      ))}
    </nav>
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
