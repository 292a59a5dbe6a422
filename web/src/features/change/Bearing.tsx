import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { lashTargets } from "../../api/queries";
import { kindOf } from "../../plan/geometry";
import { useSettings } from "../../shell/settings";
import { heightText, loadText, loadUnit } from "../../units/load";
import { wayText } from "../../words/adjust";
import { Wanted } from "../lash/Wanted";
import type { JobStep } from "./steps";

interface BearingProps {
  job: Schemas["JobView"];
  step: JobStep;
}

/** What bears on a step: the load at the height just measured, or the lash that is wanted. */
export function Bearing({ job, step }: BearingProps) {
  if (step.act === "SPRING_IN" && job.atHeight) return <AtHeight at={job.atHeight} />;
  if (step.act === "LASH" && step.valve) return <WantedHere job={job} valve={step.valve} />;
  return null;
}

function AtHeight({ at }: { at: Schemas["AtHeight"] }) {
  const { unit } = useSettings();
  return (
    <section className="grid gap-2" aria-label="Load check">
      <p>
        At <b className="num text-2xl">{heightText(at.heightIn, unit)}</b> it gives{" "}
        <b className="num text-2xl">{loadText(at.fit.seatLbf, unit, 0)}</b> closed,{" "}
        <b className="num text-2xl">{loadText(at.fit.openLbf, unit, 0)}</b> {loadUnit(unit)} open
        {at.fit.bindClearanceIn !== undefined && (
          <>
            , <b className="num text-2xl">{heightText(at.fit.bindClearanceIn, unit)}</b> to bind
          </>
        )}
      </p>
      {at.ways.length > 0 && (
        <ol className="list-decimal pl-6">
          {at.ways.slice(0, 3).map((w) => (
            <li key={wayText(w.way, unit)}>
              {wayText(w.way, unit)}: <b className="num text-lg">{heightText(w.way.heightIn, unit)}</b>,{" "}
              {loadText(w.fit.seatLbf, unit, 0)} closed
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

function WantedHere({ job, valve }: { job: Schemas["JobView"]; valve: string }) {
  const wanted = useQuery(lashTargets(job.engineId, job.heat)).data;
  return wanted ? <Wanted wanted={wanted} kind={kindOf(valve)} /> : null;
}
