import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import { lashText, unitName } from "../../units/lash";
import { groundText } from "../../words/adjust";
import { preloadFigure, preloadUnit } from "../../words/preload";
import { say } from "../../words/said";

const kindName = (kind: "INTAKE" | "EXHAUST") => (kind === "INTAKE" ? "Intake" : "Exhaust");

interface WantedProps {
  wanted: Pick<Schemas["LashWanted"], "targets" | "preloads"> & { none?: Schemas["Said"][] };
  /** Only of this kind of valve. */
  kind?: "INTAKE" | "EXHAUST";
}

/** What is wanted of the valves: lash with where it comes from, or the range of a preload. */
export function Wanted({ wanted, kind }: WantedProps) {
  const { unit } = useSettings();
  const of = <T extends { kind: string }>(list: T[]) => list.filter((t) => !kind || t.kind === kind);
  const targets = of(wanted.targets);
  const preloads = of(wanted.preloads);
  return (
    <section className="grid gap-2" aria-label="Wanted">
      <div className="grid grid-cols-[repeat(auto-fit,minmax(11rem,1fr))] gap-x-6 gap-y-3">
        {targets.map((t) => (
          <div key={t.kind + t.state}>
            <p className="text-sm text-muted">
              {kindName(t.kind)} lash {t.state.toLowerCase()}, {unitName(unit)}
            </p>
            <p>
              <span className="num text-4xl">{lashText(t.targetIn, unit)}</span>
              <span className="num text-2xl text-muted"> ± {lashText(t.toleranceIn, unit)}</span>
            </p>
            <p className="text-sm text-muted">
              {t.floorIn !== undefined && `lowest ${lashText(t.floorIn, unit)}; `}
              {say(t.from, unit)}
            </p>
          </div>
        ))}
        {preloads.map((t) => (
          <div key={t.kind}>
            <p className="text-sm text-muted">
              {kindName(t.kind)} preload, {preloadUnit(t, unit)}
            </p>
            <p className="num text-4xl">
              {preloadFigure(t.from, t, unit)} <span className="text-2xl text-muted">to</span>{" "}
              {preloadFigure(t.to, t, unit)}
            </p>
            <p className="text-sm text-muted">{groundText(t)}</p>
          </div>
        ))}
      </div>
      {preloads.length === 0 &&
        wanted.none?.map((n) => (
          <Notice key={n.code} tone="care">
            <span className="first-letter:uppercase">{say(n, unit)}.</span>
          </Notice>
        ))}
    </section>
  );
}
