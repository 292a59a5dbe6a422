import { useParams } from "@tanstack/react-router";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { type Cam, useCam } from "./useSitting";

export interface BenchProps {
  engine: Schemas["EngineView"];
  cam: Cam;
}

/** A page of the Cam room: the engine's frame around it, the bench loaded. */
export function CamFrame({ children }: { children: (bench: BenchProps) => ReactNode }) {
  const { id } = useParams({ strict: false }) as { id: string };
  return <EngineFrame id={id}>{(engine) => <Loaded engine={engine}>{children}</Loaded>}</EngineFrame>;
}

interface LoadedProps {
  engine: Schemas["EngineView"];
  children: (bench: BenchProps) => ReactNode;
}

function Loaded({ engine, children }: LoadedProps) {
  const { cam, error } = useCam(engine.id);
  if (!cam) return error ? <Problem error={error} /> : <Waiting />;
  return children({ engine, cam });
}

/** A titled part of a page. */
export function Part({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <section className="scribed grid content-start gap-2 rounded p-3" aria-label={title}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">{title}</h2>
        {aside}
      </div>
      {children}
    </section>
  );
}
