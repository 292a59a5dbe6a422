import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, untouched } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { figureText, figureUnit, type Kind, readFigure, WHATS, type What } from "./shelf";

interface PartFormProps {
  /** Missing for a new one. */
  kind?: Kind;
  onClose: () => void;
}

const LINE = z.object({ what: z.string(), wanted: z.string(), below: z.string(), above: z.string() });

/** A line of a measure: what is in its boxes can be read. */
const line = (unit: LashUnit) =>
  LINE.superRefine((typed, ctx) => {
    for (const at of ["wanted", "below", "above"] as const) {
      const text = typed[at].trim();
      if (typed.what !== "" && text !== "" && readFigure(typed.what as What, text, unit) === undefined) {
        ctx.addIssue({ code: "custom", path: [at], message: `"${text}" cannot be read` });
      }
    }
  });

const part = (unit: LashUnit) =>
  z.object({
    name: z.string(),
    place: z.string(),
    count: figure(),
    take: figure(),
    price: figure(),
    supplier: z.string(),
    leadDays: figure(),
    measures: z.array(line(unit)),
    note: z.string(),
  });

const BLANK = { what: "", wanted: "", below: "", above: "" };

/** A kind of part: where it lies, how many, who delivers it, and what decides that it fits. */
export function PartForm({ kind, onClose }: PartFormProps) {
  const { hand, unit } = useSettings();
  const [id] = useState(() => kind?.id ?? newId());
  const sheet = kind?.sheet;
  const counted = kind !== undefined && kind.sort !== "PART";
  const shown = (what: What, v: number) => figureText(what, v, unit);
  const known = sheet?.measures ?? [];
  const { box, form, submit, trouble } = useEntry({
    schema: part(unit),
    first: {
      name: sheet?.name ?? "",
      place: sheet?.place ?? "",
      count: boxText(sheet?.count ?? 0),
      take: boxText(sheet?.take ?? 0),
      price: boxText(sheet?.price),
      supplier: sheet?.supplier ?? "",
      leadDays: boxText(sheet?.leadDays),
      measures: [
        ...known.map((m) => ({
          what: m.what as string,
          wanted: shown(m.what, m.wanted),
          below: shown(m.what, m.below),
          above: shown(m.what, m.above),
        })),
        BLANK,
      ],
      note: sheet?.note ?? "",
    },
    fields: {
      name: "part.name",
      place: "part.place",
      count: "part.count",
      take: "part.take",
      price: "part.price",
      supplier: "part.supplier",
      leadDays: "part.leadDays",
      measures: "part.measures",
    },
    send: (read) => {
      const measures = read.measures.flatMap((typed, i) => measureOf(typed, known[i]));
      return answered(
        api.PUT("/api/stock/parts/{id}", {
          params: { path: { id } },
          body: {
            part: {
              name: read.name,
              engines: sheet?.engines ?? [],
              count: read.count ?? 0,
              take: read.take ?? 0,
              measures,
              ...(read.place !== "" && { place: read.place }),
              ...(read.price !== undefined && { price: read.price }),
              ...(read.supplier !== "" && { supplier: read.supplier }),
              ...(read.leadDays !== undefined && { leadDays: read.leadDays }),
              ...(read.note !== "" && { note: read.note }),
            },
            ...(kind?.version !== undefined && { basedOn: kind.version }),
            ...(hand !== "" && { hand }),
          },
        }),
      );
    },
    kept: async () => {
      await askedAnew();
      onClose();
    },
  });

  /** A line of measures; a blank one says nothing. */
  function measureOf(line: z.infer<typeof LINE>, was: Schemas["MeasureSheet"] | undefined) {
    if (line.what === "" || line.wanted.trim() === "") return [];
    const what = line.what as What;
    const read = (text: string, before: number | undefined) => {
      if (text.trim() === "") return 0;
      const same = was?.what === what ? before : undefined;
      const typed = untouched(
        same,
        (n) => shown(what, n),
        (t) => readFigure(what, t, unit),
      );
      return typed(text) ?? 0;
    };
    return [
      {
        what,
        wanted: read(line.wanted, was?.wanted),
        below: read(line.below, was?.below),
        above: read(line.above, was?.above),
      },
    ];
  }

  const lines = form.watch("measures");
  const whats = Object.entries(WHATS).map(([v, t]) => [v, t] as [string, string]);
  return (
    <Sheet open onClose={onClose} title={sheet?.name ?? "A new kind of part"}>
      <form className="grid gap-3" onSubmit={submit}>
        <Field label="Part" autoFocus readOnly={counted} {...box("name")} />
        <div className="grid grid-cols-3 gap-3">
          <Field label="Where it lies" {...box("place")} />
          {counted ? (
            <p className="self-end pb-2 text-sm text-muted">
              {kind.there} in stock, counted from those on record
            </p>
          ) : (
            <Field label="How many lie there" inputMode="numeric" className="num" {...box("count")} />
          )}
          <Field label="Always take along" inputMode="numeric" className="num" {...box("take")} />
          <Field label="Supplier" {...box("supplier")} />
          <Field label="Days it takes" inputMode="numeric" {...box("leadDays")} />
          <Field label="Price of one" inputMode="decimal" {...box("price")} />
        </div>
        <fieldset className="grid gap-2">
          <legend className="text-sm font-semibold text-muted">Measured when it comes</legend>
          {lines.map((typed, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: lines have no other name and never move
            <div key={i} className="grid grid-cols-[2fr_1fr_1fr_1fr] gap-2">
              <Select label="What" options={[["", "–"], ...whats]} {...box(`measures.${i}.what`)} />
              <Field
                label={`Wanted${typed.what === "" ? "" : `, ${figureUnit(typed.what as What, unit)}`}`}
                inputMode="decimal"
                {...box(`measures.${i}.wanted`)}
              />
              <Field label="less by" inputMode="decimal" {...box(`measures.${i}.below`)} />
              <Field label="more by" inputMode="decimal" {...box(`measures.${i}.above`)} />
            </div>
          ))}
          {lines.length < whats.length && (
            <Button look="quiet" onClick={() => form.setValue("measures", [...lines, BLANK])}>
              One measure more
            </Button>
          )}
        </fieldset>
        <Field label="Note" {...box("note")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep this kind
        </Button>
      </form>
    </Sheet>
  );
}
