import { useFormContext } from "react-hook-form";
import { useSettings } from "../../shell/settings";
import { Box, Flag, Pick } from "./boxes";
import type { SheetForm } from "./sheetForm";

const LIFTERS = [
  ["FLAT_SOLID", "flat tappet, solid"],
  ["ROLLER_SOLID", "roller, solid"],
  ["FLAT_HYDRAULIC", "flat tappet, hydraulic"],
  ["ROLLER_HYDRAULIC", "roller, hydraulic"],
  ["BUCKET", "bucket under the cam, shims"],
] as const;
const ROCKERS = [
  ["SHAFT", "on a shaft"],
  ["STUD", "on a stud"],
  ["PEDESTAL", "on a pedestal"],
] as const;
const ADJUSTERS = [
  ["SCREW_PUSHROD_END", "screw at the pushrod end"],
  ["SCREW_VALVE_END", "screw at the valve end"],
  ["FULCRUM_NUT", "stud or pedestal nut"],
  ["PEDESTAL_SHIM", "shims under the pedestal"],
  ["PUSHROD_LENGTH", "fixed: pushrod length"],
] as const;

/** Lifters, rockers and what is turned or exchanged to set lash. */
export function DrivePart() {
  const { unit } = useSettings();
  const { watch } = useFormContext<SheetForm>();
  const lifter = watch("drive.lifter");
  const adjuster = watch("drive.adjuster");
  const bucket = lifter === "BUCKET";
  const hydraulic = lifter.endsWith("HYDRAULIC");
  const exchanged = bucket || adjuster === "PUSHROD_LENGTH" || adjuster === "PEDESTAL_SHIM";
  const part = adjuster === "PUSHROD_LENGTH" && !bucket ? "pushrod" : "shim";
  return (
    <div className="grid gap-3 min-[640px]:grid-cols-3">
      <Pick name="drive.lifter" label="Lifters" options={LIFTERS} />
      {!bucket && <Pick name="drive.rocker" label="Rockers" options={ROCKERS} />}
      {!bucket && <Pick name="drive.adjuster" label="Lash is set by" options={ADJUSTERS} />}
      {!bucket && <Box name="drive.ratioIntake" label="Rocker ratio, intake" placeholder="1.6" />}
      {!bucket && <Box name="drive.ratioExhaust" label="Rocker ratio, exhaust" hint="blank: as intake" />}
      {!exchanged && (
        <Box
          name="drive.thread"
          label="Adjuster thread"
          hint="by name, 3/8-24, 7/16-20, M8x1, or a pitch: 1.0 mm"
          placeholder="3/8-24"
          numeric={false}
        />
      )}
      {hydraulic && <PreloadBoxes turned={!exchanged} shims={adjuster === "PEDESTAL_SHIM"} />}
      {exchanged && (
        <>
          <Box name="drive.partIntakeIn" label={`Intake ${part} now in`} />
          <Box name="drive.partExhaustIn" label={`Exhaust ${part} now in`} />
          <Box
            name="drive.partsIn"
            label={`${part}s to be had, ${unit === "mm" ? "mm" : "in"}`}
            hint="all sizes in inches: 9.780 9.790 9.800"
            numeric={false}
          />
        </>
      )}
      <div className="min-[640px]:col-span-3">
        <Flag name="drive.fixingClampsHead" label="The rocker fixing clamps the head too" />
        {watch("drive.fixingClampsHead") && (
          <Box
            name="drive.clampNote"
            label="Torque rule for the crushed gasket"
            hint="one fixing at a time; value, steps, whose figure"
            numeric={false}
          />
        )}
        <Flag name="drive.linkBars" label="Lifters are tied in pairs by a link bar" />
        <Flag name="drive.intakeOverLifters" label="The intake sits over the lifters" />
      </div>
    </div>
  );
}

const USES = [
  ["", "not said"],
  ["HIGH_REVS", "high revs"],
  ["STANDARD", "standard"],
  ["LIMITED_TRAVEL", "limited-travel lifters"],
] as const;

/** What the preload should be: in turns, or where nothing turns as travel of the plunger. */
function PreloadBoxes({ turned, shims }: { turned: boolean; shims: boolean }) {
  return (
    <>
      <Box
        name="drive.plungerTravelIn"
        label="Plunger travel"
        hint="standard 0.080 to 0.100, limited 0.020 to 0.040"
      />
      {turned ? (
        <>
          <Box
            name="drive.preloadTurns"
            label="Preload, turns"
            hint="1/4 for high revs, 1/2 to 3/4, 1 to 1 1/4: the builder's figure wins"
          />
          <Box name="drive.preload.toTurns" label="up to, turns" hint="where it is a range" />
          <Box
            name="drive.preload.toleranceTurns"
            label="Tolerance each way, turns"
            placeholder="0.125"
            hint="where it is one figure"
          />
        </>
      ) : (
        <>
          <Box
            name="drive.preload.fromIn"
            label="Preload from"
            hint="travel of the plunger: nothing turns here"
          />
          <Box name="drive.preload.toIn" label="Preload to" hint="blank: the middle half of its travel" />
          {shims && <Box name="drive.preload.pushrodIntakeIn" label="Intake pushrods" />}
          {shims && <Box name="drive.preload.pushrodExhaustIn" label="Exhaust pushrods" />}
        </>
      )}
      <Pick name="drive.preload.use" label="Preload chosen for" options={USES} />
      <Box
        name="drive.preload.source"
        label="Whose figure it is"
        placeholder="builder, maker"
        numeric={false}
      />
    </>
  );
}
