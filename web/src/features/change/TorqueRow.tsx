import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { unitOf } from "../../units/measures";
import type { useRulesEntry } from "./useRulesEntry";

interface TorqueRowProps {
  entry: ReturnType<typeof useRulesEntry>;
  at: number;
  onOff: () => void;
}

const ONLY = [
  ["", "every kind of job"],
  ["IN_CAR", "engine in the car"],
  ["HEADS_OFF", "heads off"],
  ["ASSEMBLE", "assembling a head"],
] as const;

/** One line of the team's torque sheet. */
export function TorqueRow({ entry: { box, error }, at, onOff }: TorqueRowProps) {
  const { unit } = useSettings();
  const of = box(`torques.${at}.of`);
  return (
    <div className="grid grid-cols-2 gap-2 border-t border-hair pt-2 min-[700px]:grid-cols-3">
      <Field label="What" hint="shaft bolts" {...of} error={of.error ?? error(`torques[${at}]`)} />
      <Field
        label={`Steps, ${unitOf("torque", unit)}`}
        hint={unit === "mm" ? "20 35" : "15 25"}
        {...box(`torques.${at}.stepsLbfFt`)}
      />
      <Field label="Order" hint="middle outwards" {...box(`torques.${at}.order`)} />
      <Field label="Lubricant" hint="engine oil" {...box(`torques.${at}.lubricant`)} />
      <Field label="Whose figure" hint="the fastener's maker" {...box(`torques.${at}.source`)} />
      <Select label="In" options={ONLY} {...box(`torques.${at}.only`)} />
      <div className="grid">
        <Check label="each cylinder" {...box(`torques.${at}.perCylinder`)} />
        <Button look="quiet" onClick={onOff}>
          Take it off
        </Button>
      </div>
    </div>
  );
}
