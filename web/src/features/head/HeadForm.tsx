import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { answered, api } from "../../api/client";
import { newId } from "../../api/ids";
import { engines as enginesQuery, head as headQuery } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, height, words } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { groove, grooves } from "../spring/grooves";
import type { Head } from "./measures";

const GROOVES = grooves("not known");

const sheet = (unit: LashUnit, was?: number) =>
  z.object({
    name: z.string(),
    madeFor: z.string(),
    bought: z.boolean(),
    grooveIntake: z.string(),
    grooveExhaust: z.string(),
    guidePlayIn: height(unit, was),
    note: words(),
  });

interface HeadFormProps {
  /** Missing for new ones. */
  head?: Head;
  onClose: () => void;
}

/** Heads as they are written down: for which engine, how they came, what their stems are like. */
export function HeadForm({ head, onClose }: HeadFormProps) {
  const { unit, hand, setHand } = useSettings();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [id] = useState(() => head?.id ?? newId());
  const known = useQuery(enginesQuery()).data ?? [];
  const was = head?.sheet;
  const inch = (v: number) => heightText(v, unit);
  const { box, submit, trouble, error, form } = useEntry({
    schema: sheet(unit, was?.guidePlayIn),
    first: {
      name: was?.name ?? "",
      madeFor: was?.madeFor ?? known[0]?.id ?? "",
      bought: was?.bought ?? true,
      grooveIntake: was?.grooveIntake ?? "",
      grooveExhaust: was?.grooveExhaust ?? "",
      guidePlayIn: boxText(was?.guidePlayIn, inch),
      note: was?.note ?? "",
    },
    fields: {
      name: "head.name",
      madeFor: "head.madeFor",
      guidePlayIn: "head.guidePlayIn",
      note: "head.note",
    },
    elsewhere: ["hand"],
    send: (read) =>
      answered(
        api.PUT("/api/heads/{id}", {
          params: { path: { id } },
          body: {
            head: {
              name: read.name,
              madeFor: read.madeFor || (known[0]?.id ?? ""),
              bought: read.bought,
              grooveIntake: groove(read.grooveIntake),
              grooveExhaust: groove(read.grooveExhaust),
              guidePlayIn: read.guidePlayIn,
              note: read.note,
              fixings: was?.fixings,
            },
            basedOn: head?.version,
            hand,
          },
        }),
      ),
    kept: async (view) => {
      queries.setQueryData(headQuery(id).queryKey, view);
      onClose();
      if (!head) await navigate({ to: "/heads/$id", params: { id } });
    },
  });
  return (
    <Sheet open onClose={onClose} title={was?.name ?? "New heads"}>
      <form className="grid gap-3" onSubmit={submit}>
        <Field label="Name" autoFocus {...box("name")} />
        {!head && (
          <Select
            label="Made for, and valves named as on"
            options={known.map((e) => [e.id, e.name] as const)}
            {...box("madeFor")}
          />
        )}
        <Check
          label="Bought: opened and measured before anything goes together"
          {...form.register("bought")}
        />
        <div className="grid grid-cols-3 gap-3">
          <Select label="Lock groove, intake" options={GROOVES} {...box("grooveIntake")} />
          <Select label="Lock groove, exhaust" options={GROOVES} {...box("grooveExhaust")} />
          <Field
            label={`Most play in a guide, ${heightUnit(unit)}`}
            hint="the builder's figure"
            inputMode="decimal"
            {...box("guidePlayIn")}
          />
        </div>
        <Field label="Note" {...box("note")} />
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep these heads
        </Button>
      </form>
    </Sheet>
  );
}
