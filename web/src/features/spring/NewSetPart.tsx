import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { sheetOfSpring, springTypes } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightUnit, loadUnit, readHeight, readLoad, readNumber } from "../../units/load";

const FORMS = [
  ["SINGLE", "single"],
  ["SINGLE_WITH_DAMPER", "single with damper"],
  ["DUAL", "dual"],
  ["DUAL_WITH_DAMPER", "dual with damper"],
  ["TRIPLE", "triple"],
  ["BEEHIVE", "beehive"],
  ["CONICAL", "conical"],
] as const;

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
  const [freshId] = useState(() => crypto.randomUUID());
  const [setId] = useState(() => crypto.randomUUID());
  const [form, setForm] = useState<NonNullable<Schemas["SpringSheet"]["form"]>>("DUAL");
  const [t, setT] = useState<Record<string, string>>({});
  const [setName, setSetName] = useState("A");
  const [hours, setHours] = useState(String(Math.round(known.engineHours * 100) / 100));
  const [before, setBefore] = useState("0");
  const h = (k: string) => readHeight(t[k] ?? "", unit);
  const sheet: Schemas["SpringSheet"] = {
    name: t.name,
    form,
    loads: [
      { heightIn: h("seatIn"), loadLbf: readLoad(t.seatLbf ?? "", unit) },
      { heightIn: h("openIn"), loadLbf: readLoad(t.openLbf ?? "", unit) },
    ],
    bindIn: h("bindIn"),
    odIn: h("odIn"),
    freeLengthIn: h("freeIn"),
    maxLiftIn: h("liftIn"),
    lifeHours: readNumber(t.life ?? ""),
  };
  const read = useQuery(sheetOfSpring(sheet)).data;
  const wrong = (f: string, weight: "REFUSED" | "ASKED") =>
    Object.keys(t).length > 3
      ? read?.problems.find((p) => p.field.startsWith(f) && p.weight === weight)?.message
      : undefined;
  const keep = useMutation({
    mutationFn: async () => {
      if (typeId === "new") {
        await answered(
          api.PUT("/api/spring-types/{id}", {
            params: { path: { id: freshId }, query: { who: hand || undefined } },
            body: sheet,
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
            heightIn: h("installedIn"),
            hand,
          },
        }),
      );
    },
    onSuccess: () => queries.invalidateQueries(),
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const box = (key: string, label: string, field: string) => (
    <Field
      label={label}
      value={t[key] ?? ""}
      inputMode="decimal"
      className="num text-lg"
      onChange={(e) => setT({ ...t, [key]: e.target.value })}
      error={problem ? wrong(field, "REFUSED") : undefined}
      ask={wrong(field, "ASKED")}
    />
  );
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
      {typeId === "new" && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <Field
              label="Name"
              value={t.name ?? ""}
              onChange={(e) => setT({ ...t, name: e.target.value })}
              error={problem ? wrong("name", "REFUSED") : undefined}
            />
            <Select
              label="Form"
              value={form}
              onChange={(e) => setForm(e.target.value as typeof form)}
              options={FORMS}
            />
            {box("seatIn", `Seat height, ${heightUnit(unit)}`, "loads")}
            {box("seatLbf", `Load there, ${loadUnit(unit)}`, "loads[0].load")}
            {box("openIn", `Open height, ${heightUnit(unit)}`, "loads[1].height")}
            {box("openLbf", `Load there, ${loadUnit(unit)}`, "loads[1].load")}
            {box("bindIn", `Height at bind, ${heightUnit(unit)}`, "bindIn")}
            {box("odIn", `Outside diameter, ${heightUnit(unit)}`, "odIn")}
            {box("freeIn", `Free length, ${heightUnit(unit)}`, "freeLengthIn")}
            {box("life", "Life, hours", "lifeHours")}
          </div>
          {read?.rateLbfPerIn !== undefined && (
            <p className="text-muted">
              Rate by these loads <b className="num text-lg">{read.rateLbfPerIn.toFixed(0)}</b> lbf/in
            </p>
          )}
        </>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Name of the set" value={setName} onChange={(e) => setSetName(e.target.value)} />
        {box("installedIn", `Installed height, if all the same, ${heightUnit(unit)}`, "installed")}
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
        <Field
          label="Your initials"
          value={hand}
          maxLength={12}
          onChange={(e) => setHand(e.target.value.toUpperCase())}
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
