import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { engineSprings } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { MARKS } from "../../plan/verdict";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { nth } from "../../ui/nth";
import { heightText, heightUnit, loadText, loadUnit, percentText } from "../../units/load";
import { hoursLeftText, springFaces } from "./springFaces";

/** The springs on one page: the plan with loads, and a line for each. */
export function SpringSheetPage() {
  const { id } = useParams({ from: "/engines/$id/spring-sheet" });
  const { unit } = useSettings();
  const known = useQuery(engineSprings(id)).data;
  return (
    <EngineFrame id={id}>
      {(engine) =>
        known ? (
          <div className="mx-auto grid w-full max-w-4xl gap-2 p-3">
            <div className="flex items-center justify-between">
              <h1 className="text-xl">
                {engine.name}, springs at {known.engineHours.toFixed(1)} h
              </h1>
              <Button className="no-print" look="now" onClick={() => window.print()}>
                Print
              </Button>
            </div>
            <ValvePlan
              layout={engine.layout}
              facing="left"
              faces={springFaces(known.springs, "load", unit)}
              label={`Springs of ${engine.name}, loads in ${loadUnit(unit)}`}
              className="h-56 w-full"
            />
            <table className="w-full text-sm">
              <thead>
                <tr className="border-b border-line text-left">
                  <th>Valve</th>
                  <th>Mark</th>
                  <th className="text-right">Hours</th>
                  <th className="text-right">Height, {heightUnit(unit)}</th>
                  <th className="text-right">Load, {loadUnit(unit)}</th>
                  <th className="text-right">Loss, %</th>
                  <th className="text-right">Next, %</th>
                  <th className="text-right">Left</th>
                  <th className="text-right">To bind, {heightUnit(unit)}</th>
                  <th className="pl-3">Verdict</th>
                  <th className="pl-3">Seen today</th>
                </tr>
              </thead>
              <tbody>
                {known.springs.map((s) => (
                  <tr key={s.position} className="border-b border-hair">
                    <td className="py-0.5 font-bold">{s.position}</td>
                    <td>{s.mark}</td>
                    <td className="num text-right">{s.hours.toFixed(1)}</td>
                    <td className="num text-right">{heightText(s.heightIn, unit)}</td>
                    <td className="num text-right">{loadText(s.lastLbf, unit)}</td>
                    <td className="num text-right">{percentText(s.said.outlook?.lossNow.mid)}</td>
                    <td className="num text-right">{percentText(s.said.outlook?.lossAtNext.mid)}</td>
                    <td className="num text-right">{hoursLeftText(s.said.outlook?.hoursLeft)}</td>
                    <td className="num text-right">{heightText(s.fit.bindClearanceIn, unit)}</td>
                    <td className="pl-3 font-semibold">{MARKS[s.said.verdict].word}</td>
                    <td className="w-28 border-l border-hair" />
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="text-sm text-muted">
              Loads corrected by the check spring, at reference height. Next: {nth(known.coming, 0).name},{" "}
              {nth(known.coming, 0).plannedHours} h.
            </p>
          </div>
        ) : (
          <Waiting />
        )
      }
    </EngineFrame>
  );
}
