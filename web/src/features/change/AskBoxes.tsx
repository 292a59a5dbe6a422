import { useQuery } from "@tanstack/react-query";
import { springTypes } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Check, Field, Select } from "../../ui/Field";
import { heightUnit } from "../../units/load";
import { figureText, unitOf } from "../../units/measures";
import type { usePlanning } from "./usePlanning";

const HOLDS = [
  ["AIR", "compressed air"],
  ["PISTON", "the piston at TDC"],
  ["ROPE", "rope"],
] as const;

const NUMBER = { inputMode: "decimal", className: "num text-lg" } as const;

/** The boxes of what is wanted; only those that matter to the kind of job and hold. */
export function AskBoxes({ planning }: { planning: ReturnType<typeof usePlanning> }) {
  const { unit } = useSettings();
  const { form, box: own, choice } = planning.entry;
  const { kind, hold, innerOut } = form.watch();
  const inCar = kind === "IN_CAR";
  const box = (name: Parameters<typeof own>[0]) => {
    const at = own(name);
    return { ...at, error: at.error ?? planning.refused(name) };
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-3 min-[700px]:grid-cols-4">
        <Select
          label="What"
          {...box("kind")}
          options={[
            ["IN_CAR", "engine in the car"],
            ["HEADS_OFF", "heads off"],
          ]}
        />
        {inCar && <Select label="Valves held by" {...box("hold")} options={HOLDS} />}
        <Initials {...choice("hand")} error={box("hand").error} />
        <Field label="Engine hours now" {...NUMBER} {...box("engineHours")} />
        {inCar && hold === "AIR" && (
          <>
            <Field
              label={`Air, ${unitOf("pressure", unit)}`}
              hint={`usual: ${figureText("pressure", 80, unit)}`}
              {...NUMBER}
              {...box("psi")}
            />
            <Field label="TDC found within, °" hint="usual: 3" {...NUMBER} {...box("offDeg")} />
            <Field
              label={`Valve head, ${heightUnit(unit)}`}
              hint="what air holds it with"
              {...NUMBER}
              {...box("headIn")}
            />
          </>
        )}
        {inCar && (
          <Select
            label="Lash will be set"
            {...box("state")}
            options={[
              ["COLD", "cold"],
              ["HOT", "hot"],
            ]}
          />
        )}
        {inCar && <Field label="Crank stands at, °" hint="blank: anywhere" {...NUMBER} {...box("fromDeg")} />}
      </div>
      <Kinds planning={planning} />
      <div className="flex flex-wrap gap-x-6">
        {inCar && <Check label="The intake comes off" {...box("intakeOff")} />}
        <Check label="Break-in: inner springs stay out" {...box("innerOut")} />
      </div>
      {innerOut && (
        <Field
          label="Inner springs go back after, h"
          hint="usual: 1"
          inputMode="decimal"
          {...box("breakInHours")}
        />
      )}
    </>
  );
}

/** Springs of another kind: at the intakes, at the exhausts, or at both. */
function Kinds({ planning }: { planning: ReturnType<typeof usePlanning> }) {
  const types = useQuery(springTypes()).data ?? [];
  if (types.length < 2) return null;
  const { toKind, setToKind } = planning;
  const options = [["", "the kind that is in"], ...types.map((t) => [t.id, t.sheet.name ?? "?"])] as [
    string,
    string,
  ][];
  const at = (kind: "INTAKE" | "EXHAUST", label: string) => (
    <Select
      label={label}
      value={toKind[kind] ?? ""}
      onChange={(e) => setToKind({ ...toKind, [kind]: e.target.value || undefined })}
      options={options}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-3">
      {at("INTAKE", "Springs at the intakes")}
      {at("EXHAUST", "Springs at the exhausts")}
    </div>
  );
}
