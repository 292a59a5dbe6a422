import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas, wordsOf } from "../../api/client";
import { newId } from "../../api/ids";
import { springStock } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit, readHeight, readNumber } from "../../units/load";
import { worstFirst } from "../fatigue/springFaces";

interface FittingPartProps {
  engineId: string;
  known: Schemas["EngineSprings"];
}

/** One valve's spring exchanged, or what stands in its pocket measured anew. */
export function FittingPart({ engineId, known }: FittingPartProps) {
  const { unit, hand, setHand } = useSettings();
  const queries = useQueryClient();
  const stock = useQuery(springStock()).data ?? [];
  const [valve, setValve] = useState(worstFirst(known.springs)[0]?.position ?? "");
  const here = known.springs.find((s) => s.position === valve);
  const [hours, setHours] = useState(String(Math.round(known.engineHours * 100) / 100));
  const [height, setHeight] = useState<string>();
  const [into, setInto] = useState("");
  const [scrap, setScrap] = useState(true);
  const [why, setWhy] = useState("");
  const inUse = new Set(known.springs.map((s) => s.springId));
  const spares = stock.filter(
    (s) => !s.spring.scrapped && !inUse.has(s.id) && s.spring.typeId === here?.typeId,
  );
  const exchange = useMutation({
    mutationFn: async () => {
      if (!here) return;
      const at = readNumber(hours) ?? Number.NaN;
      await answered(
        api.PUT("/api/fittings/{id}/exchange", {
          params: { path: { id: newId() } },
          body: {
            out: here.fittingId,
            removal: { toHours: at, scrapped: scrap, hand, why: why || undefined },
            in: {
              springId: into,
              engineId,
              valve,
              fromHours: at,
              heightIn: readHeight(height ?? "", unit) ?? here.heightIn,
              hand,
              why: why || undefined,
            },
          },
        }),
      );
    },
    onSuccess: () => queries.invalidateQueries(),
  });
  const problem = exchange.error instanceof ApiProblem ? exchange.error : undefined;
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Exchange a spring"
      onSubmit={(e) => {
        e.preventDefault();
        exchange.mutate();
      }}
    >
      <h2 className="text-xl">Exchange a spring</h2>
      <div className="grid grid-cols-2 gap-3">
        <Select
          label="Valve"
          value={valve}
          onChange={(e) => {
            setValve(e.target.value);
            setHeight(undefined);
          }}
          options={known.springs.map((s) => [s.position, `${s.position}, ${s.mark}`] as const)}
        />
        <Select
          label="Spring that goes in"
          value={into}
          onChange={(e) => setInto(e.target.value)}
          options={[["", "choose a spare"], ...spares.map((s) => [s.id, s.spring.mark] as const)]}
        />
        <Field
          label="At engine hours"
          value={hours}
          inputMode="decimal"
          onChange={(e) => setHours(e.target.value)}
        />
        <Field
          label={`Height measured, ${heightUnit(unit)}`}
          value={height ?? heightText(here?.heightIn, unit)}
          inputMode="decimal"
          onChange={(e) => setHeight(e.target.value)}
        />
        <Field label="Why" value={why} onChange={(e) => setWhy(e.target.value)} />
        <Initials
          value={hand}
          onChange={setHand}
          error={problem?.errors.find((e) => e.field === "hand")?.message}
        />
      </div>
      <Check label="The old one is scrap" checked={scrap} onChange={(e) => setScrap(e.target.checked)} />
      {spares.length === 0 && (
        <Notice tone="know">
          There is no spare spring of this type. Write one down first: it needs its mark.
        </Notice>
      )}
      {here && <NewSpare typeId={here.typeId} />}
      {problem && <Notice tone="stop">{wordsOf(problem)}</Notice>}
      {exchange.isSuccess && <Notice tone="know">Exchanged. The old one keeps its history.</Notice>}
      <Button type="submit" disabled={into === ""}>
        Exchange
      </Button>
    </form>
  );
}

function NewSpare({ typeId }: { typeId: string }) {
  const queries = useQueryClient();
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
    onSuccess: () => {
      setMark("");
      return queries.invalidateQueries({ queryKey: springStock().queryKey });
    },
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
