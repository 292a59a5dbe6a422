import { useMutation, useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas, type Valve } from "../../api/client";
import { newId } from "../../api/ids";
import { engineSprings, jobPlan, jobs as jobsQuery } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useKept, useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightUnit, readHeight, readNumber } from "../../units/load";
import { PlanParts } from "./PlanParts";

type Ask = Schemas["JobAsk"];

/** What is to be changed, how the valves are held, and in which order. */
export function ChangePage() {
  const { id } = useParams({ from: "/engines/$id/change" });
  const springs = useQuery(engineSprings(id));
  const jobs = useQuery(jobsQuery(id));
  return (
    <EngineFrame id={id}>
      {(engine) => {
        const error = springs.error ?? jobs.error;
        if (error && (!springs.data || !jobs.data)) return <Problem error={error} />;
        if (!springs.data || !jobs.data) return <Waiting />;
        const open = jobs.data.find((j) => !j.endedAt);
        if (open) return <GoOn job={open} />;
        if (springs.data.springs.length === 0)
          return (
            <div className="p-4">
              <Notice tone="know">Put the set in first: a change begins with what is fitted now.</Notice>
            </div>
          );
        return <Planning engine={engine} known={springs.data} />;
      }}
    </EngineFrame>
  );
}

function GoOn({ job }: { job: Schemas["JobLine"] }) {
  return (
    <div className="grid justify-items-start gap-3 p-4">
      <Notice tone="ask">
        A job on this engine is open: {job.title.toLowerCase()}, {job.valves.join(" ")}.
      </Notice>
      {job.parked && <p className="text-5xl font-extrabold">Parked: {job.parked}</p>}
      <Link to="/jobs/$id" params={{ id: job.id }} className={buttonClass("now")}>
        Go on with it
      </Link>
    </div>
  );
}

interface PlanningProps {
  engine: Schemas["EngineView"];
  known: Schemas["EngineSprings"];
}

const HOLDS: readonly (readonly [Ask["hold"], string])[] = [
  ["AIR", "compressed air"],
  ["PISTON", "the piston at TDC"],
  ["ROPE", "rope"],
];

