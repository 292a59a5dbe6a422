import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { lashTargets } from "../../api/queries";
import { Wanted } from "./Wanted";

/** What is wanted of the valves when the round is hot, or cold. */
export function Targets({ engineId, state }: { engineId: string; state: "HOT" | "COLD" }) {
  const wanted = useQuery(lashTargets(engineId, state)).data;
  return wanted ? <Wanted wanted={wanted} /> : null;
}

/** The setting order in short. */
export function PlanShort({ plan }: { plan: Schemas["PlanView"] }) {
  return (
    <div>
      <p className="mb-1">
        <strong className="num text-2xl">{plan.stops.length}</strong> stops, barring{" "}
        <strong className="num text-2xl">{Math.round(plan.totalBarDeg)}°</strong>, worst slack{" "}
        <strong className={`num text-2xl ${plan.worstSlackDeg < 0 ? "text-tight" : ""}`}>
          {Math.round(plan.worstSlackDeg)}°
        </strong>
      </p>
      {plan.refused.map((r) => (
        <p key={r} className="font-semibold text-tight">
          ✕ {r}
        </p>
      ))}
      <ol className="max-h-64 overflow-auto">
        {plan.stops.map((s) => (
          <li key={s.number} className="border-t border-hair py-1">
            <span className="num mr-2 text-lg">{s.number}</span>
            {s.number === 1 && s.barDeg > 0 && (
              <span className="num mr-2">bar {Math.round(s.barDeg)}° to</span>
            )}
            {s.look}: <strong>{s.valves.map((v) => v.position).join(" ")}</strong>
          </li>
        ))}
      </ol>
    </div>
  );
}
