import type { Schemas, Valve } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { thouText, unitName } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { say } from "../../words/said";
import { LEVELS } from "./levels";

interface LobesPartProps {
  lobes: Schemas["LobeLine"][];
  onValve: (v: Valve) => void;
}

/** Lift at each valve against the card, drawn as what is missing. */
export function LobesPart({ lobes, onValve }: LobesPartProps) {
  const { unit } = useSettings();
  if (lobes.length === 0) return null;
  const most = Math.max(6, ...lobes.map((l) => l.shortThou ?? 0));
  return (
    <section className="scribed grid gap-2 rounded p-4" aria-label="Lobe survey">
      <h2 className="text-lg">Lift at the valves against the card</h2>
      <ul>
        {lobes.map((l) => (
          <li key={l.position} className="border-t border-hair">
            <button
              type="button"
              onClick={() => onValve(l.position)}
              className="grid min-h-11 w-full grid-cols-[3rem_7rem_1fr_6rem] items-center gap-3 text-left hover:bg-raised"
            >
              <strong>{l.position}</strong>
              <span className="num text-lg">
                {heightText(l.liftIn, unit)} {heightUnit(unit)}
              </span>
              <span className="relative h-3 bg-hair" aria-hidden>
                <span
                  className="absolute inset-y-0 left-0 bg-accent"
                  style={{ width: `${(100 * Math.max(0, l.shortThou ?? 0)) / most}%` }}
                />
                <span
                  className="absolute inset-y-[-4px] border-l-2 border-tight"
                  style={{ left: `${(100 * 5) / most}%` }}
                />
              </span>
              <span className={l.level ? LEVELS[l.level].tone : ""}>
                {l.level && <span aria-hidden>{LEVELS[l.level].shape} </span>}
                {thouText(l.shortThou, unit)} {unitName(unit)} short
              </span>
            </button>
            {l.level !== "GOOD" && <p className="pb-1 text-sm">{say(l.said, unit)}</p>}
          </li>
        ))}
      </ul>
      <p className="text-sm text-muted">
        The red line is {thouText(5, unit)} {unitName(unit)}: over it a lobe or lifter counts as worn.
      </p>
    </section>
  );
}
