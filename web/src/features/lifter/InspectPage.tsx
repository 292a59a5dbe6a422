import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useParams, useSearch } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { engineLifters, looks as looksQuery } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { InspectPanel } from "./InspectPanel";
import { answer, nextPlace, PASSES, type Pass, placeOf, type Question, questions } from "./inspectFlow";
import { LEVELS } from "./levels";
import { seenWithWaiting } from "./seenOverlay";
import { useSeen } from "./useSeen";

/** Inspection at the car: one look, one place, one key. */
export function InspectPage() {
  const { id } = useParams({ from: "/engines/$id/inspect" });
  return <EngineFrame id={id}>{(engine) => <Loaded engine={engine} />}</EngineFrame>;
}

function Loaded({ engine }: { engine: Schemas["EngineView"] }) {
  const known = useQuery(engineLifters(engine.id));
  const looks = useQuery(looksQuery());
  const search = useSearch({ from: "/engines/$id/inspect" });
  const navigate = useNavigate();
  const pass = PASSES.find((p) => p.id === search.pass);
  const setPass = (next: Pass | undefined) =>
    void navigate({
      to: "/engines/$id/inspect",
      params: { id: engine.id },
      search: { ...search, pass: next?.id },
    });
  const error = known.error ?? looks.error;
  if (!known.data || !looks.data) return error ? <Problem error={error} /> : <Waiting />;
  return pass ? (
    <Inspection
      engine={engine}
      known={known.data}
      looks={looks.data}
      pass={pass}
      onDone={() => setPass(undefined)}
    />
  ) : (
    <Choose onPass={setPass} engineId={engine.id} />
  );
}

function Choose({ onPass, engineId }: { onPass: (p: Pass) => void; engineId: string }) {
  const { hand, setHand } = useSettings();
  return (
    <div className="flex flex-1 flex-col gap-3 p-4">
      <h2 className="text-2xl">What is open to be looked at?</h2>
      <div className="max-w-40">
        <Initials value={hand} onChange={setHand} />
      </div>
      <div className="grid flex-1 auto-rows-fr gap-3 min-[700px]:grid-cols-2 min-[1100px]:max-h-[26rem] min-[1100px]:grid-cols-3">
        {PASSES.map((p, i) => (
          <button
            key={p.id}
            type="button"
            onClick={() => onPass(p)}
            className={`scribed min-h-24 rounded p-4 text-left hover:bg-raised ${i === 0 ? "border-2 border-accent" : ""}`}
          >
            <span className="block text-xl font-semibold max-[1099px]:text-3xl">{p.title}</span>
            <span className="text-muted max-[1099px]:text-xl">{p.hint}</span>
          </button>
        ))}
      </div>
      <p>
        <Link to="/engines/$id/lifters" params={{ id: engineId }} className={buttonClass("quiet")}>
          Back to the lifters
        </Link>
      </p>
    </div>
  );
}

interface InspectionProps {
  engine: Schemas["EngineView"];
  known: Schemas["EngineLifters"];
  looks: Schemas["LookView"][];
  pass: Pass;
  onDone: () => void;
}

function Inspection({ engine, known, looks, pass, onDone }: InspectionProps) {
  const { valve } = useSearch({ from: "/engines/$id/inspect" });
  const positions = engine.layout.banks.flatMap((b) => b.valves);
  const all = questions(pass, looks, positions, known.hydraulic);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      all.findIndex((q) => valve && q.valve === valve),
    ),
  );
  const [since] = useState(() => new Date().toISOString());
  const { parcels } = useSeen(engine.id, known.engineHours);
  const answeredSeen = [...known.valves.flatMap((v) => v.seen), ...known.cylinders, ...known.engine];
  const seen = seenWithWaiting(answeredSeen, parcels, looks);
  const answered = (q: Question) => answer(q, seen, since);
  const done = all.filter(answered).length;
  const question = all[at];
  const faces = Object.fromEntries(
    positions.map((p) => {
      const own = all.filter((q) => q.valve === p);
      const worst = own
        .map((q) => answered(q)?.level)
        .sort((a, b) => "GOOD WORN BAD".indexOf(b ?? "GOOD") - "GOOD WORN BAD".indexOf(a ?? "GOOD"))[0];
      const finished = own.length > 0 && own.every(answered);
      return [
        p,
        {
          text: worst ? LEVELS[worst].shape : "",
          mark:
            worst === "BAD"
              ? ("CHANGE" as const)
              : worst === "WORN"
                ? ("WATCH" as const)
                : finished
                  ? ("IN" as const)
                  : undefined,
          lit: question?.valve === p || question?.cylinder === Number.parseInt(p, 10),
        },
      ];
    }),
  );
  return (
    <div className="grid flex-1 gap-3 p-3 max-[999px]:content-start min-[1000px]:grid-cols-[minmax(240px,320px)_1fr] min-[1000px]:grid-rows-[1fr_auto]">
      <section
        className="scribed flex flex-col gap-2 rounded p-3 max-[999px]:max-h-[24vh]"
        aria-label="Valve plan"
      >
        <p className="flex items-baseline gap-3">
          <strong>{pass.title}</strong>
          <span className="num text-2xl">
            {done}/{all.length}
          </span>
        </p>
        <ValvePlan
          layout={engine.layout}
          faces={faces}
          selected={question?.valve}
          onSelect={(v) =>
            setAt(
              Math.max(
                0,
                all.findIndex((q) => q.valve === v),
              ),
            )
          }
          label={`Where to look, ${engine.name}`}
          className="min-h-0 w-full flex-1"
        />
      </section>
      {question && (
        <InspectPanel
          key={at}
          engineId={engine.id}
          engineHours={known.engineHours}
          question={question}
          before={answered(question)}
          openHere={all.filter((q) => placeOf(q) === placeOf(question) && !answered(q))}
          last={at === all.length - 1}
          onNext={() => (at === all.length - 1 ? onDone() : setAt(at + 1))}
          onPlace={(by) => setAt(nextPlace(all, at, by))}
          onBack={() => setAt(Math.max(0, at - 1))}
        />
      )}
      <div className="flex flex-wrap gap-2 min-[1000px]:col-span-2">
        <Button onClick={onDone}>End of this pass</Button>
        <Link to="/engines/$id/lifters" params={{ id: engine.id }} className={buttonClass("quiet")}>
          What it says
        </Link>
      </div>
    </div>
  );
}
