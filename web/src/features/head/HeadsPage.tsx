import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { Plus } from "lucide-react";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { heads as headsQuery } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { HeadForm } from "./HeadForm";
import { OffForm } from "./OffForm";

type Line = Schemas["HeadLine"];

/** Heads with a record of their own: on the rack, or on an engine. */
export function HeadsPage() {
  const query = useQuery(headsQuery());
  const [open, setOpen] = useState<"new" | "off">();
  if (!query.data) return query.error ? <Problem error={query.error} /> : <Waiting />;
  const rack = query.data.filter((h) => h.engineId === undefined);
  const on = query.data.filter((h) => h.engineId !== undefined);
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-2xl">Heads</h1>
          <p className="text-muted">
            measured bare, given springs, assembled, put on an engine and taken off
          </p>
        </div>
        <Link to="/parts" className={buttonClass("quiet")}>
          Other parts
        </Link>
        <Button onClick={() => setOpen("off")}>Heads come off an engine</Button>
        <Button look="now" onClick={() => setOpen("new")}>
          <Plus aria-hidden className="size-5" /> New heads
        </Button>
      </div>
      <div className="grid items-start gap-3 min-[1000px]:grid-cols-2">
        <Heads title="On the rack" heads={rack} none="no heads lie on the rack" />
        <Heads title="On an engine" heads={on} none="no heads with a record sit on an engine" />
      </div>
      {open === "new" && <HeadForm onClose={() => setOpen(undefined)} />}
      {open === "off" && <OffForm onClose={() => setOpen(undefined)} />}
    </div>
  );
}

interface HeadsProps {
  title: string;
  heads: Line[];
  none: string;
}

function Heads({ title, heads, none }: HeadsProps) {
  return (
    <section className="scribed rounded p-3" aria-label={title}>
      <h2 className="text-lg">{title}</h2>
      {heads.length === 0 && <p className="text-muted">{none}</p>}
      <ul>
        {heads.map((h) => (
          <li key={h.id} className="border-t border-hair py-2">
            <Link
              to="/heads/$id"
              params={{ id: h.id }}
              className="block min-h-11 text-lg font-semibold no-underline hover:underline"
            >
              {h.name}{" "}
              <span className="text-base font-normal text-muted">
                {h.engineName ? `on ${h.engineName}` : `for ${h.madeForName}`}
              </span>
              <span className="num block text-base font-normal">{standing(h)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function standing(h: Line): string {
  if (h.openJob) return "a walk on them is open";
  if (h.engineId) return `${h.assembled} of ${h.valves} valves with their spring`;
  if (h.measured < h.valves) return `${h.measured} of ${h.valves} heights measured`;
  return h.assembled < h.valves
    ? `measured; ${h.assembled} of ${h.valves} valves assembled`
    : "assembled, ready to go on";
}
