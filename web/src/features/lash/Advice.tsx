import type { Schemas } from "../../api/client";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { driftText, type LashUnit, lashText, unitName } from "../../units/lash";
import { partText, preloadText, sizeText, turnText } from "../../words/adjust";
import { preloadDriftText, preloadFigure, preloadUnit } from "../../words/preload";
import type { Step } from "./flow";
import { UNANSWERED } from "./overlay";
import { fittedIn, readText } from "./readings";
import type { ValveView } from "./useRound";

interface AdviceProps {
  valve: ValveView;
  step: Step;
}

/** In or out, how it moved, and how far to turn. */
export function Advice({ valve, step }: AdviceProps) {
  const { unit } = useSettings();
  if (!valve.found) {
    return <p className="text-muted">{howTo(valve, unit)}</p>;
  }
  const verdict =
    step === "AGAIN" || step === "DONE" ? (valve.leftVerdict ?? valve.foundVerdict) : valve.foundVerdict;
  return (
    <div className="flex flex-col gap-2" aria-live="polite">
      <p className="flex flex-wrap items-baseline gap-x-4">
        <span className="text-muted">found</span>
        <strong className="num text-3xl">{figure(valve, "found", unit)}</strong>
        {valve.left && (
          <>
            <span className="text-muted">left</span>
            <strong className="num text-3xl">{figure(valve, "left", unit)}</strong>
          </>
        )}
        <span className="text-sm text-muted">by {valve.left?.hand ?? valve.found.hand}</span>
      </p>
      {verdict && (
        <p className="flex items-center gap-2 text-2xl font-bold">
          <MarkIcon mark={verdict} size={30} /> {MARKS[verdict].word}
          {off(valve, step, unit)}
          {valve.preload && preloadNow(valve.preload, valve.preloadTarget, unit)}
        </p>
      )}
      {(valve.left ?? valve.found)?.version === UNANSWERED && verdict !== "IN" && (
        <p className="text-muted">What to do comes with Shim's answer.</p>
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
      {valve.preloadDrift !== undefined && valve.preloadTarget && (
        <p>
          Moved{" "}
          <strong className="num text-2xl">
            {preloadDriftText(valve.preloadDrift, valve.preloadTarget, unit)}
          </strong>{" "}
          {preloadUnit(valve.preloadTarget, unit)} since it was left
        </p>
      )}
      {valve.part && <Parts part={valve.part} unit={unit} />}
    </div>
  );
}

const solid = (unit: LashUnit) => {
  const [goes, not] = unit === "mm" ? ["45", "48"] : ["18", "19"];
  return `Feel for the gap before touching anything. A pair of leaves (${goes}/${not}), one leaf (${goes}- snug, ${goes}* right, ${goes}+ loose) or a figure will do.`;
};
const HYDRAULIC =
  "Let the lifter bleed down, back the nut off counting turns until the pushrod just spins free: those turns are as found.";
const LENGTH =
  "Lifter bled down and on its base circle: set an adjustable pushrod to zero lash at this valve and measure its length. Never by turns.";

const howTo = ({ preloadTarget }: ValveView, unit: LashUnit) =>
  !preloadTarget ? solid(unit) : preloadTarget.unit === "TURNS" ? HYDRAULIC : LENGTH;

function figure(valve: ValveView, phase: "found" | "left", unit: LashUnit): string {
  const r = valve[phase];
  if (!r) return "";
  const read = readText(r, unit);
  if (r.turns !== undefined) return `${read} turns`;
  if (r.zeroLashIn === undefined) return r.form === "SAME" ? `${read} (untouched)` : read;
  if (phase === "found") return `zero lash at ${read}`;
  const fitted = fittedIn(valve);
  return fitted === undefined ? "as found" : sizeText(fitted, unit);
}

/** By how much, where the figure shown is not the preload itself. */
function preloadNow(p: Schemas["Preload"], target: ValveView["preloadTarget"], unit: LashUnit): string {
  return target?.unit === "INCH"
    ? `, ${preloadFigure(p.preload, target, unit)} ${preloadUnit(target, unit)}`
    : "";
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
  const { turn, preload, preloadTarget } = valve;
  if (preload && preloadTarget) return <PreloadToDo preload={preload} target={preloadTarget} unit={unit} />;
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

interface PreloadToDoProps {
  preload: Schemas["Preload"];
  target: Schemas["PreloadTarget"];
  unit: LashUnit;
}

function PreloadToDo({ preload, target, unit }: PreloadToDoProps) {
  const right = preload.verdict === "IN";
  const hot = preload.hotTravelIn;
  return (
    <div className={`rounded border p-3 ${right ? "border-hair" : "border-accent"}`}>
      <p className={`num first-letter:uppercase ${right ? "text-3xl" : "text-4xl text-accent"}`}>
        {preloadText(preload, target, unit)}
      </p>
      <p className="text-muted">
        Now {sizeText(preload.travelIn, unit)} of the plunger's{" "}
        {sizeText(target.bottom * target.perUnitIn, unit)}
        {Math.abs(hot - preload.travelIn) > 0.00005 && `, ${sizeText(hot, unit)} hot`}.
      </p>
      {preload.parts && (
        <ul className="flex flex-wrap gap-x-5">
          {preload.parts.sizes.slice(0, 6).map((s) => (
            <li key={s.sizeIn} className={s.verdict === "IN" ? "font-semibold" : "text-muted"}>
              <span className="num text-lg">{sizeText(s.sizeIn, unit)}</span> gives{" "}
              {preloadFigure(s.travelIn, target, unit)}
              {s.verdict === "IN" ? " ✓" : `, ${MARKS[s.verdict].word}`}
            </li>
          ))}
        </ul>
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
