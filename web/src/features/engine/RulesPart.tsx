import { useFieldArray, useFormContext } from "react-hook-form";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { unitOf } from "../../units/measures";
import { SCHOOLS } from "../crank/schools";
import { Box, Flag, Pick } from "./boxes";
import type { SheetForm } from "./sheetForm";

const METALS = [
  ["IRON", "iron"],
  ["ALUMINIUM", "aluminium"],
] as const;

/** The engine's house rules, and the rest that touches this work. */
export function RulesPart() {
  const { unit } = useSettings();
  const { watch, control } = useFormContext<SheetForm>();
  const hydraulic = watch("drive.lifter").endsWith("HYDRAULIC");
  const rules = useFieldArray({ control, name: "use.classRules" });
  return (
    <div className="grid gap-4">
      <div className="grid gap-3 min-[640px]:grid-cols-3">
        <Pick
          name="rules.hotCold"
          label="Hot to cold"
          hint="a pair of hot and cold rounds with nothing touched between shows the engine's own growth"
          options={[
            ["TABLE", "usual table by material"],
            ["FIXED", "a fixed difference"],
            ["OWN_GROWTH", "own growth, the table until known"],
          ]}
        />
        {watch("rules.hotCold") === "FIXED" && (
          <Box
            name="rules.fixedColdMinusHotIn"
            label="Cold minus hot"
            hint="tighter cold is below zero"
            placeholder="-0.002"
          />
        )}
        <Box name="rules.toleranceIn" label="Lash tolerance, each way" placeholder="0.002" />
        <Box name="rules.feelerStepIn" label="Step between leaves" placeholder="0.001" />
        <Box
          name="rules.rampMarginDeg"
          label="Ramp margin a side, °"
          placeholder="usual"
          hint="blank: 15 at 0.006 or less, 30 at 0.015 to 0.020, 45 at 0.050"
        />
        <Pick
          name="rules.inTolerance"
          label="A valve found in"
          hint="left alone, one Enter passes it; A sets it anyway"
          options={[
            ["ASK", "is set, or left by a key of its own"],
            ["LEAVE", "is left alone at once"],
          ]}
        />
        <Pick name="rules.school" label="Setting order" options={SCHOOLS} />
        <Box
          name="rules.balancerMarks"
          label="Balancer marks, °"
          placeholder="0 90 180 270"
          numeric={false}
        />
      </div>
      <div className="grid gap-3 border-t border-hair pt-3 min-[640px]:grid-cols-3">
        <Pick name="bottomEnd.block" label="Block" options={METALS} />
        <Pick name="bottomEnd.heads" label="Heads" options={METALS} />
        <Box
          name="bottomEnd.staticTimingDeg"
          label="Static timing, ° BTDC"
          hint="where the rotor points at a lead"
        />
        <Box name="bottomEnd.boreIn" label="Bore" />
        <Box name="bottomEnd.strokeIn" label="Stroke" />
        <Box name="bottomEnd.rodIn" label="Rod" />
        <Box name="use.boostPsi" label={`Boost, ${unitOf("pressure", unit)}`} placeholder="none" />
        <Box
          name="use.unit"
          label="Use is also counted in"
          placeholder="runs, laps, miles, pulls"
          numeric={false}
        />
      </div>
      <fieldset className="grid gap-2 border-t border-hair pt-3">
        <legend className="text-sm font-semibold text-muted">Class rules that touch this work</legend>
        {rules.fields.map((f, i) => (
          <div key={f.id} className="grid grid-cols-[2fr_1fr_9rem_auto] items-start gap-2">
            <Box
              name={`use.classRules.${i}.rule`}
              label="Rule"
              placeholder="preload must be above zero"
              numeric={false}
            />
            <Box name={`use.classRules.${i}.source`} label="Source" numeric={false} />
            <Box name={`use.classRules.${i}.date`} label="Read on" placeholder="2026-03-12" numeric={false} />
            <Button className="mt-6" aria-label={`Remove rule ${i + 1}`} onClick={() => rules.remove(i)}>
              −
            </Button>
            {hydraulic && (
              <div className="col-span-full">
                <Flag
                  name={`use.classRules.${i}.held`}
                  label="It asks for preload above zero: Shim refuses a valve left without"
                />
              </div>
            )}
          </div>
        ))}
        <Button
          className="justify-self-start"
          onClick={() => rules.append({ rule: "", source: "", date: "", held: false })}
        >
          Add a class rule
        </Button>
      </fieldset>
    </div>
  );
}
