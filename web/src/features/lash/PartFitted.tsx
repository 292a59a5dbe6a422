import { useSettings } from "../../shell/settings";
import { Field } from "../../ui/Field";
import { fromInch, toInch } from "../../units/lash";
import type { Round, ValveView } from "./useRound";

interface PartFittedProps {
  round: Round;
  valve: ValveView;
  value: number | undefined;
  onChange: (inch: number | undefined) => void;
}

const EXCHANGED = { PUSHROD_LENGTH: "Pushrod", PEDESTAL_SHIM: "Pedestal shim", BUCKET_SHIM: "Shim" } as const;

/** Where lash is set by exchanging a part: which one is in when the figure is read. */
export function PartFitted({ round, valve, value, onChange }: PartFittedProps) {
  const { unit } = useSettings();
  const name = EXCHANGED[round.adjuster as keyof typeof EXCHANGED];
  if (!name) return null;
  const u = unit === "mm" ? "mm" : "in";
  const shown = value ?? valve.left?.partSizeIn ?? valve.partNowIn;
  return (
    <div className="w-60">
      <Field
        key={valve.position + (valve.found ? "f" : "")}
        label={`${name} in place, ${u}`}
        hint={valve.found ? "change it here when you fit another" : "as it was when you came"}
        inputMode="decimal"
        className="num text-2xl"
        defaultValue={shown === undefined ? "" : fromInch(shown, u).toFixed(u === "mm" ? 2 : 4)}
        onChange={(e) => {
          const v = Number(e.target.value.replace(",", "."));
          onChange(Number.isFinite(v) && e.target.value.trim() !== "" ? toInch(v, u) : undefined);
        }}
      />
    </div>
  );
}
