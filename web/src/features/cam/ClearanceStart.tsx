import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { height, hours, hoursText, words } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import type { BenchProps } from "./CamFrame";
import { SCHOOLS, TRAPS } from "./camWords";
import { begin } from "./useSitting";

type School = (typeof SCHOOLS)[number][0];

const sheet = (unit: LashUnit) =>
  z.object({ engineHours: hours(), travelIn: height(unit), lashIn: height(unit), note: words() });

/** How gaps are going to be measured. */
export function ClearanceStart({ engine, cam, onBegun }: BenchProps & { onBegun: () => void }) {
  const { unit, hand, setHand } = useSettings();
  const [school, setSchool] = useState<School>("CHECKING_SPRING");
  const of = heightUnit(unit);
  const { box, submit, trouble, error, keeping } = useEntry({
    schema: sheet(unit),
    first: { engineHours: hoursText(cam.engineHours), travelIn: "", lashIn: heightText(0, unit), note: "" },
    elsewhere: ["hand"],
    send: (r) =>
      begin(engine.id, {
        kind: "CLEARANCE",
        engineHours: r.engineHours,
        hand,
        school,
        travelIn: r.travelIn,
        lashIntakeIn: r.lashIn,
        lashExhaustIn: r.lashIn,
        note: r.note,
      }),
    kept: async () => {
      await askedAnew();
      onBegun();
    },
  });
  return (
    <form className="grid max-w-3xl gap-3 p-3" onSubmit={submit}>
      <h2 className="text-2xl">Piston to valve</h2>
      <p>
        Near 10° after TDC at the intake, 10° before it at the exhaust, in the running direction; several
        angles at a valve are held against each other.
        {cam.hydraulic && " Put a solid lifter in, or take the plunger up: at zero lash."}
      </p>
      <Select
        label="Measured with"
        options={SCHOOLS}
        value={school}
        onChange={(e) => setSchool(e.target.value as School)}
      />
      <Notice tone={school === "NO_SPRING" ? "care" : "know"}>{TRAPS[school]}</Notice>
      <div className="grid grid-cols-3 gap-3">
        <Field
          label={`Travel of spring or dial, ${of}`}
          hint="what it cannot reach is not proved"
          inputMode="decimal"
          {...box("travelIn")}
        />
        <Field label={`Lash while measuring, ${of}`} inputMode="decimal" {...box("lashIn")} />
        <Field label="Engine hours" inputMode="decimal" {...box("engineHours")} />
      </div>
      <Field label="Note" {...box("note")} />
      <Initials value={hand} onChange={setHand} error={error("hand")} />
      {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
      <Button look="now" type="submit" disabled={keeping}>
        Begin measuring
      </Button>
    </form>
  );
}
