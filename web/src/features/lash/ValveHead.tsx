import { useSettings } from "../../shell/settings";
import { lashText, unitName } from "../../units/lash";
import { groundText } from "../../words/adjust";
import { preloadFigure, preloadUnit } from "../../words/preload";
import { say } from "../../words/said";
import type { ValveView } from "./useRound";

/** Which valve, what it should be now, what it was left at. */
export function ValveHead({ valve }: { valve: ValveView }) {
  const { unit } = useSettings();
  const { target: t, preloadTarget: preload, lastPreload: last } = valve;
  return (
    <header className="flex flex-wrap items-end gap-x-6 gap-y-1">
      <h2 className="num text-7xl leading-none">{valve.position}</h2>
      {t && (
        <p>
          <span className="block text-sm text-muted">target, {unitName(unit)}</span>
          <span className="num text-4xl">{lashText(t.targetIn, unit)}</span>
          <span className="num text-xl text-muted"> ± {lashText(t.toleranceIn, unit)}</span>
          {t.floorIn !== undefined && (
            <span className="text-sm text-muted"> lowest {lashText(t.floorIn, unit)}</span>
          )}
        </p>
      )}
      {preload && (
        <p>
          <span className="block text-sm text-muted">wanted, {preloadUnit(preload, unit)}</span>
          <span className="num text-4xl">
            {preloadFigure(preload.from, preload, unit)} to {preloadFigure(preload.to, preload, unit)}
          </span>
        </p>
      )}
      {(last !== undefined || !preload) && (
        <p>
          <span className="block text-sm text-muted">left last time</span>
          <span className="num text-4xl">
            {preload ? preloadFigure(last, preload, unit) : lashText(valve.lastLeftIn, unit)}
          </span>
          {valve.lastLeftHours !== undefined && (
            <span className="text-sm text-muted"> at {valve.lastLeftHours.toFixed(1)} h</span>
          )}
        </p>
      )}
      <p className="basis-full text-sm text-muted">
        {[t && say(t.from, unit), valve.noTarget && say(valve.noTarget, unit), preload && groundText(preload)]
          .filter(Boolean)
          .map((words) => `${words}; `)}
        slack here {Math.round(valve.slackDeg)}°
      </p>
    </header>
  );
}
