import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { Printer } from "lucide-react";
import type { Schemas } from "../../api/client";
import { headBook } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { figureOf } from "../../units/figures";
import { inUnit } from "../../units/measures";

type Book = Schemas["BookView"];
type Line = Schemas["BookLine"];

/** The assembly book on paper: one page a head. */
export function BookPage() {
  const { id } = useParams({ from: "/heads/$id/book" });
  const query = useQuery(headBook(id));
  if (!query.data) return query.error ? <Problem error={query.error} /> : <Waiting />;
  const book = query.data;
  return (
    <div className="mx-auto grid w-full max-w-5xl gap-4 p-3">
      <div className="no-print flex flex-wrap items-center gap-2">
        <Link to="/heads/$id" params={{ id }} className={buttonClass("quiet")}>
          Back to the heads
        </Link>
        <span className="flex-1" />
        <Button look="now" onClick={() => window.print()}>
          <Printer aria-hidden className="size-5" /> Print
        </Button>
      </div>
      {book.sides.length === 0 && <p className="text-muted">Nothing was assembled yet: the book is empty.</p>}
      {book.sides.map((side, i) => (
        <Side key={side.name} book={book} side={side} first={i === 0} />
      ))}
    </div>
  );
}

interface SideProps {
  book: Book;
  side: Book["sides"][number];
  first: boolean;
}

function Side({ book, side, first }: SideProps) {
  const { unit } = useSettings();
  const rows = new Map<string, { title: string; limits: Set<string> }>();
  for (const v of side.valves) {
    for (const l of v.lines.filter((x) => !HANDLING.test(x.step))) {
      const key = lineKey(l, v.valve);
      const row = rows.get(key) ?? { title: bare(l, v.valve), limits: new Set() };
      row.limits.add(l.limit ?? "");
      rows.set(key, row);
    }
  }
  const whole = book.whole.filter((l) => l.step.startsWith("tick:"));
  return (
    <section className="print-page grid gap-2" aria-label={`${book.head}, ${side.name}`}>
      <h1 className="text-xl">
        {book.head}, {side.name}: assembly book
      </h1>
      <p className="text-sm text-muted">
        {book.signedBy
          ? `signed by ${book.signedBy}, ${new Date(book.signedAt ?? "").toLocaleString()}`
          : "not signed yet"}
      </p>
      {first && (
        <ul className="grid gap-x-6 text-sm min-[700px]:grid-cols-2">
          {whole.map((l) => (
            <li key={l.step} className="flex gap-2 border-t border-hair">
              <span aria-hidden>{l.hand ? "☑" : "☐"}</span>
              <span className="flex-1">{l.title}</span>
              <span className="font-bold">{l.hand}</span>
            </li>
          ))}
        </ul>
      )}
      <div className="overflow-x-auto">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b border-line text-left">
              <th className="pr-2">Line</th>
              <th className="pr-2">Limit</th>
              {side.valves.map((v) => (
                <th key={v.valve} className="px-1 text-right">
                  {v.valve}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {[...rows].map(([key, { title, limits }]) => (
              <tr key={key} className="border-b border-hair align-top">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {title}
                </th>
                <td className="num py-1 pr-2 text-muted">
                  {limits.size === 1 ? inUnit([...limits].join(""), unit) : "each its own"}
                </td>
                {side.valves.map((v) => (
                  <td key={v.valve} className="px-1 py-1 text-right">
                    <Cell line={v.lines.find((l) => lineKey(l, v.valve) === key)} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** The same line of another valve has the same key. */
const lineKey = (l: Line, valve: string) => l.step.replace(valve, "");

/** The line without its valve and without what only this valve gets. */
const bare = (l: Line, valve: string) =>
  l.title
    .replace(`${valve}: `, "")
    .replace(` ${valve}`, "")
    .replace(/^load of .* at full/, "load at full")
    .replace(/^seal .*, pressed/, "seal pressed")
    .replace(/^retainer .* go together/, "retainer and locks go together")
    .replace(/^shims under the spring.*/, "shims under the spring");

/** Steps of the hand that leave no finding behind. */
const HANDLING = /:(COMPRESS|CLOSE)$/;

function Cell({ line }: { line?: Line }) {
  const { unit } = useSettings();
  if (!line?.hand) return <span className="text-muted">–</span>;
  const words = line.within === undefined && line.words && !/^(GAP|null)$/.test(line.words) ? line.words : "";
  const text =
    line.within && line.figure !== undefined
      ? figureOf(line.figure, line.within.unit, unit)
      : words || (line.step.endsWith("STACK") && line.figure !== undefined ? String(line.figure) : "✓");
  return (
    <span className={line.out ? "font-bold text-wide" : ""} title={line.limit && inUnit(line.limit, unit)}>
      <span className="num">
        {line.out && "? "}
        {text}
      </span>
      <span className="block text-xs text-muted">{line.hand}</span>
      {line.out && line.words && <span className="block text-xs">{line.words}</span>}
    </span>
  );
}
