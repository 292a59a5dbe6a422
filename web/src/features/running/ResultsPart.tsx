import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { runs as runsQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { secondsText } from "../../units/boxes";
import { type LashUnit, lashText } from "../../units/lash";
import { day } from "../../words/days";
import { KINDS } from "./useDay";

interface ResultsPartProps {
  engine: Schemas["EngineView"];
  lash: Schemas["EngineLash"];
  rounds: Schemas["RoundLine"][];
}

/** How runs went, beside what the engine was set to that day. */
export function ResultsPart({ engine, lash, rounds }: ResultsPartProps) {
  const { unit } = useSettings();
  const runs = (useQuery(runsQuery(engine.id)).data ?? []).filter(
    ({ run }) => run.bestSeconds !== undefined || run.powerHp !== undefined || run.note !== undefined,
  );
  if (runs.length === 0) return null;
  return (
    <section className="scribed rounded p-4" aria-label="How it went">
      <h2 className="text-lg">How it went</h2>
      <table className="w-full">
        <thead>
          <tr className="text-left text-sm text-muted">
            <th>Run</th>
            <th className="text-right">Best</th>
            <th className="text-right">Power</th>
            <th className="pl-4">Set to</th>
            <th className="pl-4">Words</th>
          </tr>
        </thead>
        <tbody>
          {[...runs].reverse().map(({ id, run }) => (
            <tr key={id} className="border-t border-hair align-top">
              <td className="py-1.5 whitespace-nowrap">
                {day(run.date)}{" "}
                <span className="text-sm text-muted">{KINDS.find(([k]) => k === run.kind)?.[1]}</span>
              </td>
              <td className="num text-right text-xl">
                {run.bestSeconds === undefined ? "" : secondsText(run.bestSeconds)}
              </td>
              <td className="num text-right text-xl">
                {run.powerHp === undefined ? "" : `${Math.round(run.powerHp)} hp`}
              </td>
              <td className="pl-4 text-sm text-muted">{setTo(run.date, rounds, lash, unit)}</td>
              <td className="pl-4 text-sm">{run.note}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const of = (p: { engineHours: number; state: string }, round: Schemas["RoundLine"]) =>
  p.engineHours === round.engineHours && p.state === round.state;

/** Lash as the last signed round before a day left it, and the last cam that went in. */
export function setTo(
  date: string,
  rounds: readonly Schemas["RoundLine"][],
  lash: Pick<Schemas["EngineLash"], "valves" | "changes">,
  unit: LashUnit,
): string {
  const round = rounds
    .filter((r) => r.signedBy && r.startedAt.slice(0, 10) <= date)
    .sort((a, b) => b.startedAt.localeCompare(a.startedAt))[0];
  const cam = lash.changes
    .filter((c) => c.part === "CAM" && c.at.slice(0, 10) <= date)
    .sort((a, b) => b.at.localeCompare(a.at))[0];
  const words: string[] = [];
  if (round) {
    const left = (kind: string) =>
      lash.valves
        .filter((v) => v.position.includes(kind))
        .flatMap((v) => v.points.filter((p) => of(p, round)).map((p) => p.leftIn))
        .filter((x) => x !== undefined)
        .sort((a, b) => a - b);
    const middle = (all: number[]) => all[Math.floor(all.length / 2)];
    const [i, e] = [middle(left("I")), middle(left("E"))];
    if (i !== undefined || e !== undefined)
      words.push(`lash ${lashText(i, unit)} / ${lashText(e, unit)} ${round.state.toLowerCase()}`);
  }
  if (cam) words.push(`cam of ${day(cam.at)}${cam.note ? ` (${cam.note})` : ""}`);
  return words.join("; ");
}
