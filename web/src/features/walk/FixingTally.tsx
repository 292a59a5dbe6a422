import type { Schemas } from "../../api/client";

type Fixing = Schemas["Fixing"];

/** What is torqued, what waits, and what is next: every fixing with its steps. */
export function FixingTally({ fixings }: { fixings: Fixing[] }) {
  if (fixings.length === 0) return null;
  const heads = [...new Set(fixings.map((f) => f.head))];
  return (
    <section aria-label="Fixings torqued" className="grid gap-2">
      {heads.map((head) => (
        <div key={head}>
          <h3 className="text-sm text-muted">{head}</h3>
          <ol className="flex flex-wrap gap-1">
            {fixings
              .filter((f) => f.head === head)
              .map((f) => (
                <li
                  key={f.number}
                  className={BOX[stateOf(f)]}
                  aria-label={`fixing ${f.number}: ${wordsOf(f)}`}
                >
                  <span className="num text-lg leading-none">{f.number}</span>
                  <span className="text-xs leading-none">{SIGN[stateOf(f)] || `${f.done}/${f.of}`}</span>
                </li>
              ))}
          </ol>
        </div>
      ))}
    </section>
  );
}

type State = "DONE" | "PARTLY" | "WAITS" | "OPEN";

function stateOf(f: Fixing): State {
  if (f.done === f.of) return "DONE";
  if (f.waits) return "WAITS";
  return f.done > 0 ? "PARTLY" : "OPEN";
}

const SIGN: Record<State, string> = { DONE: "✓", WAITS: "waits", PARTLY: "", OPEN: "" };

const CELL = "grid min-h-11 w-11 content-center justify-items-center gap-0.5 rounded border";
const BOX: Record<State, string> = {
  DONE: `${CELL} border-ok text-ok`,
  PARTLY: `${CELL} border-accent`,
  WAITS: `${CELL} border-dashed border-hair text-muted`,
  OPEN: `${CELL} border-hair`,
};

const wordsOf = (f: Fixing) =>
  f.waits ? "waits for the rockers" : f.done === f.of ? "torqued" : `${f.done} of ${f.of} steps`;
