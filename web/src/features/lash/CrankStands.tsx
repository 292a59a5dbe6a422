import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import type { Schemas } from "../../api/client";
import { crankStands } from "../../api/queries";
import { Choice } from "../../ui/Choice";
import { Field, Select } from "../../ui/Field";
import { seenOf, type useStart } from "./useStart";

const SEEN = [
  ["ANYWHERE", "anywhere: bar to the first stop"],
  ["FULL_LIFT", "a valve is at full lift"],
  ["JUST_OPENS", "a valve just begins to open"],
  ["ALMOST_CLOSED", "a valve is almost closed"],
  ["COMPRESSION_TDC", "a cylinder is at compression TDC"],
  ["MARK", "at a degree of the balancer"],
] as const;

interface CrankStandsProps {
  engine: Schemas["EngineView"];
  start: ReturnType<typeof useStart>;
}

/** A round begins where the crank stands: what is seen of it, and where that is. */
export function CrankStands({ engine, start: { form, box } }: CrankStandsProps) {
  const { seen, seenAt, fromDeg } = form.watch();
  const said = seenOf(seen, seenAt);
  const query = useQuery({
    ...crankStands({ sheet: engine.sheet, seen: said ?? { what: "MARK" } }),
    enabled: said !== undefined,
  });
  const places = said ? (query.data ?? []) : [];
  const first = places[0]?.crankDeg;
  const known = places.some((p) => String(p.crankDeg) === fromDeg);
  useEffect(() => {
    if (!known) form.setValue("fromDeg", first === undefined ? "" : String(first));
  }, [known, first, form]);
  const valves = engine.layout.banks.flatMap((b) => b.valves);
  const what = box("seen");
  const here = box("seenAt");
  return (
    <fieldset className="grid gap-2 border-t border-hair pt-2" aria-label="Where the crank stands">
      <div className="grid grid-cols-[2fr_1fr] gap-3">
        <Select
          label="The crank stands"
          options={SEEN}
          {...what}
          onChange={(e) => {
            form.setValue("seenAt", "");
            return what.onChange(e);
          }}
        />
        {seen === "MARK" && (
          <Field label="Past number 1's TDC, °" inputMode="decimal" className="num text-xl" {...here} />
        )}
        {seen === "COMPRESSION_TDC" && (
          <Field label="Cylinder" inputMode="numeric" className="num text-xl" {...here} />
        )}
        {(seen === "FULL_LIFT" || seen === "JUST_OPENS" || seen === "ALMOST_CLOSED") && (
          <Select
            label="Which valve"
            options={[["", "choose"], ...valves.map((v) => [v, v] as const)]}
            {...here}
          />
        )}
      </div>
      {places.length > 1 && (
        <Choice
          label="Which of the two turns: what is seen there"
          value={known ? fromDeg : String(first)}
          onChange={(v) => form.setValue("fromDeg", v)}
          options={places.map((p) => [String(p.crankDeg), p.words.look] as const)}
        />
      )}
      {places.length === 1 && places[0] && <p className="text-muted">That is {places[0].words.balancer}.</p>}
      {said && query.data?.length === 0 && (
        <p className="font-semibold text-tight">✕ This engine has no such valve or cylinder.</p>
      )}
    </fieldset>
  );
}
