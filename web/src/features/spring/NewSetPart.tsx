import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { springTypes } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { figure, height, hours, hoursText } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightUnit } from "../../units/load";
import { SheetBoxes, useSpringSheet } from "./SheetBoxes";

interface NewSetPartProps {
  engineId: string;
  known: Schemas["EngineSprings"];
}

const setIn = (unit: LashUnit) =>
  z.object({
    typeId: z.string(),
    setName: z.string(),
    engineHours: hours(),
    hoursBefore: figure(),
    heightIn: height(unit),
  });

/** A data sheet, and a whole set of it put into every valve that has no spring. */
export function NewSetPart({ engineId, known }: NewSetPartProps) {
  const { unit, hand, setHand } = useSettings();
  const types = useQuery(springTypes()).data ?? [];
  const [freshId] = useState(() => newId());
  const [setId] = useState(() => newId());
  const own = useSpringSheet();
  const { form, box, submit, trouble, refused, error } = useEntry({
    schema: setIn(unit),
    first: {
      typeId: "new",
      setName: "A",
      engineHours: hoursText(known.engineHours),
      hoursBefore: "0",
      heightIn: "",
    },
    send: async ({ typeId, ...set }) => {
      if (typeId === "new") {
        await answered(
          api.PUT("/api/spring-types/{id}", {
            params: { path: { id: freshId }, query: { who: hand || undefined } },
            body: own.sheet,
          }),
        );
      }
      return answered(
        api.PUT("/api/engines/{engineId}/spring-sets/{id}", {
          params: { path: { engineId, id: setId } },
          body: {
            ...set,
            typeId: typeId === "new" ? freshId : typeId,
            hoursBefore: set.hoursBefore ?? 0,
            hand,
          },
        }),
      );
    },
    kept: askedAnew,
    elsewhere: ["hand"],
  });
  const fresh = form.watch("typeId") === "new";
  return (
    <form className="scribed grid gap-3 rounded p-4" aria-label="Put a set in" onSubmit={submit}>
      <h2 className="text-xl">Put a set in</h2>
      <p className="text-muted">
        Into {known.empty.length} {known.empty.length === 1 ? "valve" : "valves"} without a spring:{" "}
        {known.empty.join(" ")}
      </p>
      <Select
        label="Spring type"
        {...box("typeId")}
        options={[
          ["new", "a new one, from its data sheet"],
          ...types.map((x) => [x.id, x.sheet.name ?? ""] as const),
        ]}
      />
      {fresh && <SheetBoxes of={own} refused={refused.length > 0} />}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Name of the set" {...box("setName")} />
        <Field
          label={`Installed height, if all the same, ${heightUnit(unit)}`}
          inputMode="decimal"
          className="num text-lg"
          {...box("heightIn")}
        />
        <Field label="Put in at engine hours" inputMode="decimal" {...box("engineHours")} />
        <Field label="Hours they had before" inputMode="decimal" {...box("hoursBefore")} />
        <Initials value={hand} onChange={setHand} error={error("hand")} />
      </div>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      <Button look="now" type="submit">
        Put the set in
      </Button>
    </form>
  );
}
