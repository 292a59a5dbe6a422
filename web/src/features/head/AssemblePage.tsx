import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas, type Valve } from "../../api/client";
import { newId } from "../../api/ids";
import { headSprings } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { words } from "../../units/boxes";
import { VERDICTS } from "./choiceWords";
import { HeadName } from "./HeadName";
import type { Head } from "./measures";
import { useHead } from "./useHead";

/** What goes onto which valve, before the vice: then the walk begins. */
export function AssemblePage() {
  const { id } = useParams({ from: "/heads/$id/assemble" });
  const { head, error } = useHead(id);
  const query = useQuery(headSprings(id));
  const trouble = error ?? query.error;
  if (!head || !query.data) return trouble ? <Problem error={trouble} /> : <Waiting />;
  return <Assemble head={head} kinds={query.data.kinds} />;
}

const ask = z.object({
  typeIntake: z.string(),
  typeExhaust: z.string(),
  sealIntake: words(),
  sealExhaust: words(),
});

interface AssembleProps {
  head: Head;
  kinds: Schemas["Ranked"][];
}

function Assemble({ head, kinds }: AssembleProps) {
  const { hand, setHand } = useSettings();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const all = head.layout.banks.flatMap((b) => b.valves);
  const bare = all.filter((v) => !head.springs.some((s) => s.valve === v));
  const [chosen, setChosen] = useState<ReadonlySet<Valve>>(() => new Set(bare));
  const best = kinds[0]?.kind.id ?? "";
  const { box, submit, trouble, error, keeping } = useEntry({
    schema: ask,
    first: { typeIntake: best, typeExhaust: best, sealIntake: "", sealExhaust: "" },
    fields: {
      typeIntake: "ask.typeIntake",
      typeExhaust: "ask.typeExhaust",
      sealIntake: "ask.sealIntake",
      sealExhaust: "ask.sealExhaust",
    },
    elsewhere: ["hand", "ask.valves"],
    send: (read) =>
      answered(
        api.PUT("/api/assemblies/{id}", {
          params: { path: { id } },
          body: {
            headId: head.id,
            hand,
            ask: { ...read, valves: all.filter((v) => chosen.has(v)) },
          },
        }),
      ),
    kept: () => navigate({ to: "/jobs/$id", params: { id } }),
  });
  const options = kinds.map(
    (k) =>
      [k.kind.id, `${k.kind.type.name}: ${VERDICTS[k.verdict].words}, ${k.kind.inStock} in stock`] as const,
  );
  const press = (v: Valve) =>
    setChosen((s) => {
      const next = new Set(s);
      if (!next.delete(v)) next.add(v);
      return next;
    });
  const valves = error("ask.valves");
  return (
    <div className="grid items-start gap-3 p-3 min-[1000px]:grid-cols-[minmax(320px,460px)_1fr]">
      <form className="scribed grid gap-3 rounded p-4" aria-label="Assembly" onSubmit={submit}>
        <h1 className="text-2xl">
          <HeadName head={head} />: assemble
        </h1>
        {kinds.length === 0 && <Notice tone="know">No kind of spring is on record yet.</Notice>}
        <Select label="Springs at the intakes" options={options} {...box("typeIntake")} />
        <Select label="Springs at the exhausts" options={options} {...box("typeExhaust")} />
        <p className="text-muted">
          Shim takes them from stock, each where it fits best and the loads come out evenest; another may be
          named at its step.
        </p>
        <div className="grid grid-cols-2 gap-3">
          <Field label="Intake seals" hint="by part and colour; blank: they are on" {...box("sealIntake")} />
          <Field label="Exhaust seals" {...box("sealExhaust")} />
        </div>
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {valves && <Notice tone="stop">{valves}</Notice>}
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        <Button
          look="now"
          type="submit"
          className="min-h-14 text-xl"
          disabled={keeping || kinds.length === 0 || chosen.size === 0}
        >
          Begin the book: {chosen.size} valves
        </Button>
      </form>
      <section className="scribed rounded p-3" aria-label="Valves">
        <p className="text-muted">Press a valve to leave it out, or to take it in.</p>
        <ValvePlan
          layout={head.layout}
          faces={Object.fromEntries(
            all.map((v) => [
              v,
              {
                text: "",
                mark: head.springs.some((s) => s.valve === v) ? ("HOME" as const) : ("OPEN" as const),
                lit: chosen.has(v),
              },
            ]),
          )}
          onSelect={press}
          label="Valves of this assembly"
          className="h-[60vh] w-full"
        />
      </section>
    </div>
  );
}
