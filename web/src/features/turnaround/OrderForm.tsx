import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { z } from "zod";
import { answered, api } from "../../api/client";
import { newId } from "../../api/ids";
import { turnaround as turnaroundQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, needed } from "../../units/boxes";
import type { Order, Turnaround } from "./board";
import { engineName } from "./TaskCard";
import { orderWords, taskWords } from "./words";

interface OrderFormProps {
  turnaround: Turnaround;
  /** Missing for a new one. */
  order?: Order;
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
  taskId: z.string(),
  supplier: z.string(),
  leadDays: figure(),
  price: figure(),
  state: z.enum(["WANTED", "ORDERED", "ARRIVED", "MEASURED", "REFUSED"]),
  dueOn: z.string(),
  found: z.string(),
});

/** A part that is wanted, from the order to the bench. */
export function OrderForm({ turnaround, order, onClose }: OrderFormProps) {
  const queries = useQueryClient();
  const { hand } = useSettings();
  const [id] = useState(() => order?.id ?? newId());
  const today = turnaround.now.slice(0, 10);
  const { box, choice, submit, trouble } = useEntry({
    schema: ORDER,
    first: {
      part: order?.order.part ?? "",
      count: boxText(order?.order.count ?? 1),
      taskId: order?.order.taskId ?? "",
      supplier: order?.order.supplier ?? "",
      leadDays: boxText(order?.order.leadDays),
      price: boxText(order?.order.price),
      state: order?.order.state ?? "WANTED",
      dueOn: order?.order.dueOn ?? "",
      found: order?.order.found ?? "",
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
    send: (read) => {
      const ordered = read.state === "WANTED" ? undefined : (order?.order.orderedOn ?? today);
      const here = read.state === "ARRIVED" || read.state === "MEASURED";
      const task = turnaround.tasks.find((t) => t.id === read.taskId);
      return answered(
        api.PUT("/api/turnaround/orders/{id}", {
          params: { path: { id } },
          body: {
            order: {
              part: read.part,
              count: read.count,
              state: read.state,
              ...(read.taskId !== "" && { taskId: read.taskId }),
              ...(task?.engineId && { engineId: task.engineId }),
              ...(read.supplier !== "" && { supplier: read.supplier }),
              ...(read.leadDays !== undefined && { leadDays: read.leadDays }),
              ...(read.price !== undefined && { price: read.price }),
              ...(ordered && { orderedOn: ordered }),
              ...(read.dueOn !== "" && read.state !== "REFUSED" && { dueOn: read.dueOn }),
              ...(here && { arrivedOn: order?.order.arrivedOn ?? today }),
              ...(read.found !== "" && { found: read.found }),
            },
            ...(order && { basedOn: order.version }),
            ...(hand !== "" && { hand }),
          },
        }),
      );
    },
    kept: () => {
      void queries.invalidateQueries({ queryKey: turnaroundQuery().queryKey });
      onClose();
    },
  });
  const state = choice("state");
  const tasks = turnaround.tasks
    .filter((t) => t.sheet.doneAt === undefined)
    .map((t) => [t.id, `${taskWords(t)} ${engineName(turnaround, t.engineId)}`] as [string, string]);
  return (
    <Sheet open onClose={onClose} title={order ? orderWords(order) : "A part is wanted"}>
      <form className="grid gap-3" onSubmit={submit}>
        <div className="grid grid-cols-[1fr_6rem] gap-3">
          <Field label="Part, with what decides that it fits" autoFocus {...box("part")} />
          <Field label="How many" inputMode="numeric" {...box("count")} />
        </div>
        <Select label="This waits for it" options={[["", "nothing"], ...tasks]} {...box("taskId")} />
        <Choice label="It is" options={STATES} {...state} />
        <div className="grid grid-cols-3 gap-3">
          <Field label="Supplier" {...box("supplier")} />
          <Field label="Days it takes" inputMode="numeric" {...box("leadDays")} />
          <Field label="Price of one" inputMode="decimal" {...box("price")} />
        </div>
        {state.value === "ORDERED" && <Field label="Day the supplier named" type="date" {...box("dueOn")} />}
        {(state.value === "MEASURED" || state.value === "REFUSED") && (
          <Field
            label={state.value === "REFUSED" ? "What is wrong with it" : "What was measured"}
            {...box("found")}
          />
        )}
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep this part
        </Button>
      </form>
    </Sheet>
  );
}
