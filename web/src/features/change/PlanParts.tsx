import type { Schemas, Valve } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Check, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { figureText, measureText, unitOf } from "../../units/measures";
import { AirDrawing } from "./AirDrawing";
import { KindChange } from "./KindChange";
import { comesOffText, itemText, offerText } from "./planTexts";

interface PlanPartsProps {
  plan: Schemas["JobPlanView"];
  asked: Record<Valve, Schemas["AskedValve"]>;
  onAsked: (v: Schemas["AskedValve"]) => void;
  onOrder: (order: Schemas["JobPlanView"]["order"]) => void;
  lock: boolean;
  onLock: (lock: boolean) => void;
}

/** The plan as it would be begun: springs, order, air, what to lay out, what can hurt. */
export function PlanParts({ plan, asked, onAsked, onOrder, lock, onLock }: PlanPartsProps) {
  const { unit } = useSettings();
  return (
    <>
      <section className="scribed grid gap-2 rounded p-4" aria-label="Springs that go in">
        <h2 className="text-lg">Springs that go in</h2>
        {plan.valves.map((v) => (
          <SpringChoice key={v.valve} planned={v} asked={asked[v.valve]} onAsked={onAsked} />
        ))}
      </section>
      <KindChange plan={plan} />
      <Orders plan={plan} onOrder={onOrder} />
      {plan.air && (
        <section
          className="scribed grid items-start gap-4 rounded p-4 min-[760px]:grid-cols-2"
          aria-label="What air does"
        >
          <AirDrawing air={plan.air} />
          <div className="grid gap-1">
            <h2 className="text-lg">What air does to the crank</h2>
            <p>
              <b className="num text-3xl">{figureText("torque", plan.air.torqueLbfFt, unit)}</b>{" "}
              {unitOf("torque", unit)} at {plan.air.offDeg}° off TDC,{" "}
              {measureText("pressure", plan.air.psi, unit)}
            </p>
            <p>
              <b className="num text-2xl">{heightText(plan.air.fallIn, unit)}</b> {heightUnit(unit)} a dropped
              valve could fall, plus the chamber
            </p>
            {plan.air.valveHeldLbf !== undefined && (
              <p>
                <b className="num text-2xl">{loadText(plan.air.valveHeldLbf, unit, 0)}</b> {loadUnit(unit)}{" "}
                keep a valve up: press harder, and it goes down
              </p>
            )}
            <p className="text-muted">
              Within {plan.air.holdsWithinDeg.toFixed(1)}° it should not turn by itself (green).
            </p>
            <Check
              label={plan.air.lockWanted ? "Lock the crank: wanted here" : "Lock the crank"}
              checked={lock}
              onChange={(e) => onLock(e.target.checked)}
            />
          </div>
        </section>
      )}
      <section className="scribed grid gap-2 rounded p-4" aria-label="Before it begins">
        <h2 className="text-lg">Before it begins</h2>
        {plan.comesOff.length > 0 && (
          <p>
            <span className="text-muted">Comes off: </span>
            {plan.comesOff.map(comesOffText).join(", ")}
          </p>
        )}
        <p>
          <span className="text-muted">To lay out: </span>
          {plan.layOut.map((l) => itemText(l.item, l.count)).join(", ")}
        </p>
        {plan.cautions.slice(0, 3).map((c) => (
          <Notice key={c} tone="care">
            {c}
          </Notice>
        ))}
      </section>
    </>
  );
}

interface SpringChoiceProps {
  planned: Schemas["PlannedValve"];
  asked?: Schemas["AskedValve"];
  onAsked: (v: Schemas["AskedValve"]) => void;
}

function SpringChoice({ planned, asked, onAsked }: SpringChoiceProps) {
  const { unit } = useSettings();
  if (!asked) return null;
  const value = asked.sameAgain ? "same" : (asked.spring ?? planned.newSpringId ?? "same");
  const options = [
    ...planned.offers.map((o) => [o.spring, `${o.mark}: ${offerText(o, unit)}`] as const),
    ["same", `${planned.oldSpring} goes back in`] as const,
  ];
  return (
    <div className="grid items-end gap-3 border-t border-hair pt-2 min-[700px]:grid-cols-[4rem_1fr_auto_auto]">
      <strong className="self-center text-2xl">{planned.valve}</strong>
      <Select
        label={`${planned.oldSpring} comes out; goes in`}
        value={value}
        onChange={(e) =>
          onAsked(
            e.target.value === "same"
              ? { ...asked, spring: undefined, sameAgain: true }
              : { ...asked, spring: e.target.value, sameAgain: false },
          )
        }
        options={options}
      />
      <Check
        label="new seal"
        checked={asked.newSeal}
        onChange={(e) => onAsked({ ...asked, newSeal: e.target.checked })}
      />
      <Check
        label="stand-in"
        checked={asked.standIn}
        onChange={(e) => onAsked({ ...asked, standIn: e.target.checked })}
      />
    </div>
  );
}

const SCHOOLS = {
  CYLINDER_BY_CYLINDER: ["Cylinder by cylinder", "each finished, lash included, before the next"],
  ALL_SPRINGS_FIRST: ["All springs first", "then rockers and lash in one round"],
} as const;

/** Both schools of order, each with its stops and how far the crank is barred. */
function Orders({ plan, onOrder }: Pick<PlanPartsProps, "plan" | "onOrder">) {
  if (plan.hold === "BLOCK") return null;
  return (
    <section className="grid gap-2 min-[700px]:grid-cols-2" aria-label="Order of work">
      {(Object.keys(SCHOOLS) as (keyof typeof SCHOOLS)[]).map((school) => {
        const route = plan.routes[school];
        if (!route) return null;
        const taken = plan.order === school;
        return (
          <button
            key={school}
            type="button"
            aria-pressed={taken}
            onClick={() => onOrder(school)}
            className={`scribed grid content-start gap-1 rounded p-4 text-left ${taken ? "outline-2 outline-accent" : ""}`}
          >
            <span className="text-lg font-bold">
              {taken ? "● " : "○ "}
              {SCHOOLS[school][0]}
            </span>
            <span className="text-muted">{SCHOOLS[school][1]}</span>
            <span>
              <b className="num text-3xl">{Math.round(route.barDeg)}°</b> barred, {route.legs.length}{" "}
              {route.legs.length === 1 ? "stop" : "stops"}
            </span>
            <span className="num text-lg">
              {route.legs
                .map((l) =>
                  l.springs.length > 0
                    ? `${l.springs.join("+")}${l.lash.length > 0 ? " with lash" : ""}`
                    : `lash ${l.lash.join(" ")}`,
                )
                .join(" → ")}
            </span>
          </button>
        );
      })}
      <p className="text-sm text-muted min-[700px]:col-span-2">
        Share a TDC: {plan.sharedTdc.map((g) => g.join("+")).join(", ")}. {plan.holdSays}
      </p>
    </section>
  );
}
