import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { lashTuning } from "../../api/camQueries";
import { answered, api } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { lashText, unitName } from "../../units/lash";
import { heightText } from "../../units/load";
import { type BenchProps, Part } from "./CamFrame";
import { boundsText, gapText } from "./camWords";

const WHY = {
  HYDRAULIC: "Hydraulic lifters run without lash.",
  NO_CARD: "The cam card is not whole yet.",
  NO_FLOOR: "Write down the maker's lowest allowed lash, under Set-up: nothing tighter is tried without it.",
} as const;

/** Lash from the card's to the lowest allowed: what moves with it, and one of them for the team. */
export function LashSlider({ engine, cam }: BenchProps) {
  const { unit, hand } = useSettings();
  const tuning = useQuery(lashTuning(engine.id)).data;
  const team = cam.lashes.teamIntakeIn;
  const [at, setAt] = useState<number>();
  const choose = useMutation({
    mutationFn: (lash: { intakeIn?: number; exhaustIn?: number }) =>
      answered(
        api.PUT("/api/engines/{id}/cam/lash", {
          params: { path: { id: engine.id } },
          body: { ...lash, hand: hand || "–" },
        }),
      ),
  });
  if (!tuning) return null;
  if (tuning.why) {
    return (
      <Part title="Lash as tuning">
        <Notice tone="ask">{WHY[tuning.why]}</Notice>
      </Part>
    );
  }
  const rows = tuning.rows;
  const now = rows.findIndex((r) => team !== undefined && Math.abs(r.intakeIn - team) < 1e-6);
  const i = at ?? Math.max(0, now);
  const row = rows[i];
  const card = rows[0];
  if (!row || !card) return null;
  const gained = row.figures.intake.netIn - card.figures.intake.netIn;
  const line = (name: string, intake: string, exhaust: string) => (
    <tr className="border-t border-hair">
      <th className="text-left text-sm font-normal text-muted">{name}</th>
      <td className="num text-lg">{intake}</td>
      <td className="num text-lg">{exhaust}</td>
    </tr>
  );
  const { intake, exhaust } = row.figures;
  return (
    <Part title={`Lash as tuning, ${unitName(unit)}, ${tuning.lashes.state.toLowerCase()}`}>
      <label className="grid gap-1">
        <span className="num text-3xl font-bold">
          {lashText(row.intakeIn, unit)} / {lashText(row.exhaustIn, unit)}
        </span>
        <input
          type="range"
          aria-label="Lash, from the card's to the lowest allowed"
          min={0}
          max={rows.length - 1}
          value={i}
          onChange={(e) => setAt(Number(e.target.value))}
          className="h-11 w-full accent-(--accent)"
        />
        <span className="flex justify-between text-sm text-muted">
          <span>the card's</span>
          <span>lowest allowed</span>
        </span>
      </label>
      <table className="w-full">
        <thead>
          <tr className="text-left text-sm text-muted">
            <th />
            <th>intake</th>
            <th>exhaust</th>
          </tr>
        </thead>
        <tbody>
          {line("net lift", heightText(intake.netIn, unit), heightText(exhaust.netIn, unit))}
          {line("valve moves over", boundsText(intake.movingDeg), boundsText(exhaust.movingDeg))}
          {line("opens", boundsText(intake.opensDeg), boundsText(exhaust.opensDeg))}
          {line("closes", boundsText(intake.closesDeg), boundsText(exhaust.closesDeg))}
          {line("least gap to the piston", gapText(row.gapIntakeIn, unit), gapText(row.gapExhaustIn, unit))}
        </tbody>
      </table>
      <p>
        overlap <b className="num">{boundsText(row.figures.overlapDeg)}</b>; gained on the card:{" "}
        <b className="num">{gapText(gained, unit)}</b> of lift
      </p>
      <div className="flex flex-wrap gap-2">
        <Button
          onClick={() => choose.mutate({ intakeIn: row.intakeIn, exhaustIn: row.exhaustIn })}
          disabled={i === now || (i === 0 && team === undefined)}
        >
          Take this as the team's own
        </Button>
        {team !== undefined && <Button onClick={() => choose.mutate({})}>Back to the card's</Button>}
      </div>
      {choose.error && <p className="font-semibold text-tight">✕ {choose.error.message}</p>}
    </Part>
  );
}
