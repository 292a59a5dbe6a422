import type { Schemas } from "../../api/client";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { driftText, type LashUnit, lashText, unitName } from "../../units/lash";
import { partText, preloadText, sizeText, turnText } from "../../words/adjust";
import type { Step } from "./flow";
import { UNANSWERED } from "./overlay";
import type { Round, ValveView } from "./useRound";

interface AdviceProps {
  round: Round;
  valve: ValveView;
  step: Step;
}

/** In or out, how it moved, and how far to turn. */
export function Advice({ round, valve, step }: AdviceProps) {
  const { unit } = useSettings();
  if (!valve.found) {
    return <p className="text-muted">{round.hydraulic ? HYDRAULIC : SOLID}</p>;
  }
  const verdict =
    step === "AGAIN" || step === "DONE" ? (valve.leftVerdict ?? valve.foundVerdict) : valve.foundVerdict;
  return (
    <div className="flex flex-col gap-2" aria-live="polite">
      <p className="flex flex-wrap items-baseline gap-x-4">
        <span className="text-muted">found</span>
        <strong className="num text-3xl">{figure(valve.found, unit)}</strong>
        {valve.left && (
          <>
            <span className="text-muted">left</span>
            <strong className="num text-3xl">{figure(valve.left, unit)}</strong>
          </>
        )}
        <span className="text-sm text-muted">by {valve.left?.hand ?? valve.found.hand}</span>
      </p>
      {verdict && (
        <p className="flex items-center gap-2 text-2xl font-bold">
          <MarkIcon mark={verdict} size={30} /> {MARKS[verdict].word}
          {off(valve, step, unit)}
        </p>
      )}
      {(valve.left ?? valve.found)?.version === UNANSWERED && verdict !== "IN" && (
        <p className="text-muted">How far to turn comes with Shim's answer.</p>
      )}
      {step === "LEFT" || step === "AGAIN" ? (
        <ToDo valve={valve} inside={verdict === "IN"} unit={unit} />
      ) : null}
      {valve.driftIn !== undefined ? (
        <p>
          Drift <strong className="num text-2xl">{driftText(valve.driftIn, unit)}</strong> {unitName(unit)} in{" "}
          {valve.driftHours?.toFixed(1)} h
        </p>
      ) : (
        valve.noDrift && <p className="text-sm text-muted">No drift: {valve.noDrift}</p>
      )}
      {valve.part && <Parts part={valve.part} unit={unit} />}
    </div>
  );
}

const SOLID =
  "Feel for the gap before touching anything. A pair of leaves (18/19), one leaf (18- snug, 18* right, 18+ loose) or a figure will do.";
const HYDRAULIC =
  "Let the lifter bleed down, back the nut off counting turns until the pushrod just spins free: those turns are as found.";

function figure(r: Schemas["ReadingView"], unit: LashUnit): string {
  if (r.turns !== undefined) return `${Math.round(r.turns * 1000) / 1000} turns`;
  return r.form === "SAME" ? `${lashText(r.valueIn, unit)} (untouched)` : lashText(r.valueIn, unit);
}

function off(valve: ValveView, step: Step, unit: LashUnit): string {
  const now = step === "AGAIN" || step === "DONE" ? valve.left?.valueIn : valve.found?.valueIn;
  if (now === undefined || !valve.target) return "";
  const d = now - valve.target.targetIn;
  return Math.abs(d) < 0.00005
    ? ""
    : ` by ${lashText(Math.abs(d), unit)} ${unitName(unit)}`.replace(
        " by",
        d > 0 ? ", over by" : ", under by",
      );
}

function ToDo({ valve, inside, unit }: { valve: ValveView; inside: boolean; unit: LashUnit }) {
  const { turn, preload } = valve;
  if (preload) {
    return (
      <div className="rounded border border-hair p-3">
        <p className="num text-4xl first-letter:uppercase">{preloadText(preload)}</p>
        <p className="text-muted">
          Found {sizeText(preload.foundTravelIn, unit)} of plunger; {preload.wantedTurns} turns make{" "}
          {sizeText(preload.travelIn, unit)} of its {sizeText(preload.totalIn, unit)}
          {preload.hotTravelIn < preload.travelIn - 0.00005 &&
            `, ${sizeText(preload.hotTravelIn, unit)} left when hot`}
          .
        </p>
      </div>
    );
  }
  if (!turn) return null;
  return (
    <div className={`rounded border p-3 ${inside ? "border-hair" : "border-accent"}`}>
      <p className={`num first-letter:uppercase ${inside ? "text-2xl text-muted" : "text-5xl text-accent"}`}>
        {inside && turn.direction !== "LEAVE" ? `to the target: ${turnText(turn)}` : turnText(turn)}
      </p>
      {turn.direction !== "LEAVE" && (
        <p className="text-muted">
          should leave {lashText(turn.leavesIn, unit)}; 5° is {lashText(turn.perFiveDegreesIn, unit)}{" "}
          {unitName(unit)}. Hold the adjuster while locking: it often moves.
        </p>
      )}
    </div>
  );
}

function Parts({ part, unit }: { part: Schemas["PartChoice"]; unit: LashUnit }) {
  return (
    <div className="rounded border border-hair p-3">
      <p className="text-xl font-semibold first-letter:uppercase">{partText(part, unit)}</p>
      <p className="text-muted">
        exact <span className="num text-lg">{sizeText(part.wantedSizeIn, unit)}</span>
      </p>
      <ul className="flex flex-wrap gap-x-5">
        {part.options.slice(0, 5).map((o) => (
          <li key={o.sizeIn} className={o.withinTolerance ? "font-semibold" : "text-muted"}>
            <span className="num text-lg">{sizeText(o.sizeIn, unit)}</span> gives {lashText(o.lashIn, unit)}
            {o.withinTolerance ? " ✓" : ""}
          </li>
        ))}
      </ul>
    </div>
  );
}
