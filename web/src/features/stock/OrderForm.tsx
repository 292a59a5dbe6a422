import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api } from "../../api/client";
import { newId } from "../../api/ids";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, needed } from "../../units/boxes";
import {
  allowed,
  figureText,
  figureUnit,
  type Order,
  orderWords,
  readFigure,
  WHATS,
  type What,
} from "./shelf";
import { useStock } from "./useStock";

/** Something that waits for a part: a task, on an engine or on none. */
export interface WaitingTask {
  id: string;
  text: string;
  engineId?: string;
}

interface OrderFormProps {
  /** Missing for a new one. */
  order?: Order;
  /** What a new one begins with. */
  start?: { kindId?: string; count?: number; engineId?: string; taskId?: string };
  tasks?: readonly WaitingTask[];
  onClose: () => void;
}

const STATES = [
  ["WANTED", "wanted"],
  ["ORDERED", "ordered"],
  ["ARRIVED", "arrived"],
  ["MEASURED", "measured, good"],
  ["REFUSED", "measured, goes back"],
] as const;

const ORDER = z.object({
  part: z.string(),
  count: needed("how many"),
  kindId: z.string(),
  taskId: z.string(),
  supplier: z.string(),
  leadDays: figure(),
  price: figure(),
  state: z.enum(["WANTED", "ORDERED", "ARRIVED", "MEASURED", "REFUSED"]),
  dueOn: z.string(),
  measured: z.record(z.string(), z.string()),
  found: z.string(),
});

const FOUND_STATES = ["MEASURED", "REFUSED"];

/** A part that is wanted, from the order to the bench. */
export function OrderForm({ order, start, tasks = [], onClose }: OrderFormProps) {
  const { stock } = useStock();
  const { hand, unit } = useSettings();
  const [id] = useState(() => order?.id ?? newId());
  const was = order?.order;
  const kindOf = (kindId: string) => stock?.kinds.find((k) => k.id === kindId);
  const begins = kindOf(was?.kindId ?? start?.kindId ?? "");
  const { box, choice, form, refused, submit, trouble } = useEntry({
    schema: ORDER,
    first: {
      part: was?.part ?? begins?.sheet.name ?? "",
      count: boxText(was?.count ?? start?.count ?? 1),
      kindId: was?.kindId ?? start?.kindId ?? "",
      taskId: was?.taskId ?? start?.taskId ?? "",
      supplier: was?.supplier ?? begins?.sheet.supplier ?? "",
      leadDays: boxText(was?.leadDays ?? begins?.sheet.leadDays),
      price: boxText(was?.price ?? begins?.sheet.price),
      state: was?.state ?? "WANTED",
      dueOn: was?.dueOn ?? "",
      measured: Object.fromEntries(
        (was?.measured ?? []).map((m) => [m.what, figureText(m.what, m.figure, unit)]),
      ),
      found: was?.found ?? "",
    },
    fields: {
      part: "order.part",
      count: "order.count",
      supplier: "order.supplier",
      leadDays: "order.leadDays",
      price: "order.price",
      dueOn: "order.dueOn",
      found: "order.found",
    },
    elsewhere: ["order.measured"],
    send: (read) => {
      const today = stock?.today ?? new Date().toISOString().slice(0, 10);
      const ordered = read.state === "WANTED" ? undefined : (was?.orderedOn ?? today);
      const here = read.state === "ARRIVED" || read.state === "MEASURED";
      const engineId = tasks.find((t) => t.id === read.taskId)?.engineId ?? was?.engineId ?? start?.engineId;
      const measured = FOUND_STATES.includes(read.state)
        ? (kindOf(read.kindId)?.sheet.measures ?? []).flatMap((m) => {
            const figure = readFigure(m.what, read.measured[m.what] ?? "", unit);
            return figure === undefined ? [] : [{ what: m.what, figure }];
          })
        : (was?.measured ?? []);
      return answered(
        api.PUT("/api/stock/orders/{id}", {
          params: { path: { id } },
          body: {
            order: {
              part: read.part,
              count: read.count,
              state: read.state,
              measured,
              ...(read.kindId !== "" && { kindId: read.kindId }),
              ...(read.taskId !== "" && { taskId: read.taskId }),
              ...(was?.jobId && { jobId: was.jobId }),
              ...(engineId && { engineId }),
              ...(read.supplier !== "" && { supplier: read.supplier }),
              ...(read.leadDays !== undefined && { leadDays: read.leadDays }),
              ...(read.price !== undefined && { price: read.price }),
              ...(ordered && { orderedOn: ordered }),
              ...(read.dueOn !== "" && read.state !== "REFUSED" && { dueOn: read.dueOn }),
              ...(here && { arrivedOn: was?.arrivedOn ?? today }),
              ...(read.found !== "" && { found: read.found }),
            },
            ...(order && { basedOn: order.version }),
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
  const state = choice("state");
  const kind = kindOf(form.watch("kindId"));
  const kinds = (stock?.kinds ?? []).map((k) => [k.id, k.sheet.name] as [string, string]);
  const choose = (kindId: string) => {
    const taken = kindOf(kindId)?.sheet;
    if (taken && form.getValues("part").trim() === "") form.setValue("part", taken.name);
    if (taken?.supplier) form.setValue("supplier", taken.supplier);
    if (taken?.leadDays !== undefined) form.setValue("leadDays", boxText(taken.leadDays));
    if (taken?.price !== undefined) form.setValue("price", boxText(taken.price));
  };
  const wrong = (what: What) => refused.find((e) => e.field === `order.measured.${what}`)?.message;
  return (
    <Sheet open onClose={onClose} title={order ? orderWords(order) : "A part is wanted"}>
      <form className="grid gap-3" onSubmit={submit}>
        <div className="grid grid-cols-[1fr_6rem] gap-3">
          <Field label="Part, with what decides that it fits" autoFocus {...box("part")} />
          <Field label="How many" inputMode="numeric" {...box("count")} />
        </div>
        <Select
          label="One of these kinds"
          options={[["", "none of them"], ...kinds]}
          {...form.register("kindId", { onChange: (e) => choose(e.target.value) })}
        />
        {tasks.length > 0 && (
          <Select
            label="This waits for it"
            options={[["", "nothing"], ...tasks.map((t) => [t.id, t.text] as [string, string])]}
            {...box("taskId")}
          />
        )}
        <Choice label="It is" options={STATES} {...state} />
        <div className="grid grid-cols-3 gap-3">
          <Field label="Supplier" {...box("supplier")} />
          <Field label="Days it takes" inputMode="numeric" {...box("leadDays")} />
          <Field label="Price of one" inputMode="decimal" {...box("price")} />
        </div>
        {state.value === "ORDERED" && <Field label="Day the supplier named" type="date" {...box("dueOn")} />}
        {FOUND_STATES.includes(state.value) && (
          <>
            {(kind?.sheet.measures ?? []).map((m) => (
              <Field
                key={m.what}
                label={`Its ${WHATS[m.what]}, ${figureUnit(m.what, unit)}`}
                hint={`wanted ${allowed(m, unit)}`}
                inputMode="decimal"
                className="num text-2xl"
                {...box(`measured.${m.what}`)}
                error={wrong(m.what)}
              />
            ))}
            <Field
              label={state.value === "REFUSED" ? "What else is wrong with it" : "What else was found"}
              {...box("found")}
            />
          </>
        )}
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep this part
        </Button>
      </form>
    </Sheet>
  );
}
