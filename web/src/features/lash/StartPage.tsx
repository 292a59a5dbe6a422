import { useMutation, useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { engineSprings, hours as hoursQuery, lashTargets, plan as planQuery } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { useKept, useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { SCHOOLS, type School } from "../crank/schools";

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
  const navigate = useNavigate();
  const settings = useSettings();
  const solid = !engine.sheet.drive?.lifter?.endsWith("HYDRAULIC");
  const [id] = useState(() => newId());
  const [hand, setHand] = useState(settings.hand);
  const [state, setState] = useState<"HOT" | "COLD">(engine.sheet.cam?.lashState ?? "COLD");
  const [temp, setTemp] = useState("");
  const [at, setAt] = useState(String(Math.round(hours * 100) / 100));
  const [school, setSchool] = useState<School>(
    (engine.sheet.rules?.school as School | undefined) ?? "BEST_STOPS",
  );
  const [stops, setStops] = useState("2");
  const [onMarks, setOnMarks] = useState(false);
  const [look, setLook] = useState(true);
  const fitted = useQuery(engineSprings(engine.id)).data;
  const [testId] = useState(() => newId());
  const [withSprings, setWithSprings] = useKept<"yes" | "no">("shim.onePass", () => "no");
  const [tester, setTester] = useKept<string>("shim.tester", () => "");
  const onePass = withSprings === "yes" && (fitted?.springs.length ?? 0) > 0;
  const number = (t: string) => (t.trim() === "" ? undefined : Number(t.replace(",", ".")));
  const k = Math.min(64, Math.max(1, Math.round(number(stops) || 2)));
  const plan = useQuery(planQuery({ sheet: engine.sheet, school, stops: k, onMarks }));
  const begin = useMutation({
    mutationFn: async () => {
      const engineHours = number(at) ?? Number.NaN;
      await answered(
        api.PUT("/api/rounds/{id}", {
          params: { path: { id } },
          body: {
            engineId: engine.id,
            state,
            hand,
            engineHours,
            headTempStartF: number(temp),
            school,
            stops: k,
            onMarks,
            lookAtSprings: look,
          },
        }),
      );
      if (!onePass) return;
      await answered(
        api.PUT("/api/spring-tests/{id}", {
          params: { path: { id: testId } },
          body: {
            engineId: engine.id,
            roundId: id,
            engineHours,
            place: "HEAD",
            state,
            order: "STOPS",
            tester,
            repeats: 1,
            hand,
          },
        }),
      );
    },
    onSuccess: () => {
      settings.setHand(hand);
      void navigate({ to: "/rounds/$id", params: { id } });
    },
  });
  const problem = begin.error instanceof ApiProblem ? begin.error : undefined;
  const error = (f: string) => problem?.errors.find((x) => x.field === f)?.message;
  return (
    <form
      className="grid gap-3 p-3 min-[900px]:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate();
      }}
    >
      <section className="scribed grid content-start gap-4 rounded p-4">
        <h2 className="text-xl">Run the valves</h2>
        <div className="grid grid-cols-2 gap-3">
          <Initials first value={hand} onChange={setHand} error={error("hand")} />
          <Field
            label="Engine hours now"
            value={at}
            inputMode="decimal"
            className="num text-xl"
            onChange={(e) => setAt(e.target.value)}
            error={
              error("engineHours") ??
              (Number.isNaN(number(at) ?? Number.NaN) ? "a number of hours" : undefined)
            }
          />
        </div>
        <div className="grid grid-cols-2 gap-3">
          <Choice
            label="The engine is"
            value={state}
            onChange={setState}
            options={[
              ["HOT", "hot"],
              ["COLD", "cold"],
            ]}
          />
          <Field
            label="Head temperature, °F"
            hint="if known"
            value={temp}
            inputMode="decimal"
            className="num text-xl"
            onChange={(e) => setTemp(e.target.value)}
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
        <Check
          label="Look at springs and rockers at each stop"
          checked={look}
          onChange={(e) => setLook(e.target.checked)}
        />
        {fitted && fitted.springs.length > 0 && (
          <>
            <Check
              label="Test each spring's seat load at the same stop"
              checked={withSprings === "yes"}
              onChange={(e) => setWithSprings(e.target.checked ? "yes" : "no")}
            />
            {onePass && (
              <Field
                label="Tester"
                value={tester}
                onChange={(e) => setTester(e.target.value)}
                error={error("tester")}
              />
            )}
          </>
        )}
        {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
        <Button
          look="now"
          type="submit"
          className="text-xl"
          disabled={Number.isNaN(number(at) ?? Number.NaN)}
        >
          Begin the round
        </Button>
      </section>
      <section className="scribed grid content-start gap-3 rounded p-4">
        {solid && <Targets engineId={engine.id} state={state} />}
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <Select
            label="Setting order"
            value={school}
            onChange={(e) => setSchool(e.target.value as School)}
            options={SCHOOLS}
            error={error("school")}
          />
          {school === "BEST_STOPS" && (
            <Field
              label="Stops"
              value={stops}
              inputMode="numeric"
              className="num text-xl"
              onChange={(e) => setStops(e.target.value)}
            />
          )}
        </div>
        {school === "BEST_STOPS" && (
          <Check
            label="Only where the balancer has a mark"
            checked={onMarks}
            onChange={(e) => setOnMarks(e.target.checked)}
          />
        )}
        {plan.error && <Notice tone="stop">{plan.error.message}</Notice>}
        {plan.data && <PlanShort plan={plan.data} />}
      </section>
    </form>
  );
}

function Targets({ engineId, state }: { engineId: string; state: "HOT" | "COLD" }) {
  const targets = useQuery(lashTargets(engineId, state)).data ?? [];
  return (
    <div className="grid grid-cols-2 gap-3">
      {targets.map((t) => (
        <div key={t.kind}>
          <p className="text-sm text-muted">
            {t.kind === "INTAKE" ? "Intake" : "Exhaust"} lash {state.toLowerCase()}
          </p>
          <p className="num text-5xl">{t.targetIn.toFixed(4)}</p>
          <p className="text-sm text-muted">{t.from}</p>
        </div>
      ))}
    </div>
  );
}

function PlanShort({ plan }: { plan: Schemas["PlanView"] }) {
  return (
    <div>
      <p className="mb-1">
        <strong className="num text-2xl">{plan.stops.length}</strong> stops, barring{" "}
        <strong className="num text-2xl">{Math.round(plan.totalBarDeg)}°</strong>, worst slack{" "}
        <strong className={`num text-2xl ${plan.worstSlackDeg < 0 ? "text-tight" : ""}`}>
          {Math.round(plan.worstSlackDeg)}°
        </strong>
      </p>
      {plan.refused.map((r) => (
        <p key={r} className="font-semibold text-tight">
          ✕ {r}
        </p>
      ))}
      <ol className="max-h-64 overflow-auto">
        {plan.stops.map((s) => (
          <li key={s.number} className="border-t border-hair py-1">
            <span className="num mr-2 text-lg">{s.number}</span>
            {s.look}: <strong>{s.valves.map((v) => v.position).join(" ")}</strong>
          </li>
        ))}
      </ol>
    </div>
  );
}
