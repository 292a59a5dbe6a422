import { Link } from "@tanstack/react-router";
import { ListChecks, Plus } from "lucide-react";
import { type ReactNode, useState } from "react";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { day } from "../../words/days";
import { DueTable } from "./DueTable";
import { OrderForm } from "./OrderForm";
import { PartForm } from "./PartForm";
import { ShelfTable } from "./ShelfTable";
import {
  byWay,
  type Due,
  type Kind,
  type Order,
  orderWords,
  type Stock,
  toOrder,
  wayWords,
  wrongWords,
} from "./shelf";
import { useStock } from "./useStock";

type Open = { order: Order | "new"; due?: Due } | { kind: Kind | "new" } | null;

/** The parts room: what is ordered today, what is on its way, what falls due, what lies where. */
export function PartsPage() {
  const { stock, error } = useStock();
  const [open, setOpen] = useState<Open>(null);
  if (!stock) return error ? <Problem error={error} /> : <Waiting />;
  const close = () => setOpen(null);
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-2xl">Parts</h1>
          <p className="text-muted">{headWords(stock)}</p>
        </div>
        <Link to="/parts/heads" className={buttonClass("quiet")}>
          Heads
        </Link>
        <Link to="/parts/lists" className={buttonClass("quiet")}>
          <ListChecks aria-hidden className="size-5" /> Packing and order list
        </Link>
        <Button onClick={() => setOpen({ kind: "new" })}>
          <Plus aria-hidden className="size-5" /> A kind
        </Button>
        <Button look="now" onClick={() => setOpen({ order: "new" })}>
          <Plus aria-hidden className="size-5" /> A part is wanted
        </Button>
      </div>
      <Ways stock={stock} onOrder={(order) => setOpen({ order })} />
      <div className="grid items-start gap-3 min-[1100px]:grid-cols-2">
        <DueTable stock={stock} onOrder={(due) => setOpen({ order: "new", due })} />
        <ShelfTable stock={stock} onKind={(kind) => setOpen({ kind })} />
      </div>
      {open && "order" in open && (
        <OrderForm
          order={open.order === "new" ? undefined : open.order}
          start={
            open.due && { kindId: open.due.kindId, engineId: open.due.engineId, count: open.due.lacking }
          }
          onClose={close}
        />
      )}
      {open && "kind" in open && (
        <PartForm kind={open.kind === "new" ? undefined : open.kind} onClose={close} />
      )}
    </div>
  );
}

function headWords(stock: Stock): string {
  const lacking = new Set([
    ...stock.kinds.filter((k) => k.missing > 0).map((k) => k.id),
    ...toOrder(stock).map((d) => d.kindId),
  ]).size;
  const next = stock.eventOn ? `; next is ${stock.event}, ${day(stock.eventOn)}` : "";
  if (lacking === 0) return `nothing is missing${next}`;
  return `${lacking === 1 ? "one kind is" : `${lacking} kinds are`} short${next}`;
}

interface WaysProps {
  stock: Stock;
  onOrder: (o: Order) => void;
}

/** Orders by what is to be done about them. */
function Ways({ stock, onOrder }: WaysProps) {
  const { unit } = useSettings();
  const { toOrder: order, coming, toMeasure } = byWay(stock.orders);
  const lines = (orders: typeof stock.orders): ReactNode =>
    orders.map((o) => (
      <li key={o.id}>
        <button
          type="button"
          className="flex min-h-11 w-full flex-col justify-center border-t border-hair py-1 text-left hover:bg-raised"
          onClick={() => onOrder(o)}
        >
          <span className="font-semibold">
            {orderWords(o)} <span className="font-normal text-muted">{o.engine}</span>
          </span>
          <span className="text-sm text-muted">
            {o.order.supplier && `${o.order.supplier}: `}
            {o.order.state === "REFUSED" && wrongWords(o.arrival, unit) !== ""
              ? `went back: ${wrongWords(o.arrival, unit)}; order it anew`
              : wayWords(o)}
          </span>
        </button>
      </li>
    ));
  const columns = [
    ["Order today", order, "nothing is waiting to be ordered"],
    ["On its way", coming, "nothing is on its way"],
    ["Measure before it goes on", toMeasure, "nothing has come"],
  ] as const;
  return (
    <div className="grid items-start gap-3 min-[900px]:grid-cols-3">
      {columns.map(([title, orders, none]) => (
        <section key={title} className="scribed rounded p-3" aria-label={title}>
          <h2 className="text-lg">
            {title} {orders.length > 0 && <span className="num text-accent">{orders.length}</span>}
          </h2>
          {orders.length > 0 ? <ul>{lines(orders)}</ul> : <p className="text-muted">{none}</p>}
        </section>
      ))}
    </div>
  );
}
