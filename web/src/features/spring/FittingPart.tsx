import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { springStock } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { boxText, height, hours, hoursText, words } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { worstFirst } from "./worstFirst";

interface FittingPartProps {
  engineId: string;
  known: Schemas["EngineSprings"];
}

const exchangeIn = (unit: LashUnit) =>
  z.object({
    valve: z.string(),
    into: z.string(),
    toHours: hours(),
    heightIn: height(unit),
    why: words(),
    scrapped: z.boolean(),
  });

/** One valve's spring exchanged, or what stands in its pocket measured anew. */
export function FittingPart({ engineId, known }: FittingPartProps) {
  const { unit, hand, setHand } = useSettings();
  const stock = useQuery(springStock()).data ?? [];
  const first = worstFirst(known.springs)[0];
  const heightBox = (inch: number | undefined) => boxText(inch, (v) => heightText(v, unit));
  const at = (valve: string) => known.springs.find((s) => s.position === valve);
  const { form, box, submit, kept, trouble, error } = useEntry({
    schema: exchangeIn(unit),
    first: {
      valve: first?.position ?? "",
      into: "",
      toHours: hoursText(known.engineHours),
      heightIn: heightBox(first?.heightIn),
      why: "",
      scrapped: true,
    },
    send: async ({ valve, into, toHours, heightIn, why, scrapped }) => {
      const here = at(valve);
      if (!here) return;
      await answered(
        api.PUT("/api/fittings/{id}/exchange", {
          params: { path: { id: newId() } },
          body: {
            out: here.fittingId,
            removal: { toHours, scrapped, hand, why },
            in: {
              springId: into,
              engineId,
              valve,
              fromHours: toHours,
              heightIn: heightIn ?? here.heightIn,
              hand,
              why,
            },
          },
        }),
      );
    },
    kept: askedAnew,
    elsewhere: ["hand"],
    fields: { heightIn: "in.heightIn", toHours: "removal.toHours" },
  });
  const here = at(form.watch("valve"));
  const inUse = new Set(known.springs.map((s) => s.springId));
  const spares = stock.filter(
    (s) => !s.spring.scrapped && !inUse.has(s.id) && s.spring.typeId === here?.typeId,
  );
  const valve = box("valve");
  return (
    <form className="scribed grid gap-3 rounded p-4" aria-label="Exchange a spring" onSubmit={submit}>
      <h2 className="text-xl">Exchange a spring</h2>
      <div className="grid grid-cols-2 gap-3">
        <Select
          label="Valve"
          {...valve}
          onChange={(e) => {
            form.setValue("heightIn", heightBox(at(e.target.value)?.heightIn));
            return valve.onChange(e);
          }}
          options={known.springs.map((s) => [s.position, `${s.position}, ${s.mark}`] as const)}
        />
        <Select
          label="Spring that goes in"
          {...box("into")}
          options={[["", "choose a spare"], ...spares.map((s) => [s.id, s.spring.mark] as const)]}
        />
        <Field label="At engine hours" inputMode="decimal" {...box("toHours")} />
        <Field label={`Height measured, ${heightUnit(unit)}`} inputMode="decimal" {...box("heightIn")} />
        <Field label="Why" {...box("why")} />
        <Initials value={hand} onChange={setHand} error={error("hand")} />
      </div>
      <Check label="The old one is scrap" {...box("scrapped")} />
      {spares.length === 0 && (
        <Notice tone="know">
          There is no spare spring of this type. Write one down first: it needs its mark.
        </Notice>
      )}
      {here && <NewSpare typeId={here.typeId} />}
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {kept && <Notice tone="know">Exchanged. The old one keeps its history.</Notice>}
      <Button type="submit" disabled={form.watch("into") === ""}>
        Exchange
      </Button>
    </form>
  );
}

function NewSpare({ typeId }: { typeId: string }) {
  const { hand } = useSettings();
  const [mark, setMark] = useState("");
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/springs/{id}", {
          params: { path: { id: newId() }, query: { who: hand || undefined } },
          body: { typeId, mark, hoursBefore: 0, scrapped: false },
        }),
      ),
    onSuccess: () => setMark(""),
  });
  return (
    <div className="grid grid-cols-[1fr_auto] items-end gap-2">
      <Field
        label="Mark of a new spare"
        value={mark}
        onChange={(e) => setMark(e.target.value)}
        error={keep.error?.message}
      />
      <Button onClick={() => keep.mutate()} disabled={mark.trim() === ""}>
        Write it down
      </Button>
    </div>
  );
}