function Planning({ engine, known }: PlanningProps) {
  const navigate = useNavigate();
  const settings = useSettings();
  const [id] = useState(() => newId());
  const [hand, setHand] = useState(settings.hand);
  const [hours, setHours] = useState(String(Math.round(known.engineHours * 100) / 100));
  const [valves, setValves] = useState<Record<Valve, Schemas["AskedValve"]>>(() =>
    Object.fromEntries(
      known.springs.filter((s) => s.said.verdict === "CHANGE").map((s) => [s.position, asked(s.position)]),
    ),
  );
  const [kind, setKind] = useState<Ask["kind"]>("IN_CAR");
  const [hold, setHold] = useKept<Ask["hold"]>("shim.hold", () => "AIR");
  const [heat, setHeat] = useState<Ask["state"]>("COLD");
  const [psi, setPsi] = useState("");
  const [off, setOff] = useState("");
  const [head, setHead] = useState("");
  const [from, setFrom] = useState("");
  const [order, setOrder] = useState<Ask["order"]>();
  const [lock, setLock] = useState<boolean>();
  const [intakeOff, setIntakeOff] = useState(false);
  const [innerOut, setInnerOut] = useState(false);
  const [breakIn, setBreakIn] = useState("");
  const chosen = Object.values(valves);
  const figure = (t: string) => {
    const n = readNumber(t);
    return n === undefined || Number.isNaN(n) ? undefined : n;
  };
  const ask: Ask = {
    kind,
    hold: kind === "IN_CAR" ? hold : "BLOCK",
    psi: figure(psi),
    offDeg: figure(off),
    headIn: head.trim() === "" ? undefined : readHeight(head, settings.unit),
    fromDeg: figure(from),
    crankLock: lock,
    order,
    intakeOff,
    innerOut,
    breakInHours: figure(breakIn),
    state: heat,
    valves: chosen,
  };
  const plan = useQuery({ ...jobPlan(engine.id, ask), enabled: chosen.length > 0 });
  const begin = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/jobs/{id}", {
          params: { path: { id } },
          body: { engineId: engine.id, engineHours: figure(hours) ?? Number.NaN, hand, ask },
        }),
      ),
    onSuccess: () => {
      settings.setHand(hand);
      void navigate({ to: "/jobs/$id", params: { id } });
    },
  });
  const problem =
    begin.error instanceof ApiProblem
      ? begin.error
      : plan.error instanceof ApiProblem
        ? plan.error
        : undefined;
  const error = (f: string) => problem?.errors.find((e) => e.field === f)?.message;
  const toggle = (v: Valve) => {
    const { [v]: there, ...rest } = valves;
    setValves(there ? rest : { ...valves, [v]: asked(v) });
  };
  return (
    <div className="grid content-start gap-3 p-3 min-[1000px]:grid-cols-[minmax(320px,380px)_1fr]">
      <section className="scribed grid content-start gap-2 rounded p-3" aria-label="Valve plan">
        <p className="font-semibold">
          {chosen.length === 0
            ? "Choose the valves whose springs are done"
            : `${chosen.length} to do: ${chosen.map((v) => v.valve).join(" ")}`}
        </p>
        <ValvePlan
          layout={engine.layout}
          faces={Object.fromEntries(
            known.springs.map((s) => [
              s.position,
              { text: valves[s.position] ? "✕" : "", mark: s.said.verdict, lit: Boolean(valves[s.position]) },
            ]),
          )}
          onSelect={toggle}
          label="Choose valves"
          className="max-h-[52vh] w-full min-[1000px]:h-[52vh]"
        />
        <p className="text-sm text-muted">Springs due for a change are chosen already.</p>
        <Link
          to="/engines/$id/change-rules"
          params={{ id: engine.id }}
          className={`${buttonClass("quiet")} justify-self-start`}
        >
          Schools, air and torque sheet
        </Link>
      </section>
      <form
        className="grid content-start gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          begin.mutate();
        }}
      >
        <section className="scribed grid gap-3 rounded p-4">
          <div className="grid grid-cols-2 gap-3 min-[700px]:grid-cols-4">
            <Select
              label="What"
              value={kind}
              onChange={(e) => setKind(e.target.value as Ask["kind"])}
              options={[
                ["IN_CAR", "engine in the car"],
                ["HEADS_OFF", "heads off"],
                ["ASSEMBLE", "assembling a head"],
              ]}
            />
            {kind === "IN_CAR" && (
              <Select
                label="Valves held by"
                value={hold}
                onChange={(e) => setHold(e.target.value as Ask["hold"])}
                options={HOLDS}
                error={error("hold")}
              />
            )}
            <Initials value={hand} onChange={setHand} error={error("hand")} />
            <Field
              label="Engine hours now"
              value={hours}
              inputMode="decimal"
              className="num text-lg"
              onChange={(e) => setHours(e.target.value)}
              error={error("engineHours")}
            />
            {kind === "IN_CAR" && hold === "AIR" && (
              <>
                <Field
                  label="Air, psi"
                  hint="usual: 80"
                  value={psi}
                  inputMode="decimal"
                  className="num text-lg"
                  onChange={(e) => setPsi(e.target.value)}
                  error={error("psi")}
                />
                <Field
                  label="TDC found within, °"
                  hint="usual: 3"
                  value={off}
                  inputMode="decimal"
                  className="num text-lg"
                  onChange={(e) => setOff(e.target.value)}
                />
                <Field
                  label={`Valve head, ${heightUnit(settings.unit)}`}
                  hint="what air holds it with"
                  value={head}
                  inputMode="decimal"
                  className="num text-lg"
                  onChange={(e) => setHead(e.target.value)}
                  error={error("headIn")}
                />
              </>
            )}
            {kind === "IN_CAR" && (
              <Select
                label="Lash will be set"
                value={heat}
                onChange={(e) => setHeat(e.target.value as Ask["state"])}
                options={[
                  ["COLD", "cold"],
                  ["HOT", "hot"],
                ]}
              />
            )}
            {kind === "IN_CAR" && (
              <Field
                label="Crank stands at, °"
                hint="blank: anywhere"
                value={from}
                inputMode="decimal"
                className="num text-lg"
                onChange={(e) => setFrom(e.target.value)}
              />
            )}
          </div>
          <div className="flex flex-wrap gap-x-6">
            {kind === "IN_CAR" && (
              <Check
                label="The intake comes off"
                checked={intakeOff}
                onChange={(e) => setIntakeOff(e.target.checked)}
              />
            )}
            <Check
              label="Break-in: inner springs stay out"
              checked={innerOut}
              onChange={(e) => setInnerOut(e.target.checked)}
            />
          </div>
          {innerOut && (
            <Field
              label="Inner springs go back after, h"
              hint="usual: 1"
              value={breakIn}
              inputMode="decimal"
              onChange={(e) => setBreakIn(e.target.value)}
            />
          )}
          {error("valves") && <Notice tone="stop">{error("valves")}</Notice>}
          {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
          <Button look="now" type="submit" className="text-xl" disabled={chosen.length === 0 || !plan.data}>
            Begin: {plan.data?.steps ?? 0} steps
            {plan.data?.minutes !== undefined && `, about ${Math.round(plan.data.minutes)} min`}
          </Button>
        </section>
        {plan.data && chosen.length > 0 && (
          <PlanParts
            plan={plan.data}
            asked={valves}
            onAsked={(v) => setValves({ ...valves, [v.valve]: v })}
            onOrder={setOrder}
            lock={lock ?? plan.data.air?.lockWanted ?? false}
            onLock={setLock}
          />
        )}
      </form>
    </div>
  );
}

const asked = (valve: Valve): Schemas["AskedValve"] => ({
  valve,
  newSeal: false,
  sameAgain: false,
  standIn: false,
});
