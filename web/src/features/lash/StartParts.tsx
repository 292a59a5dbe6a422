import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { lashTargets } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { lashText, unitName } from "../../units/lash";
import { say } from "../../words/said";

/** What the lash shall be. */
export function Targets({ engineId, state }: { engineId: string; state: "HOT" | "COLD" }) {
  const { unit } = useSettings();
  const targets = useQuery(lashTargets(engineId, state)).data ?? [];
  return (
    <div className="grid grid-cols-2 gap-3">
      {targets.map((t) => (
        <div key={t.kind}>
          <p className="text-sm text-muted">
            {t.kind === "INTAKE" ? "Intake" : "Exhaust"} lash {state.toLowerCase()}, {unitName(unit)}
          </p>
          <p className="num text-5xl">{lashText(t.targetIn, unit)}</p>
          <p className="text-sm text-muted">{say(t.from, unit)}</p>
        </div>
      ))}
    </div>
  );
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
            {s.look}: <strong>{s.valves.map((v) => v.position).join(" ")}</strong>
          </li>
        ))}
      </ol>
    </div>
  );
}
