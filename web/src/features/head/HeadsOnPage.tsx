import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { engines as enginesQuery } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { hours, words } from "../../units/boxes";
import { FixingsForm } from "./FixingsForm";
import { HeadName } from "./HeadName";
import { HeldDown } from "./HeadParts";
import type { Head } from "./measures";
import { useHead } from "./useHead";
import { useHoursNow } from "./useHoursNow";

/** Before heads go on: which engine, gasket and pushrods; then the walk begins. */
export function HeadsOnPage() {
  const { id } = useParams({ from: "/heads/$id/on" });
  const { head, error } = useHead(id);
  const known = useQuery(enginesQuery());
  const trouble = error ?? known.error;
  if (!head || !known.data) return trouble ? <Problem error={trouble} /> : <Waiting />;
  return <On head={head} engines={known.data} />;
}

const ask = z.object({
  engineId: z.string(),
  engineHours: hours(),
  gasket: z.string(),
  intakeRod: words(),
  exhaustRod: words(),
  newLifters: z.boolean(),
  state: z.string(),
});

interface OnProps {
  head: Head;
  engines: Schemas["EngineView"][];
}

function On({ head, engines }: OnProps) {
  const { hand, setHand } = useSettings();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const [fixings, setFixings] = useState(false);
  const start = engines.find((e) => e.id === head.sheet.madeFor) ?? engines[0];
  const { box, form, submit, trouble, error, keeping } = useEntry({
    schema: ask,
    first: {
      engineId: start?.id ?? "",
      engineHours: "",
      gasket: "",
      intakeRod: "",
      exhaustRod: "",
      newLifters: false,
      state: "COLD",
    },
    fields: {
      engineId: "engineId",
      gasket: "ask.gasket",
      intakeRod: "ask.intakeRod",
      exhaustRod: "ask.exhaustRod",
      state: "ask.state",
    },
    elsewhere: ["hand", "headId"],
    send: ({ engineId, engineHours, state, ...rest }) =>
      answered(
        api.PUT("/api/heads-on/{id}", {
          params: { path: { id } },
          body: {
            headId: head.id,
            engineId,
            engineHours,
            hand,
            ask: { ...rest, state: state as "HOT" | "COLD" },
          },
        }),
      ),
    kept: () => navigate({ to: "/jobs/$id", params: { id } }),
  });
  useHoursNow(form.watch("engineId"), (text) => form.setValue("engineHours", text));
  const refused = error("headId");
  return (
    <div className="mx-auto grid w-full max-w-3xl gap-3 p-3">
      <h1 className="text-2xl">
        <HeadName head={head} />: put on an engine
      </h1>
      <form className="scribed grid gap-3 rounded p-4" aria-label="Heads on" onSubmit={submit}>
        <div className="grid gap-3 min-[600px]:grid-cols-2">
          <Select label="Engine" options={engines.map((e) => [e.id, e.name] as const)} {...box("engineId")} />
          <Field label="Engine hours now" inputMode="decimal" className="num" {...box("engineHours")} />
        </div>
        <Field label="Head gasket" hint="part, thickness, and which way round" {...box("gasket")} />
        <div className="grid gap-3 min-[600px]:grid-cols-3">
          <Field label="Intake pushrods" hint="part or length" {...box("intakeRod")} />
          <Field label="Exhaust pushrods" hint="part or length" {...box("exhaustRod")} />
          <Select
            label="Lash will be set"
            options={[
              ["COLD", "cold"],
              ["HOT", "hot"],
            ]}
            {...box("state")}
          />
        </div>
        <Check label="New lifters" {...form.register("newLifters")} />
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {refused && <Notice tone="stop">{refused}</Notice>}
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        <Button look="now" type="submit" className="min-h-14 text-xl" disabled={keeping}>
          Begin
        </Button>
      </form>
      <HeldDown head={head} onChange={() => setFixings(true)} />
      {fixings && <FixingsForm head={head} onClose={() => setFixings(false)} />}
    </div>
  );
}
