import { useFieldArray, useFormContext } from "react-hook-form";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Box, Pick, useSaid } from "./boxes";
import type { SheetForm } from "./sheetForm";

const STATES = [
  ["HOT", "hot"],
  ["COLD", "cold"],
] as const;

/** The cam card, as it gives it: durations with centres, the four events, or both. */
export function CamPart() {
  const { watch } = useFormContext<SheetForm>();
  const hydraulic = watch("drive.lifter").endsWith("HYDRAULIC");
  return (
    <div className="grid gap-4">
      <div className="grid gap-3 min-[640px]:grid-cols-4">
        <Box name="cam.card" label="Card" placeholder="what it is called" numeric={false} />
        <Pick
          name="cam.liftAt"
          label="Lift is given at"
          options={[
            ["LOBE", "the lobe"],
            ["VALVE", "the valve, gross"],
          ]}
        />
        <Box name="cam.liftIntakeIn" label="Lift, intake" />
        <Box name="cam.liftExhaustIn" label="Lift, exhaust" hint="blank: as intake" />
        {watch("cam.liftAt") === "VALVE" && (
          <>
            <Box
              name="cam.cardRatioIntake"
              label="Card's rocker ratio"
              placeholder="1.6"
              hint="the one its lift is reckoned with"
            />
            <Box name="cam.cardRatioExhaust" label="At the exhaust" hint="blank: as intake" />
          </>
        )}
        <Box name="cam.lsaDeg" label="Lobe separation, °" placeholder="110" />
        <Box name="cam.intakeCentreDeg" label="Intake centreline, °" placeholder="106" hint="as put in" />
      </div>
      <div className="grid gap-4 min-[640px]:grid-cols-2">
        <Durations kind="intake" />
        <Durations kind="exhaust" />
      </div>
      <details className="border-t border-hair pt-2" open={watch("cam.events.ivoBtdcDeg") !== ""}>
        <summary className="min-h-11 cursor-pointer content-center font-semibold">
          The card gives the four events instead, or too
        </summary>
        <div className="grid gap-3 min-[640px]:grid-cols-5">
          <Box name="cam.events.atTappetLiftIn" label="At tappet lift" />
          <Box name="cam.events.ivoBtdcDeg" label="IVO, ° BTDC" />
          <Box name="cam.events.ivcAbdcDeg" label="IVC, ° ABDC" />
          <Box name="cam.events.evoBbdcDeg" label="EVO, ° BBDC" />
          <Box name="cam.events.evcAtdcDeg" label="EVC, ° ATDC" />
        </div>
      </details>
      {hydraulic ? (
        <Notice tone="know">
          Hydraulic lifters have preload instead of lash: it is set under the valve drive.
        </Notice>
      ) : (
        <div className="grid gap-3 border-t border-hair pt-3 min-[640px]:grid-cols-5">
          <Box name="cam.lashIntakeIn" label="Lash, intake" />
          <Box name="cam.lashExhaustIn" label="Lash, exhaust" hint="blank: as intake" />
          <Pick name="cam.lashState" label="Given for" options={STATES} />
          <Box name="cam.floorIntakeIn" label="Lowest, intake" hint="the maker's, if any" />
          <Box name="cam.floorExhaustIn" label="Lowest, exhaust" />
        </div>
      )}
    </div>
  );
}

function Durations({ kind }: { kind: "intake" | "exhaust" }) {
  const { control } = useFormContext<SheetForm>();
  const rows = useFieldArray({ control, name: `cam.${kind}` });
  const { error } = useSaid(`cam.${kind}`);
  return (
    <fieldset className="grid gap-2">
      <legend className="text-sm font-semibold text-muted">
        {kind === "intake" ? "Intake" : "Exhaust"} duration, at each tappet lift the card gives
      </legend>
      {rows.fields.map((f, i) => (
        <div key={f.id} className="grid grid-cols-[1fr_1fr_auto] items-start gap-2">
          <Box name={`cam.${kind}.${i}.tappetLiftIn`} label="At tappet lift" placeholder="0.020" />
          <Box name={`cam.${kind}.${i}.durationDeg`} label="Duration, °" placeholder="280" />
          <Button
            className="mt-6"
            aria-label={`Remove ${kind} duration ${i + 1}`}
            disabled={rows.fields.length === 1}
            onClick={() => rows.remove(i)}
          >
            −
          </Button>
        </div>
      ))}
      {error && <p className="text-sm font-semibold text-tight">✕ {error}</p>}
      <Button
        className="justify-self-start"
        onClick={() => rows.append({ tappetLiftIn: "", durationDeg: "" })}
      >
        Another {kind} duration
      </Button>
    </fieldset>
  );
}
