import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import type { useRulesEntry } from "./useRulesEntry";

interface TorqueRowProps {
  entry: ReturnType<typeof useRulesEntry>;
  at: number;
  onOff: () => void;
}

/** One line of the team's torque sheet. */
export function TorqueRow({ entry: { box, error }, at, onOff }: TorqueRowProps) {
  const of = box(`torques.${at}.of`);
  return (
    <div className="grid grid-cols-2 gap-2 border-t border-hair pt-2 min-[700px]:grid-cols-3">
      <Field label="What" hint="shaft bolts" {...of} error={of.error ?? error(`torques[${at}]`)} />
      <Field label="Steps, lbf·ft" hint="15 25" {...box(`torques.${at}.stepsLbfFt`)} />
      <Field label="Order" hint="middle outwards" {...box(`torques.${at}.order`)} />
      <Field label="Lubricant" hint="engine oil" {...box(`torques.${at}.lubricant`)} />
      <Field label="Whose figure" hint="the fastener's maker" {...box(`torques.${at}.source`)} />
      <div className="grid">
        <Check label="each cylinder" {...box(`torques.${at}.perCylinder`)} />
        <Button look="quiet" onClick={onOff}>
          Take it off
        </Button>
      </div>
    </div>
  );
}
