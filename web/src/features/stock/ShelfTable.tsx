import type { Kind, Stock } from "./shelf";

interface ShelfTableProps {
  stock: Stock;
  onKind: (k: Kind) => void;
}

const SORTS: Record<Kind["sort"], string> = {
  PART: "by hand",
  SPRINGS: "springs on record",
  LIFTERS: "lifters on record",
};

/** What lies where, how many, and how many are to go along. */
export function ShelfTable({ stock, onKind }: ShelfTableProps) {
  return (
    <section className="scribed rounded p-3" aria-label="On the shelf">
      <h2 className="text-lg">On the shelf</h2>
      {stock.kinds.length === 0 ? (
        <p className="text-muted">
          nothing yet: springs and lifters come by themselves when they are on record, all else is a kind of
          its own
        </p>
      ) : (
        <table className="w-full">
          <thead>
            <tr className="text-left text-sm text-muted">
              <th className="font-semibold">Part</th>
              <th className="w-20 text-right font-semibold">there</th>
              <th className="w-20 text-right font-semibold">coming</th>
              <th className="w-20 text-right font-semibold">to take</th>
            </tr>
          </thead>
          <tbody>
            {stock.kinds.map((k) => (
              <tr key={k.id} className="border-t border-hair align-middle hover:bg-raised">
                <td>
                  <button type="button" className="min-h-11 w-full text-left" onClick={() => onKind(k)}>
                    <span className="font-semibold">{k.sheet.name}</span>{" "}
                    <span className="block text-sm text-muted">{whereWords(k)}</span>
                  </button>
                </td>
                <td className="num text-right text-xl">{k.there}</td>
                <td className="num text-right text-xl">{k.coming || ""}</td>
                <td className={`num text-right text-xl ${k.missing > 0 ? "font-bold text-tight" : ""}`}>
                  {k.missing > 0 && "✕ "}
                  {k.wanted || ""}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function whereWords(k: Kind): string {
  const marks = k.singles.map((s) => s.mark);
  const named = marks.length > 6 ? `${marks.slice(0, 6).join(" ")} …` : marks.join(" ");
  return [
    k.sheet.place ?? (k.sort === "PART" ? "no place written" : SORTS[k.sort]),
    k.fitted > 0 && `${k.fitted} in engines`,
    named,
    k.expected > 0.05 && `${k.expected.toFixed(1)} changes to expect`,
  ]
    .filter(Boolean)
    .join(" · ");
}
