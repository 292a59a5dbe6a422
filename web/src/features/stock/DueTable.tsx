import { Link } from "@tanstack/react-router";
import { Button } from "../../ui/Button";
import { day } from "../../words/days";
import { type Due, orderByWords, type Stock } from "./shelf";

interface DueTableProps {
  stock: Stock;
  onOrder: (d: Due) => void;
}

const NAMED = 6;

const valves = (d: Due) =>
  d.positions.slice(0, NAMED).join(" ") +
  (d.positions.length > NAMED ? ` and ${d.positions.length - NAMED} more` : "");

/** Every part whose hours end before a coming event: which, before which, order by when. */
export function DueTable({ stock, onOrder }: DueTableProps) {
  return (
    <section className="scribed rounded p-3" aria-label="Falls due">
      <h2 className="text-lg">Falls due</h2>
      {stock.due.length === 0 ? (
        <p className="text-muted">nothing known falls due before a planned event</p>
      ) : (
        <ul>
          {stock.due.map((d) => {
            const kind = stock.kinds.find((k) => k.id === d.kindId);
            const { lacking } = d;
            const urgent = d.expected && lacking > 0 && (d.order === "TOO_LATE" || d.order === "TODAY");
            return (
              <li
                key={`${d.engineId} ${d.kindId} ${d.event} ${d.expected}`}
                className="flex flex-wrap items-center gap-x-3 border-t border-hair py-1"
              >
                <div className="min-w-60 flex-1">
                  <p>
                    <span className="font-semibold">{kind?.sheet.name}</span>{" "}
                    <span className="num">{valves(d)}</span>{" "}
                    <Link to="/engines/$id" params={{ id: d.engineId }} className="text-muted">
                      {d.engine}
                    </Link>
                  </p>
                  <p className="text-sm text-muted">
                    {d.expected ? "change before" : "may be due before"} {d.event}
                    {d.date && `, ${day(d.date)}`}
                  </p>
                </div>
                <p className={`text-sm ${urgent ? "font-semibold text-tight" : "text-muted"}`}>
                  {urgent && "✕ "}
                  {lacking === 0
                    ? kind && kind.there >= d.positions.length
                      ? "✓ in stock"
                      : "✓ there or on its way"
                    : orderByWords(d)}
                </p>
                {lacking > 0 && (
                  <Button onClick={() => onOrder(d)} look={urgent ? "now" : "plain"}>
                    Order {lacking}
                  </Button>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
