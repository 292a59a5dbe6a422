import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field, Select } from "../../ui/Field";
import { useEntry } from "../../ui/useEntry";
import { height, hours, hoursText, words } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import type { BenchProps } from "./CamFrame";
import { begin } from "./useSitting";

const sheet = (unit: LashUnit) =>
  z.object({
    engineHours: hours(),
    first: height(unit),
    second: height(unit),
    pointer: z.string(),
    note: words(),
  });

/** How a degreeing begins: by which readings, and what is done with the pointer. */
export function DegreeStart({ engine, cam, onBegun }: BenchProps & { onBegun: () => void }) {
  const { unit, hand, setHand } = useSettings();
  const [way, setWay] = useState<"UNDER_NOSE" | "EVENTS">("UNDER_NOSE");
  const { box, submit, trouble, error, keeping } = useEntry({
    schema: sheet(unit),
    first: {
      engineHours: hoursText(cam.engineHours),
      first: heightText(0.05, unit),
      second: "",
      pointer: "moved",
      note: "",
    },
    fields: { first: "heightsIn", note: "note" },
    elsewhere: ["hand"],
    send: (read) =>
      begin(engine.id, {
        kind: "DEGREE",
        engineHours: read.engineHours,
        hand,
        way,
        heightsIn: [read.first, read.second].filter((h) => h !== undefined),
        pointerMoved: read.pointer === "moved",
        note: read.note,
      }),
    kept: async () => {
      await askedAnew();
      onBegun();
    },
  });
  const of = heightUnit(unit);
  return (
    <form className="grid max-w-3xl gap-3 p-3" onSubmit={submit}>
      <h2 className="text-2xl">Degree the cam</h2>
      <p>
        Positive stop in cylinder {engine.layout.firingOrder[0]}, wheel on the crank, dial on the lifter or
        retainer. Everything but the stop is read in the running direction.
      </p>
      <Choice
        label="Lobes are found by"
        value={way}
        onChange={setWay}
        options={[
          ["UNDER_NOSE", "equal lifts on both sides of the nose"],
          ["EVENTS", "the four events of the card"],
        ]}
      />
      {way === "UNDER_NOSE" && (
        <div className="grid grid-cols-2 gap-3">
          <Field label={`Height under the nose, ${of}`} inputMode="decimal" {...box("first")} />
          <Field
            label={`A second height, ${of}`}
            hint="blank for one; two show a lopsided lobe"
            inputMode="decimal"
            {...box("second")}
          />
        </div>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Select
          label="After the stop the pointer is"
          options={[
            ["moved", "put right"],
            ["left", "left: Shim takes it off each reading"],
          ]}
          {...box("pointer")}
        />
        <Field label="Engine hours" inputMode="decimal" {...box("engineHours")} />
      </div>
      <Field label="Note" hint="new chain, other keyway" {...box("note")} />
      <Initials value={hand} onChange={setHand} error={error("hand")} />
      {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
      <Button look="now" type="submit" disabled={keeping}>
        Begin with the stop
      </Button>
    </form>
  );
}
