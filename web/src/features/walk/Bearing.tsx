import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { lashTargets } from "../../api/queries";
import { kindOf } from "../../plan/geometry";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { figureText, unitOf } from "../../units/measures";
import { wayText } from "../../words/adjust";
import { Wanted } from "../lash/Wanted";
import type { JobStep } from "./steps";

interface BearingProps {
  job: Schemas["JobView"];
  step: JobStep;
  /** Air goes on off TDC, knowing what it does. */
  onAccept: () => void;
}

/** What bears on a step: the load at the height just measured, or the lash that is wanted. */
export function Bearing({ job, step, onAccept }: BearingProps) {
  const { atHeight, stop, offTdc } = job.bearing;
  if (step.act === "SPRING_IN" && atHeight) return <AtHeight at={atHeight} />;
  if (step.act === "BAR" && stop) return <Stop job={job} stop={stop} />;
  if (step.act === "HOLD" && offTdc) return <OffTdc at={offTdc} onAccept={onAccept} />;
  if (step.act === "LASH" && step.valve && job.engineId)
    return <WantedHere engineId={job.engineId} heat={job.heat} valve={step.valve} />;
  return null;
}

/** How to find where the crank is barred to. */
function Stop({ job, stop }: { job: Schemas["JobView"]; stop: Schemas["StopWords"] }) {
  return (
    <section className="grid gap-1" aria-label="How to find it">
      <p className="text-2xl font-semibold">{stop.look}</p>
      <p className="text-lg text-muted">
        {stop.balancer}
        {stop.rotor ? `; ${stop.rotor}` : ""}
      </p>
      <p>
        <Link to="/jobs/$id/bar" params={{ id: job.id }} className="inline-block min-h-11 content-center">
          Large, for whoever bars
        </Link>
      </p>
    </section>
  );
}

interface OffTdcProps {
  at: Schemas["CrankOff"];
  onAccept: () => void;
}

/** The crank stands off TDC: what air does there, to be accepted by name or not at all. */
function OffTdc({ at, onAccept }: OffTdcProps) {
  const { unit } = useSettings();
  const off = Math.round(Math.abs(at.offDeg));
  return (
    <section className="grid gap-2" aria-label="Off TDC">
      <p className="text-lg">
        The crank stands <b className="num text-3xl">{off}°</b> {at.offDeg > 0 ? "past" : "before"} TDC. Air
        turns it with <b className="num text-3xl">{figureText("torque", at.torqueLbfFt, unit)}</b>{" "}
        {unitOf("torque", unit)}; a valve could fall{" "}
        <b className="num text-3xl">{heightText(at.fallIn, unit)}</b> {heightUnit(unit)} and the chamber.
      </p>
      {at.turns ? (
        <Notice tone="stop">
          By itself this engine holds to {Math.floor(at.holdsWithinDeg)}°: lock the crank, or bar to TDC.
        </Notice>
      ) : (
        <Button className="min-h-16 justify-self-start text-xl" onClick={onAccept}>
          Air on here, {off}° off TDC, all the same
        </Button>
      )}
      <p className="text-muted">Or bar to TDC: "The crank was barred elsewhere".</p>
    </section>
  );
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

interface WantedHereProps {
  engineId: string;
  heat: Schemas["JobView"]["heat"];
  valve: string;
}

function WantedHere({ engineId, heat, valve }: WantedHereProps) {
  const wanted = useQuery(lashTargets(engineId, heat)).data;
  return wanted ? <Wanted wanted={wanted} kind={kindOf(valve)} /> : null;
}
