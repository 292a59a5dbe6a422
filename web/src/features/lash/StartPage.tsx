import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { engineSprings, hours as hoursQuery, plan as planQuery } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { unitOf } from "../../units/measures";
import { SCHOOLS } from "../crank/schools";
import { CrankStands } from "./CrankStands";
import { PlanShort, Targets } from "./StartParts";
import { stopsOf, useStart } from "./useStart";

export function StartPage() {
  const { id } = useParams({ from: "/engines/$id/start" });
  const known = useQuery(hoursQuery(id)).data;
  return (
    <EngineFrame id={id}>
      {(engine) => (known ? <Start engine={engine} hours={known.hours} /> : <Waiting />)}
    </EngineFrame>
  );
}

interface StartProps {
  engine: Schemas["EngineView"];
  hours: number;
}

/** Who, hot or cold, in which order; what the lash shall be. */
function Start({ engine, hours }: StartProps) {
  const { unit } = useSettings();
  const fitted = (useQuery(engineSprings(engine.id)).data?.springs.length ?? 0) > 0;
  const start = useStart(engine, hours, fitted);
  const { form, box, choice, submit, trouble, keeping } = start;
  const { state, school, stops, onMarks, withSprings, seen, fromDeg } = form.watch();
  const plan = useQuery(
    planQuery({
      sheet: engine.sheet,
      school,
      stops: stopsOf(stops),
      onMarks,
      fromDeg: seen === "ANYWHERE" || fromDeg === "" ? undefined : Number(fromDeg),
    }),
  );
  return (
    <form className="grid gap-3 p-3 min-[900px]:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]" onSubmit={submit}>
      <section className="scribed grid content-start gap-4 rounded p-4">
        <h2 className="text-xl">Run the valves</h2>
        <div className="grid grid-cols-2 gap-3">
          <Initials first {...choice("hand")} error={box("hand").error} />
          <Field
            label="Engine hours now"
            inputMode="decimal"
            className="num text-xl"
            {...box("engineHours")}
          />
        </div>
        <div className="grid grid-cols-2 gap-3">
          <Choice
            label="The engine is"
            {...choice("state")}
            options={[
              ["HOT", "hot"],
              ["COLD", "cold"],
            ]}
          />
          <Field
            label={`Head temperature, ${unitOf("warmth", unit)}`}
            hint="if known"
            inputMode="decimal"
            className="num text-xl"
            {...box("headTempStartF")}
          />
        </div>
        {state === "HOT" && (
          <Notice tone="care">
            Hot parts. It cools while you work: note the temperature again at the end.
          </Notice>
        )}
        <Notice tone="care">
          Ignition off and plugs out before anyone bars the crank. Hands clear of belts and fan.
        </Notice>
        <Check label="Look at springs and rockers at each stop" {...box("lookAtSprings")} />
        {fitted && <Check label="Test each spring's seat load at the same stop" {...box("withSprings")} />}
        {fitted && withSprings && <Field label="Tester" {...box("tester")} />}
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        <Button look="now" type="submit" className="text-xl" disabled={keeping}>
          Begin the round
        </Button>
      </section>
      <section className="scribed grid content-start gap-3 rounded p-4">
        <Targets engineId={engine.id} state={state} />
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <Select label="Setting order" options={SCHOOLS} {...box("school")} />
          {school === "BEST_STOPS" && (
            <Field label="Stops" inputMode="numeric" className="num text-xl" {...box("stops")} />
          )}
        </div>
        {school === "BEST_STOPS" && <Check label="Only where the balancer has a mark" {...box("onMarks")} />}
        <CrankStands engine={engine} start={start} />
        {plan.error && <Notice tone="stop">{plan.error.message}</Notice>}
        {plan.data && <PlanShort plan={plan.data} />}
      </section>
    </form>
  );
}
