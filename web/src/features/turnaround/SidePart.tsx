import type { ReactNode } from "react";
import {
  byWay,
  type Due,
  toOrder as dueToOrder,
  type Order,
  orderByWords,
  orderWords,
  wayWords,
} from "../stock/shelf";
import { useStock } from "../stock/useStock";
import { type Task, type Turnaround, waits } from "./board";
import { engineName } from "./TaskCard";
import { at, LEFT, taskWords } from "./words";

interface SidePartProps {
  turnaround: Turnaround;
  onTask: (t: Task) => void;
  onOrder: (o: Order) => void;
  onDue: (d: Due) => void;
}

interface ListProps {
  title: string;
  children: ReactNode;
}

function List({ title, children }: ListProps) {
  return (
    <section className="scribed rounded p-3" aria-label={title}>
      <h2 className="text-lg">{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}

const LINE =
  "flex min-h-11 w-full flex-col justify-center border-t border-hair py-1 text-left hover:bg-raised";

/** What nobody works at: what is ordered today, what is waited for, what is left for after. */
export function SidePart({ turnaround, onTask, onOrder, onDue }: SidePartProps) {
  const { toOrder, coming, toMeasure } = byWay(turnaround.orders);
  const { stock } = useStock();
  const due = stock ? dueToOrder(stock).filter((d) => d.order !== "LATER") : [];
  const waiting = waits(turnaround);
  const left = turnaround.plan?.left ?? [];
  const order = (o: Order) => (
    <li key={o.id}>
      <button type="button" className={LINE} onClick={() => onOrder(o)}>
        <span className="font-semibold">{orderWords(o)}</span>
        <span className={`text-sm ${o.tooLate ? "font-semibold text-tight" : "text-muted"}`}>
          {o.tooLate && "✕ "}
          {o.order.supplier && `${o.order.supplier}: `}
          {wayWords(o)}
        </span>
      </button>
    </li>
  );
  return (
    <div className="grid content-start gap-3">
      {toMeasure.length > 0 && <List title="Measure before it goes on">{toMeasure.map(order)}</List>}
      {toOrder.length + due.length > 0 && (
        <List title="Order today">
          {toOrder.map(order)}
          {due.map((d) => {
            const kind = stock?.kinds.find((k) => k.id === d.kindId);
            return (
              <li key={`${d.engineId} ${d.kindId} ${d.event}`}>
                <button type="button" className={LINE} onClick={() => onDue(d)}>
                  <span className="font-semibold">
                    {d.lacking > 1 && `${d.lacking} × `}
                    {kind?.sheet.name}{" "}
                    <span className="font-normal text-muted">
                      {d.positions.join(" ")}, {d.engine}
                    </span>
                  </span>
                  <span
                    className={`text-sm ${d.order === "TOO_LATE" ? "font-semibold text-tight" : "text-muted"}`}
                  >
                    {d.order === "TOO_LATE" && "✕ "}
                    due before {d.event}: {orderByWords(d)}
                  </span>
                </button>
              </li>
            );
          })}
        </List>
      )}
      {(coming.length > 0 || waiting.length > 0) && (
        <List title="Waiting for">
          {coming.map(order)}
          {waiting.map((w) => (
            <li key={w.after.id + w.task.id} className="border-t border-hair py-2">
              <span className="font-semibold">{taskWords(w.task)}</span>{" "}
              <span className="text-muted">
                until <span className="num text-lg">{at(w.to, turnaround.now)}</span>, after{" "}
                {taskWords(w.after).toLowerCase()}
              </span>
            </li>
          ))}
        </List>
      )}
      {left.length > 0 && (
        <List title="Not in the plan">
          {left.map((l) => {
            const task = turnaround.tasks.find((t) => t.id === l.id);
            return (
              task && (
                <li key={l.id}>
                  <button type="button" className={LINE} onClick={() => onTask(task)}>
                    <span className="font-semibold">
                      {task.weight === "MUST" && <span className="text-tight">✕ </span>}
                      {taskWords(task)}{" "}
                      <span className="font-normal text-muted">{engineName(turnaround, task.engineId)}</span>
                    </span>
                    <span className="text-sm text-muted">{LEFT[l.why]}</span>
                  </button>
                </li>
              )
            );
          })}
        </List>
      )}
    </div>
  );
}
