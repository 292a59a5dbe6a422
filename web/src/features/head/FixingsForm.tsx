import { useQueryClient } from "@tanstack/react-query";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { head as headQuery } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, measured, several } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { readNumber } from "../../units/load";
import { measureBox, readMeasure, unitOf } from "../../units/measures";
import type { Head } from "./measures";

type Fixings = Schemas["Fixings"];

const fixings = (unit: LashUnit, was?: Fixings) =>
  z.object({
    kind: z.string(),
    perSide: figure(),
    sequence: several(readNumber as (t: string) => number | undefined),
    stepsLbfFt: several(
      (t) => readMeasure("torque", t, unit),
      was?.stepsLbfFt,
      (n) => measureBox("torque", n, unit),
    ),
    lubricant: z.string(),
    fastenerLbfFt: measured("torque", unit, was?.fastenerLbfFt),
    engineLbfFt: measured("torque", unit, was?.engineLbfFt),
    chosen: z.string(),
    reason: z.string(),
    waiting: several(readNumber as (t: string) => number | undefined),
    oneAtATime: z.boolean(),
  });

/** How heads are held down: fixings, their sequence, and whose figure counts. */
export function FixingsForm({ head, onClose }: { head: Head; onClose: () => void }) {
  const { unit, hand, setHand } = useSettings();
  const queries = useQueryClient();
  const was = head.sheet.fixings;
  const torque = (v: number) => measureBox("torque", v, unit);
  const { box, form, submit, trouble, error } = useEntry({
    schema: fixings(unit, was),
    first: {
      kind: was?.kind ?? "STUD",
      perSide: boxText(was?.perSide),
      sequence: was?.sequence.join(" ") ?? "",
      stepsLbfFt: was?.stepsLbfFt.map(torque).join(" ") ?? "",
      lubricant: was?.lubricant ?? "",
      fastenerLbfFt: boxText(was?.fastenerLbfFt, torque),
      engineLbfFt: boxText(was?.engineLbfFt, torque),
      chosen: was?.chosen ?? "FASTENER_MAKER",
      reason: was?.reason ?? "",
      waiting: was?.waiting.join(" ") ?? "",
      oneAtATime: was?.oneAtATime ?? false,
    },
    fields: {
      perSide: "head.fixings.perSide",
      sequence: "head.fixings.sequence",
      stepsLbfFt: "head.fixings.stepsLbfFt",
      chosen: "head.fixings.chosen",
      reason: "head.fixings.reason",
    },
    elsewhere: ["hand"],
    send: (read) =>
      answered(
        api.PUT("/api/heads/{id}", {
          params: { path: { id: head.id } },
          body: {
            head: {
              ...head.sheet,
              fixings: {
                ...read,
                kind: read.kind as Fixings["kind"],
                chosen: read.chosen as Fixings["chosen"],
                perSide: read.perSide ?? 0,
              },
            },
            basedOn: head.version,
            hand,
          },
        }),
      ),
    kept: (view) => {
      queries.setQueryData(headQuery(head.id).queryKey, view);
      onClose();
    },
  });
  const name = unitOf("torque", unit);
  return (
    <Sheet open onClose={onClose} title={`${head.sheet.name}: how they are held down`}>
      <form className="grid gap-3" onSubmit={submit}>
        <div className="grid grid-cols-3 gap-3">
          <Select
            label="Fixings"
            options={[
              ["STUD", "studs with nuts"],
              ["BOLT", "bolts"],
            ]}
            {...box("kind")}
          />
          <Field label="Of one head" inputMode="numeric" autoFocus {...box("perSide")} />
          <Field label="Lubricant" {...box("lubricant")} />
        </div>
        <Field
          label="Sequence, from the middle"
          hint="numbers of one head, such as 5 6 4 7 3 8 2 9 1 10"
          {...box("sequence")}
        />
        <div className="grid grid-cols-2 gap-3">
          <Field label={`Fastener maker's figure, ${name}`} inputMode="decimal" {...box("fastenerLbfFt")} />
          <Field label={`Engine maker's figure, ${name}`} inputMode="decimal" {...box("engineLbfFt")} />
          <Select
            label="The one that counts"
            options={[
              ["FASTENER_MAKER", "the fastener maker's"],
              ["ENGINE_MAKER", "the engine maker's"],
            ]}
            {...box("chosen")}
          />
          <Field label="Why" hint="where the two differ" {...box("reason")} />
          <Field label={`Steps, ${name}`} hint="to the figure: 30 50 65" {...box("stepsLbfFt")} />
          <Field label="Wait for the rockers" hint="numbers under a pedestal" {...box("waiting")} />
        </div>
        <Check
          label="The gasket is crushed already: one at a time, straight to the figure"
          {...form.register("oneAtATime")}
        />
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep it
        </Button>
      </form>
    </Sheet>
  );
}
