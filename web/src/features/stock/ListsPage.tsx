import { Link } from "@tanstack/react-router";
import { Download, Printer } from "lucide-react";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { day } from "../../words/days";
import { bySupplier, type Stock, wayWords } from "./shelf";
import { useStock } from "./useStock";

/** What goes along, and what is to be ordered, for paper and as tables. */
export function ListsPage() {
  const { stock, error } = useStock();
  if (!stock) return error ? <Problem error={error} /> : <Waiting />;
  return (
    <div className="mx-auto grid w-full max-w-4xl gap-4 p-3">
      <div className="no-print flex flex-wrap items-center gap-2">
        <Link to="/parts" className={buttonClass("quiet")}>
          Back to the parts
        </Link>
        <span className="flex-1" />
        <a href="/api/stock/packing-list.csv" className={buttonClass()} download>
          <Download aria-hidden className="size-5" /> Packing list, CSV
        </a>
        <a href="/api/stock/order-list.csv" className={buttonClass()} download>
          <Download aria-hidden className="size-5" /> Order list, CSV
        </a>
        <Button look="now" onClick={() => window.print()}>
          <Printer aria-hidden className="size-5" /> Print
        </Button>
      </div>
      <Packing stock={stock} />
      <Ordering stock={stock} />
    </div>
  );
}

/** Place by place; what has none comes last. */
const byPlace = (a: string | undefined, b: string | undefined) =>
  a === undefined ? 1 : b === undefined ? -1 : a.localeCompare(b);

function Packing({ stock }: { stock: Stock }) {
  const kinds = stock.kinds.filter((k) => k.wanted > 0).sort((a, b) => byPlace(a.sheet.place, b.sheet.place));
  return (
    <section aria-label="To take along">
      <h1 className="text-xl">
        To take along{stock.eventOn ? `: ${stock.event}, ${day(stock.eventOn)}` : ""}
      </h1>
      {kinds.length === 0 ? (
        <p className="text-muted">
          no kind is to be taken: give one a number under “Always take along”, or plan an event
        </p>
      ) : (
        <table className="w-full">
          <thead>
            <tr className="border-b border-line text-left text-sm">
              <th className="w-8" aria-label="packed" />
              <th>Part</th>
              <th>Where it lies</th>
              <th className="text-right">Take</th>
              <th className="text-right">There</th>
            </tr>
          </thead>
          <tbody>
            {kinds.map((k) => (
              <tr key={k.id} className="border-b border-hair">
                <td className="text-xl">☐</td>
                <td className="py-2">
                  {k.sheet.name}{" "}
                  <span className="text-sm text-muted">
                    {k.singles
                      .slice(0, k.wanted)
                      .map((s) => s.mark)
                      .join(" ")}
                  </span>
                </td>
                <td>{k.sheet.place ?? "–"}</td>
                <td className="num text-right text-xl">{k.wanted}</td>
                <td className={`num text-right text-xl ${k.there < k.wanted ? "font-bold text-tight" : ""}`}>
                  {k.there < k.wanted && "✕ "}
                  {k.there}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Ordering({ stock }: { stock: Stock }) {
  const suppliers = bySupplier(stock.orders);
  return (
    <section aria-label="To order">
      <h1 className="text-xl">To order, {day(stock.today)}</h1>
      {suppliers.length === 0 && <p className="text-muted">nothing is waiting to be ordered</p>}
      {suppliers.map(([supplier, orders]) => (
        <div key={supplier} className="mt-2">
          <h2 className="text-lg">{supplier === "" ? "No supplier yet" : supplier}</h2>
          <table className="w-full">
            <tbody>
              {orders.map((o) => (
                <tr key={o.id} className="border-t border-hair">
                  <td className="num w-16 py-2 text-right text-xl">{o.order.count}</td>
                  <td className="px-3">{o.order.part}</td>
                  <td className="text-sm text-muted">{wayWords(o)}</td>
                  <td className="num w-28 text-right">
                    {o.order.price === undefined ? "" : (o.order.price * o.order.count).toFixed(2)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ))}
    </section>
  );
}
