import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { pockets as pocketsQuery } from "../../api/queries";
import { type ValveFace, ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { heightText, heightUnit } from "../../units/load";
import { type Pocket, PocketForm } from "./PocketForm";

/** Heights and what stands with each spring, valve by valve. */
export function PocketsPage() {
  const { id } = useParams({ from: "/engines/$id/pockets" });
  const query = useQuery(pocketsQuery(id));
  return (
    <EngineFrame id={id}>
      {(engine) => {
        if (query.error && !query.data) return <Problem error={query.error} />;
        if (!query.data) return <Waiting />;
        if (query.data.pockets.length === 0)
          return (
            <div className="p-4">
              <Notice tone="know">No spring is fitted yet: put a set in first.</Notice>
            </div>
          );
        return <Heights engine={engine} known={query.data} />;
      }}
    </EngineFrame>
  );
}

interface HeightsProps {
  engine: Schemas["EngineView"];
  known: Schemas["EnginePockets"];
}

function Heights({ engine, known }: HeightsProps) {
  const { unit } = useSettings();
  const all = known.pockets;
  const [valve, setValve] = useState<Valve>(
    () =>
      (all.find((p) => p.fitting.heightIn === undefined) ?? all.find((p) => !p.within) ?? nth(all, 0))
        .position,
  );
  const at = Math.max(
    0,
    all.findIndex((p) => p.position === valve),
  );
  const pocket = nth(all, at);
  const out = all.filter((p) => !p.within).length;
  return (
    <div className="grid flex-1 content-start gap-3 p-3 min-[1000px]:grid-cols-[minmax(320px,400px)_1fr]">
      <section className="scribed flex flex-col gap-2 rounded p-3" aria-label="Valve plan">
        {known.unused === "BOOST_WITHOUT_HEAD" && (
          <Notice tone="ask">
            This engine has boost: give the intake valves' head diameter under limits, so that what boost
            takes off the seat load can be reckoned.
          </Notice>
        )}
        {known.oddRetainers.map((o) => (
          <Notice key={o.valve} tone="ask">
            {o.valve} has retainer {o.part} among {o.among}
          </Notice>
        ))}
        <p className="text-muted">
          Installed height, {heightUnit(unit)}:{" "}
          {out === 0 ? `all within ±${heightText(known.toleranceIn, unit)}` : `${out} out of tolerance`}
        </p>
        <ValvePlan
          layout={engine.layout}
          faces={Object.fromEntries(
            all.map((p) => [p.position, face(p, heightText(p.fitting.heightIn, unit))]),
          )}
          selected={valve}
          onSelect={setValve}
          label={`Installed heights of ${engine.name}`}
          className="h-60 w-full min-[1000px]:h-[58vh]"
        />
        <div className="flex flex-wrap gap-2">
          <Link to="/engines/$id/spring-compare" params={{ id: engine.id }} className={buttonClass()}>
            Another spring here?
          </Link>
          <Link to="/engines/$id/spring-box" params={{ id: engine.id }} className={buttonClass()}>
            Sort a box
          </Link>
          <Link to="/engines/$id/order-sheet" params={{ id: engine.id }} className={buttonClass("quiet")}>
            Sheet for ordering
          </Link>
        </div>
      </section>
      <PocketForm
        key={pocket.position}
        pocket={pocket}
        onNext={() => setValve(nth(all, (at + 1) % all.length).position)}
      />
    </div>
  );
}

function face(p: Pocket, text: string): ValveFace {
  if (p.fitting.heightIn === undefined) return { text: "", mark: "OPEN" };
  if (p.within) return { text: text.replace(/^0\./, "."), mark: "IN" };
  return { text, mark: (p.fitting.heightIn ?? 0) > p.targetIn ? "WIDE" : "TIGHT" };
}
