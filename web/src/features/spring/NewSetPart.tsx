import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { springTypes } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightUnit, readHeight, readNumber } from "../../units/load";
import { SheetBoxes, useSpringSheet } from "./SheetBoxes";

interface NewSetPartProps {
  engineId: string;
  known: Schemas["EngineSprings"];
}

/** A data sheet, and a whole set of it put into every valve that has no spring. */
export function NewSetPart({ engineId, known }: NewSetPartProps) {
  const { unit, hand, setHand } = useSettings();
  const queries = useQueryClient();
  const types = useQuery(springTypes()).data ?? [];
  const [typeId, setTypeId] = useState("new");
  const [freshId] = useState(() => newId());
  const [setId] = useState(() => newId());
  const own = useSpringSheet();
  const [installed, setInstalled] = useState("");
  const [setName, setSetName] = useState("A");
  const [hours, setHours] = useState(String(Math.round(known.engineHours * 100) / 100));
  const [before, setBefore] = useState("0");
  const keep = useMutation({
    mutationFn: async () => {
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
            typeId: typeId === "new" ? freshId : typeId,
            setName,
            engineHours: readNumber(hours) ?? Number.NaN,
            hoursBefore: readNumber(before) ?? 0,
            heightIn: readHeight(installed, unit),
            hand,
          },
        }),
      );
    },
    onSuccess: () => queries.invalidateQueries(),
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Put a set in"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate();
      }}
    >
      <h2 className="text-xl">Put a set in</h2>
      <p className="text-muted">
        Into {known.empty.length} {known.empty.length === 1 ? "valve" : "valves"} without a spring:{" "}
        {known.empty.join(" ")}
      </p>
      <Select
        label="Spring type"
        value={typeId}
        onChange={(e) => setTypeId(e.target.value)}
        options={[
          ["new", "a new one, from its data sheet"],
          ...types.map((x) => [x.id, x.sheet.name ?? ""] as const),
        ]}
      />
      {typeId === "new" && <SheetBoxes of={own} refused={Boolean(problem)} />}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Name of the set" value={setName} onChange={(e) => setSetName(e.target.value)} />
        <Field
          label={`Installed height, if all the same, ${heightUnit(unit)}`}
          value={installed}
          inputMode="decimal"
          className="num text-lg"
          onChange={(e) => setInstalled(e.target.value)}
        />
        <Field
          label="Put in at engine hours"
          value={hours}
          inputMode="decimal"
          onChange={(e) => setHours(e.target.value)}
        />
        <Field
          label="Hours they had before"
          value={before}
          inputMode="decimal"
          onChange={(e) => setBefore(e.target.value)}
        />
        <Initials
          value={hand}
          onChange={setHand}
          error={problem?.errors.find((e) => e.field === "hand")?.message}
        />
      </div>
      {problem && (
        <Notice tone="stop">
          {problem.message}
          {problem.errors.map((e) => (
            <p key={e.field + e.message}>{e.message}</p>
          ))}
        </Notice>
      )}
      <Button look="now" type="submit">
        Put the set in
      </Button>
    </form>
  );
}
