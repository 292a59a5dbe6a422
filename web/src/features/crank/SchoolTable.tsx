import type { Schemas } from "../../api/client";
import type { School } from "./schools";

interface SchoolTableProps {
  plans: Schemas["PlanView"][];
  chosen: School;
  onChoose: (s: School) => void;
}

/** Every school beside the others: stops, barring and worst slack; what it would do wrong, by name. */
export function SchoolTable({ plans, chosen, onChoose }: SchoolTableProps) {
  const current = plans.find((p) => p.school === chosen);
  return (
    <section className="scribed rounded p-3" aria-label="Schools of setting order">
      <div className="grid grid-cols-[1fr_3.2rem_4.2rem_3.6rem] px-2 text-right text-sm text-muted">
        <span className="text-left">School</span>
        <span>stops</span>
        <span>barring</span>
        <span>slack</span>
      </div>
      {plans.map((p) => (
        <button
          key={p.school}
          type="button"
          aria-pressed={p.school === chosen}
          onClick={() => onChoose(p.school)}
          className="grid min-h-11 w-full grid-cols-[1fr_3.2rem_4.2rem_3.6rem] items-center border-t border-hair px-2 text-left hover:bg-raised aria-pressed:bg-raised aria-pressed:font-bold aria-pressed:outline-2 aria-pressed:-outline-offset-2 aria-pressed:outline-accent"
        >
          <span>{p.title}</span>
          <span className="num text-right text-lg">{p.stops.length}</span>
          <span className="num text-right text-lg">{Math.round(p.totalBarDeg)}°</span>
          <span className={`num text-right text-lg ${p.worstSlackDeg < 0 ? "text-tight" : "text-ok"}`}>
            {p.worstSlackDeg < 0 ? "✕ " : ""}
            {Math.round(p.worstSlackDeg)}°
          </span>
        </button>
      ))}
      {current && <p className="mt-2 px-2 text-sm text-muted">{current.says}</p>}
      {current?.refused.map((r) => (
        <p key={r} className="px-2 text-sm font-semibold text-tight">
          ✕ {r}
        </p>
      ))}
    </section>
  );
}
