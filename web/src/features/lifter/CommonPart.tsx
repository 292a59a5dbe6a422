import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { unitName } from "../../units/lash";
import { say } from "../../words/said";
import { signed } from "./lifterFaces";

/** What all valves did alike: groups, hands, rounds that read off. No valve is blamed for these. */
export function CommonPart({ drift }: { drift: Schemas["LashDriftView"] }) {
  const { unit } = useSettings();
  return (
    <section className="scribed grid gap-2 rounded p-4" aria-label="What all valves did alike">
      <h2 className="text-lg">What all valves did alike</h2>
      {drift.rounds.length < 3 ? (
        <p className="text-muted">Fewer than three rounds: nothing can be said of a trend yet.</p>
      ) : (
        <ul className="grid gap-1">
          {drift.offRounds.map((o) => (
            <li key={o.round} className="font-semibold">
              ▸ {say(o.said, unit)}
            </li>
          ))}
          {drift.trends.map((t) => (
            <li key={t.group} className={t.clear ? "font-semibold" : "text-muted"}>
              {t.clear ? "▸ " : ""}
              {say(t.said, unit)}{" "}
              <span className="num text-muted">
                ({signed(t.thouPerHour.low, unit)} to {signed(t.thouPerHour.high, unit)} {unitName(unit)}/h)
              </span>
            </li>
          ))}
          {drift.hands.length > 1 && (
            <li>
              Hands:{" "}
              {drift.hands.map((h) => (
                <span key={h.hand} className="mr-3">
                  {h.hand} reads <span className="num text-lg">{signed(h.thou, unit)}</span>
                </span>
              ))}
              <span className="text-muted">taken out before any valve is looked at</span>
            </li>
          )}
        </ul>
      )}
      <p className="text-sm text-muted">
        {drift.growthKnown
          ? "Hot and cold rounds are joined by this engine's own growth."
          : "No pair of hot and cold rounds yet: the two states are not compared with each other."}
        {drift.rounds.length >= 3 && ` Its readings scatter ${drift.scatter.toFixed(1)} times the usual.`}
      </p>
    </section>
  );
}
