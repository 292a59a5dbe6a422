import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api } from "../../api/client";
import { newId } from "../../api/ids";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { figure, height } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import type { BenchProps } from "./CamFrame";
import { putAside } from "./putAside";

const sheet = (unit: LashUnit) =>
  z.object({
    name: z.string(),
    hydraulic: z.boolean(),
    liftIn: height(unit),
    exhaustLiftIn: height(unit),
    atIn: height(unit),
    intakeDeg: figure(),
    exhaustDeg: figure(),
    lowIn: height(unit),
    intakeLowDeg: figure(),
    exhaustLowDeg: figure(),
    lsaDeg: figure(),
    iclDeg: figure(),
    lashIn: height(unit),
    exhaustLashIn: height(unit),
    wasIn: figure(),
  });

const point = (tappetLiftIn?: number, durationDeg?: number) =>
  durationDeg === undefined ? [] : [{ tappetLiftIn, durationDeg }];

/** Another cam by its card: one thought of, or one that was in before. */
export function OtherCamForm({ engine, cam, onClose }: BenchProps & { onClose: () => void }) {
  const { unit, hand, setHand } = useSettings();
  const [id] = useState(newId);
  const of = heightUnit(unit);
  const { box, submit, trouble, error, form } = useEntry({
    schema: sheet(unit),
    first: {
      name: "",
      hydraulic: cam.hydraulic,
      liftIn: "",
      exhaustLiftIn: "",
      atIn: heightText(0.05, unit),
      intakeDeg: "",
      exhaustDeg: "",
      lowIn: heightText(0.02, unit),
      intakeLowDeg: "",
      exhaustLowDeg: "",
      lsaDeg: "",
      iclDeg: "",
      lashIn: "",
      exhaustLashIn: "",
      wasIn: "",
    },
    fields: {
      name: "other.name",
      liftIn: "cam.liftIntakeIn",
      intakeDeg: "cam.intake",
      exhaustDeg: "cam.exhaust",
      lsaDeg: "cam.lsaDeg",
      iclDeg: "cam.intakeCentreDeg",
      lashIn: "cam.lashIntakeIn",
    },
    elsewhere: ["hand"],
    send: (r) =>
      answered(
        api.PUT("/api/engines/{id}/cam/others/{otherId}", {
          params: { path: { id: engine.id, otherId: id } },
          body: {
            hand,
            other: {
              engineId: engine.id,
              name: r.name,
              hydraulic: r.hydraulic,
              wasIn: r.wasIn,
              cam: {
                card: r.name,
                liftAt: "LOBE",
                liftIntakeIn: r.liftIn,
                liftExhaustIn: r.exhaustLiftIn ?? r.liftIn,
                intake: [...point(r.lowIn, r.intakeLowDeg), ...point(r.atIn, r.intakeDeg)],
                exhaust: [...point(r.lowIn, r.exhaustLowDeg), ...point(r.atIn, r.exhaustDeg ?? r.intakeDeg)],
                lsaDeg: r.lsaDeg,
                intakeCentreDeg: r.iclDeg,
                lashIntakeIn: r.lashIn,
                lashExhaustIn: r.exhaustLashIn ?? r.lashIn,
                lashState: "HOT",
              },
            },
          },
        }),
      ),
    kept: async () => {
      await askedAnew();
      onClose();
    },
  });
  const number = { inputMode: "decimal" as const };
  return (
    <Sheet open onClose={onClose} title="Another cam beside this one">
      <form className="grid gap-3" onSubmit={submit}>
        <Field label="Name" autoFocus {...box("name")} />
        <Check label="Made for hydraulic lifters" {...form.register("hydraulic")} />
        <div className="grid grid-cols-2 gap-3">
          <Field label={`Lobe lift, intake, ${of}`} {...number} {...box("liftIn")} />
          <Field
            label={`Lobe lift, exhaust, ${of}`}
            hint="blank: as the intake"
            {...number}
            {...box("exhaustLiftIn")}
          />
        </div>
        <div className="grid grid-cols-3 gap-3">
          <Field label={`At a tappet lift of, ${of}`} {...number} {...box("atIn")} />
          <Field label="duration, intake, °" {...number} {...box("intakeDeg")} />
          <Field label="duration, exhaust, °" {...number} {...box("exhaustDeg")} />
          <Field label={`and at, ${of}`} hint="a low one tells far more" {...number} {...box("lowIn")} />
          <Field label="there, intake, °" {...number} {...box("intakeLowDeg")} />
          <Field label="there, exhaust, °" {...number} {...box("exhaustLowDeg")} />
        </div>
        <div className="grid grid-cols-4 gap-3">
          <Field label="LSA, °" {...number} {...box("lsaDeg")} />
          <Field label="Intake centreline, °" {...number} {...box("iclDeg")} />
          <Field label={`Lash, intake, ${of}`} hint="solid, hot" {...number} {...box("lashIn")} />
          <Field label={`Lash, exhaust, ${of}`} {...number} {...box("exhaustLashIn")} />
        </div>
        <Field
          label="It was in this engine until, hours"
          hint="blank for one that is only thought of"
          {...number}
          {...box("wasIn")}
        />
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Hold it beside this one
        </Button>
        {cam.others.map((o) => (
          <Button key={o.id} onClick={() => putAside(engine.id, o, hand || "–")}>
            Put {o.other.name} aside
          </Button>
        ))}
      </form>
    </Sheet>
  );
}
