import type { Schemas, Valve } from "../../api/client";
import { LashChart, PreloadChart } from "../../charts/LashChart";
import { kindOf } from "../../plan/geometry";
import { MARKS } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { driftText, lashText, unitName } from "../../units/lash";
import { groundText, rangeText } from "../../words/adjust";
import { preloadDriftText, preloadFigure, preloadUnit } from "../../words/preload";

/** One valve over all its rounds: the chart, and under it every figure. */
export function ValveLife({ lash, valve }: { lash: Schemas["EngineLash"]; valve: Valve }) {
  const { unit } = useSettings();
  const own = lash.valves.find((v) => v.position === valve);
  const targets = lash.targets.filter((t) => t.kind === kindOf(valve));
  const changes = lash.changes.filter((c) => c.valves.includes(valve));
  if (!own || own.points.every((p) => p.foundIn === undefined && p.foundPreload === undefined)) {
    return (
      <section className="scribed rounded p-4">
        <h2 className="text-xl">{valve}</h2>
        <p className="text-muted">No lash has been read here yet.</p>
      </section>
    );
  }
  const target = lash.preloads.find((t) => t.kind === kindOf(valve));
  const figure = (inch: number | undefined, preload: number | undefined) =>
    target ? preloadFigure(preload, target, unit) : lashText(inch, unit);
  return (
    <section className="scribed rounded p-4" aria-label={`Valve ${valve}`}>
      <h2 className="mb-1 text-xl">
        {valve}{" "}
        <span className="text-base font-normal text-muted">
          {target ? `preload in ${preloadUnit(target, unit)}` : `lash in ${unitName(unit)}`} over engine hours
        </span>
      </h2>
      <div className="grid gap-4 min-[1150px]:grid-cols-[minmax(0,1fr)_auto]">
        {target ? (
          <div>
            <PreloadChart points={own.points} target={target} changes={changes} height={170} />
            <p className="text-muted">
              Wanted {rangeText(target, unit)}
              {groundText(target) && `, ${groundText(target)}`}. The plunger hides wear: what moves is told by
              the preload as found, against how it was left.
            </p>
          </div>
        ) : (
          <LashChart points={own.points} targets={targets} changes={changes} height={190} large />
        )}
        <div className="overflow-x-auto">
          <table className="num text-lg">
            <tbody>
              {(
                [
                  ["hours", (p) => p.engineHours.toFixed(1)],
                  ["state", (p) => p.state.toLowerCase()],
                  ["found", (p) => figure(p.foundIn, p.foundPreload)],
                  ["left", (p) => figure(p.leftIn, p.leftPreload)],
                  [
                    "drift",
                    (p) =>
                      target ? preloadDriftText(p.preloadDrift, target, unit) : driftText(p.driftIn, unit),
                  ],
                  ["as left", (p) => (p.leftVerdict ? MARKS[p.leftVerdict].word : "–")],
                ] as [string, (p: Schemas["Point"]) => string][]
              ).map(([name, show]) => (
                <tr key={name}>
                  <th scope="row" className="pr-3 text-left font-medium text-muted">
                    {name}
                  </th>
                  {own.points.map((p) => (
                    <td key={p.at + name} className="min-w-9 px-1 text-right">
                      {show(p)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
    </section>
  );
}
